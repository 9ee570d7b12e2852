<?php

declare(strict_types=1);

namespace Tests\core\Place;

use Gnomic\Place\Check\AllowedHosts;
use Gnomic\Place\Check\CheckFinding;
use Gnomic\Place\Check\Expected;
use Gnomic\Place\Check\FetchedPage;
use Gnomic\Place\Check\FrameHeaders;
use Gnomic\Place\Check\PageCheck;
use Gnomic\Place\Check\PageFault;
use Gnomic\Place\Check\PageTags;
use Gnomic\Place\Check\PlacementVerdict;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is told of a page: each state that it can be in, with its next step. */
final class PageCheckTest extends TestCase
{
    private const HOST = 'https://words.gnomic.example';

    private const SCRIPT = '<script async src="https://words.gnomic.example/gnomic.js"></script>';

    private const ELEMENT = '<gnomic-widget key="dome4visit"></gnomic-widget>';

    private const SITE = '<script async src="https://words.gnomic.example/s/quillmoor1926.js"></script>';

    /**
     * @param  list<string>  $policies
     * @param  list<string>|null  $frame  headers
     * @return non-empty-list<CheckFinding>
     */
    private static function told(
        string $body,
        array $policies = [],
        ?string $selector = null,
        string $head = '',
        ?array $frame = null,
        string $address = 'https://quillmoor.example/visit',
        bool $isOut = true,
    ): array {
        $page = new FetchedPage("<!doctype html><html lang=en><head><title>Visit</title>$head</head><body>$body</body></html>", $address, $policies);
        $expected = new Expected('dome4visit', 'Dome', ['dome4visit', 'dome4other'], $selector, isOut: $isOut);

        return (new PageCheck(self::HOST, 'quillmoor1926', ['quillmoor.example', '*.quillmoor.example'], ['dome4visit', 'dome4other', 'quill7mark'], ['/gnomic.js' => 'served']))
            ->of(PageTags::of($page, self::HOST), $page, $expected, $frame);
    }

    /** @param  array<string, mixed>  $more */
    #[DataProvider('states')]
    public function test_each_state_is_told(PlacementVerdict $verdict, string $body, array $more = []): void
    {
        $told = self::told($body, ...$more);
        self::assertSame($verdict, $told[0]->verdict, $told[0]->says);
        foreach ($told as $one) {
            self::assertNotSame('', $one->says);
            self::assertTrue($one->verdict === PlacementVerdict::Right || $one->next !== '', "what is wrong has a next step: $one->says");
        }
    }

    /** @return iterable<string, array{0: PlacementVerdict, 1: string, 2?: array<string, mixed>}> */
    public static function states(): iterable
    {
        [$script, $element, $site] = [self::SCRIPT, self::ELEMENT, self::SITE];
        $host = self::HOST;
        yield 'there' => [PlacementVerdict::Right, $script.$element];
        yield 'there as another form of it' => [PlacementVerdict::Right, $script.'<gnomic-widget key="dome4other"></gnomic-widget>'];
        yield 'there, its script in the head' => [PlacementVerdict::Right, $element, ['head' => $script]];
        yield 'there, put in by the server' => [PlacementVerdict::Right, '<gnomic-widget key="dome4visit"><template shadowrootmode="open">x</template></gnomic-widget>'];
        yield 'there, with the script in the page itself' => [PlacementVerdict::Right, "<script>customElements.define('gnomic-widget',x)</script>$element"];
        yield 'there, by the tag of the site alone' => [PlacementVerdict::Right, $element, ['head' => $site]];
        yield 'there, with a frame for visitors without scripts' => [
            PlacementVerdict::Right, "$script<gnomic-widget key=\"dome4visit\"><noscript><iframe src=\"$host/w/dome4visit\"></iframe></noscript></gnomic-widget>",
        ];
        yield 'there, as a module and with blanks' => [PlacementVerdict::Right, "<script type=module src=\"$host/gnomic.js\"></script><gnomic-widget key=' dome4visit '></gnomic-widget>"];
        yield 'missing' => [PlacementVerdict::Missing, '<p>Nothing</p>'];
        yield 'missing beside another of ours' => [PlacementVerdict::Missing, $script.'<gnomic-widget key="quill7mark"></gnomic-widget>'];
        yield 'another key' => [PlacementVerdict::OtherKey, $script.'<gnomic-widget key="nobody0key"></gnomic-widget>'];
        yield 'no key' => [PlacementVerdict::OtherKey, $script.'<gnomic-widget></gnomic-widget>'];
        yield 'twice' => [PlacementVerdict::Twice, $script.$element.$element];
        yield 'once seen and once not' => [PlacementVerdict::Right, $script.$element."<div hidden>$element</div>"];
        yield 'as text' => [PlacementVerdict::Escaped, '<p>'.htmlspecialchars($script.$element).'</p>'];
        yield 'as text with bent quotes' => [PlacementVerdict::Escaped, '<p>&lt;gnomic-widget key=“dome4visit”&gt;</p>'];
        yield 'in a script is no text' => [PlacementVerdict::Missing, '<script>var x = \'<gnomic-widget key="dome4visit">\'</script>'];
        yield 'the script removed' => [PlacementVerdict::ScriptGone, $element];
        yield 'the script of another host' => [PlacementVerdict::ScriptGone, '<script src="https://elsewhere.example/gnomic.js"></script>'.$element];
        yield 'the element removed' => [PlacementVerdict::ElementGone, $script];
        yield 'held by its type' => [PlacementVerdict::Held, str_replace('<script', '<script type="text/plain" data-consent="x"', $script).$element];
        yield 'held by its address' => [PlacementVerdict::Held, str_replace(' src', ' data-src', $script).$element];
        yield 'hidden by an attribute' => [PlacementVerdict::Hidden, "$script<div hidden>$element</div>"];
        yield 'hidden by a style' => [PlacementVerdict::Hidden, "$script<div style='color: red; display : none'>$element</div>"];
        yield 'in a template' => [PlacementVerdict::Hidden, "$script<template>$element</template>"];
        yield 'asked for without protection' => [PlacementVerdict::Mixed, str_replace('https:', 'http:', $script).$element];
        yield 'a policy in the header' => [PlacementVerdict::Policy, $script.$element, ['policies' => ["script-src 'self'"]]];
        yield 'a policy in a meta element' => [PlacementVerdict::Policy, $script.$element, ['head' => "<meta http-equiv=content-security-policy content=\"default-src 'self'\">"]];
        yield 'a policy that lets the script alone' => [PlacementVerdict::Policy, $script.$element, ['policies' => ["default-src 'self'; script-src $host"]]];
        yield 'a policy that leaves out pictures' => [PlacementVerdict::Partly, $script.$element, ['policies' => ["default-src $host; img-src 'self'"]]];
        yield 'a policy that lets all' => [PlacementVerdict::Right, $script.$element, ['policies' => ["default-src $host"]]];
        yield 'a strict policy with its nonce' => [
            PlacementVerdict::Right, str_replace('<script', '<script nonce="abc"', $script).$element, ['policies' => ["script-src 'nonce-abc' 'strict-dynamic'"]],
        ];
        yield 'a strict policy without' => [PlacementVerdict::Policy, $script.$element, ['policies' => ["script-src 'nonce-abc' 'strict-dynamic' https:"]]];
        yield 'a policy of 8 KB' => [PlacementVerdict::Policy, $script.$element, ['policies' => ['script-src '.str_repeat('https://a.example ', 450)]]];
        yield 'a sandbox' => [PlacementVerdict::Policy, $script.$element, ['policies' => ['sandbox']]];
        yield 'a frame' => [PlacementVerdict::Right, "<iframe src=\"$host/w/dome4visit\"></iframe>"];
        yield 'a frame in a sandbox' => [PlacementVerdict::Partly, "<iframe sandbox src=\"$host/w/dome4visit\"></iframe>"];
        yield 'a frame in a sandbox that lets scripts' => [PlacementVerdict::Right, "<iframe sandbox='allow-scripts' src=\"$host/w/dome4visit\"></iframe>"];
        yield 'a frame that waits' => [PlacementVerdict::Held, "<iframe data-src=\"$host/w/dome4visit\"></iframe>"];
        yield 'a frame by a policy' => [PlacementVerdict::Policy, "<iframe src=\"$host/w/dome4visit\"></iframe>", ['policies' => ["frame-src 'self'"]]];
        yield 'a frame with a header' => [PlacementVerdict::FrameBlocked, "<iframe src=\"$host/w/dome4visit\"></iframe>", ['frame' => ['X-Frame-Options: SAMEORIGIN']]];
        yield 'a frame with ancestors' => [
            PlacementVerdict::FrameBlocked, "<iframe src=\"$host/w/dome4visit\"></iframe>", ['frame' => ["Content-Security-Policy: frame-ancestors 'self'"]],
        ];
        // Where browsers do not look for policies, and where they do.
        $meta = "<meta http-equiv=content-security-policy content=\"default-src 'none'\">";
        yield 'a policy in the body' => [PlacementVerdict::Right, $meta.$script.$element];
        yield 'a policy in the body’s middle' => [PlacementVerdict::Right, "<div>$meta</div>$script$element"];
        yield 'a policy for those without scripts' => [PlacementVerdict::Right, $script.$element, ['head' => "<noscript>$meta</noscript>"]];
        yield 'a policy in a template' => [PlacementVerdict::Right, $script.$element, ['head' => "<template>$meta</template>"]];
        yield 'a policy after the script, for scripts' => [PlacementVerdict::Partly, $element, ['head' => $script.str_replace("default-src 'none'", "script-src 'self'", $meta)]];
        yield 'a policy after the script, for all' => [PlacementVerdict::Policy, $element, ['head' => $script.$meta]];
        yield 'a policy before the script' => [PlacementVerdict::Policy, $element, ['head' => $meta.$script]];
        yield 'a policy that reports, in a meta element' => [PlacementVerdict::Right, $script.$element, ['head' => str_replace('policy content', 'policy-report-only content', $meta)]];
        yield 'a policy as text' => [PlacementVerdict::Right, $script.$element.htmlspecialchars($meta)];
        yield 'a policy in a comment' => [PlacementVerdict::Right, $script.$element, ['head' => "<!-- $meta -->"]];
        // Keys with blanks of every kind.
        foreach (['&nbsp;dome4visit', 'dome4visit&nbsp;', '&#xFEFF;dome4visit', "\tdome4visit\n", '&#8239;dome4visit&#8239;'] as $index => $key) {
            yield "a key with blanks $index" => [PlacementVerdict::Right, "$script<gnomic-widget key=\"$key\"></gnomic-widget>"];
        }
        yield 'a key with a blank in it' => [PlacementVerdict::OtherKey, "$script<gnomic-widget key=\"dome4 visit\"></gnomic-widget>"];
        // Shadows that stand in the markup.
        foreach (['x-card', 'div', 'section', 'article', 'main', 'p', 'span'] as $of) {
            yield "in the shadow of $of" => [PlacementVerdict::Right, "$script<$of><template shadowrootmode=open>$element</template></$of>"];
        }
        yield 'in the closed shadow' => [PlacementVerdict::Right, "$script<div><template shadowrootmode=closed>$element</template></div>"];
        yield 'in a shadow of nothing' => [PlacementVerdict::Hidden, "$script<ul><template shadowrootmode=open>$element</template></ul>"];
        yield 'in a shadow of no kind' => [PlacementVerdict::Hidden, "$script<div><template shadowrootmode=maybe>$element</template></div>"];
        // Frames with a page in themselves.
        $doc = htmlspecialchars($script.$element);
        yield 'in a frame of its own words' => [PlacementVerdict::Right, "<iframe srcdoc=\"$doc\"></iframe>"];
        yield 'in such a frame that lets scripts' => [PlacementVerdict::Right, "<iframe sandbox=\"allow-scripts\" srcdoc=\"$doc\"></iframe>"];
        yield 'in such a frame that lets none' => [PlacementVerdict::Missing, "<iframe sandbox srcdoc=\"$doc\"></iframe>"];
        yield 'in such a frame that is hidden' => [PlacementVerdict::Missing, "<iframe hidden srcdoc=\"$doc\"></iframe>"];
        yield 'a frame that its own words cover' => [PlacementVerdict::Missing, "<iframe src=\"$host/w/dome4visit\" srcdoc=\"x\"></iframe>"];
        yield 'a frame with an empty sandbox' => [PlacementVerdict::Partly, "<iframe sandbox=\"\" src=\"$host/w/dome4visit\"></iframe>"];
        yield 'a frame whose sandbox lets forms' => [PlacementVerdict::Partly, "<iframe sandbox=\"allow-forms\" src=\"$host/w/dome4visit\"></iframe>"];
        // Scripts that browsers leave out, or refuse.
        yield 'a script for old browsers' => [PlacementVerdict::ScriptGone, str_replace('async', 'async nomodule', $script).$element];
        yield 'a module that says so too' => [PlacementVerdict::Right, str_replace('async', 'type=module nomodule', $script).$element];
        yield 'a script for those without' => [PlacementVerdict::ScriptGone, "<noscript>$script</noscript>$element"];
        $hash = base64_encode(hash('sha384', 'served', true));
        foreach ([
            'that fits' => ["crossorigin integrity=\"sha384-$hash\"", PlacementVerdict::Right],
            'that fits, beside a weaker one that does not' => ["crossorigin integrity=\"sha256-AAAA sha384-$hash\"", PlacementVerdict::Right],
            'that does not fit' => ['crossorigin integrity="sha384-AAAA"', PlacementVerdict::ScriptGone],
            'whose strongest does not fit' => ["crossorigin integrity=\"sha384-$hash sha512-AAAA\"", PlacementVerdict::ScriptGone],
            'without crossorigin' => ["integrity=\"sha384-$hash\"", PlacementVerdict::ScriptGone],
            'of no kind' => ['integrity="md5-AAAA"', PlacementVerdict::Right],
            'that is empty' => ['integrity=""', PlacementVerdict::Right],
        ] as $name => [$attributes, $verdict]) {
            yield "an integrity $name" => [$verdict, str_replace('async', "async $attributes", $script).$element];
        }
        // Pages that nobody reads.
        foreach (['0;url=/other' => true, '3; URL=https://elsewhere.example/' => true, "0; url='/other'" => true, '0,/other' => true, '0' => false, '30;url=/other' => false, '0;url=/visit#x' => false, 'x;url=/y' => false] as $content => $isSent) {
            yield "sent on by $content" => [$isSent ? PlacementVerdict::Unreachable : PlacementVerdict::Right, $script.$element, ['head' => "<meta http-equiv=refresh content=\"$content\">"]];
        }
        yield 'sent on without scripts' => [PlacementVerdict::Right, $script.$element, ['head' => '<noscript><meta http-equiv=refresh content="0;url=/x"></noscript>']];
        yield 'by the site’s tag' => [PlacementVerdict::Right, '<p id="hours">x</p>', ['head' => $site, 'selector' => '#hours']];
        yield 'without the site’s tag' => [PlacementVerdict::Missing, '<p id="hours">x</p>', ['selector' => '#hours']];
        yield 'with another site’s tag' => [PlacementVerdict::OtherKey, '<p id="hours">x</p>', ['head' => str_replace('1926', '1927', $site), 'selector' => '#hours']];
        yield 'a selector of nothing' => [PlacementVerdict::NoPlace, '<p>x</p>', ['head' => $site, 'selector' => '#hours']];
        yield 'a selector of three' => [PlacementVerdict::ManyPlaces, '<p>x</p><p>y</p><p>z</p>', ['head' => $site, 'selector' => 'p']];
        yield 'a selector that is none' => [PlacementVerdict::NoPlace, '<p>x</p>', ['head' => $site, 'selector' => 'p[']];
        yield 'an address that is not allowed' => [PlacementVerdict::NotAllowed, $script.$element, ['address' => 'https://elsewhere.example/visit']];
        yield 'a part of the site that is' => [PlacementVerdict::Right, $script.$element, ['address' => 'https://shop.quillmoor.example/visit']];
        yield 'never published' => [PlacementVerdict::NotPublished, $script.$element, ['isOut' => false]];
    }

    public function test_next_steps_fit_what_is_wrong(): void
    {
        self::assertStringContainsString('elsewhere.example, which is not where', self::told('<script src="https://elsewhere.example/gnomic.js"></script>'.self::ELEMENT)[0]->says);
        foreach (['data-src' => 'scroll', 'data-lazy-src' => 'scroll', 'data-cookieblock-src' => 'consent'] as $attribute => $why) {
            self::assertStringContainsString($why, self::told(str_replace(' src', " $attribute", self::SCRIPT).self::ELEMENT)[0]->says);
        }
        foreach ([401 => 'status 401', 403 => 'status 403'] as $status => $says) {
            $told = PageFault::of('https://quillmoor.example/x', new FetchedPage('', 'https://quillmoor.example/x', status: $status), '');
            self::assertSame(PlacementVerdict::SignIn, $told?->verdict);
            self::assertStringContainsString($says, $told->says);
            self::assertStringNotContainsString('sends', $told->says);
        }
    }

    public function test_international_names_are_one_however_written(): void
    {
        foreach (['bücher.example', 'BÜCHER.example', 'xn--bcher-kva.example', 'https://bücher.example/x'] as $written) {
            self::assertSame('xn--bcher-kva.example', AllowedHosts::tidy($written), $written);
            self::assertTrue(AllowedHosts::of([(string) AllowedHosts::tidy($written)])->allows('xn--bcher-kva.example', null));
        }
        self::assertSame('*.xn--fiqs8s:8080', AllowedHosts::tidy('*.中国:8080'));
        self::assertTrue(AllowedHosts::of(['*.bücher.example'])->allows('shop.bücher.example', null));
        self::assertTrue(AllowedHosts::of(['straße.example'])->allows('xn--strae-oqa.example', null));
    }

    public function test_the_line_to_add_is_the_whole_directive(): void
    {
        [$told] = self::told(self::SCRIPT.self::ELEMENT, ["default-src 'none'; script-src 'self' https://cdn.example; img-src *"]);
        self::assertSame("script-src 'self' https://cdn.example https://words.gnomic.example; connect-src https://words.gnomic.example", $told->line);
        self::assertSame(PlacementVerdict::Right, self::told(self::SCRIPT.self::ELEMENT, ["default-src 'none'; img-src *; $told->line"])[0]->verdict, 'and it helps');
    }

    public function test_pages_made_to_take_long_are_read_all_the_same(): void
    {
        foreach ([str_repeat('<div>', 50_000), str_repeat('<gnomic-widget key=dome4visit>', 5_000), '<p>'.str_repeat('&lt;gnomic-widget ', 50_000)] as $body) {
            self::assertNotSame('', self::told($body)[0]->says);
        }
    }

    public function test_what_a_page_says_of_itself(): void
    {
        $tags = PageTags::of(new FetchedPage('<html lang="de"><title> Ein  Abend </title><input type=Password>', 'https://a.example/'), self::HOST);
        self::assertSame(['Ein Abend', 'de', true], [$tags->title, $tags->language, $tags->asksToSignIn]);
    }

    public function test_hosts(): void
    {
        $hosts = AllowedHosts::of(['quillmoor.example', '*.quillmoor.example', 'localhost:8082', '127.0.0.1:*']);
        foreach (['quillmoor.example' => null, 'a.b.quillmoor.example' => 8443, 'localhost' => 8082, '127.0.0.1' => 1] as $host => $port) {
            self::assertTrue($hosts->allows($host, $port), $host);
        }
        foreach (['evilquillmoor.example' => null, 'localhost' => 8083, 'quillmoor.example.evil' => null] as $host => $port) {
            self::assertFalse($hosts->allows($host, $port), $host);
        }
        self::assertSame(['quillmoor.example', '*.a.example', 'localhost:*', null, null, null], array_map(
            AllowedHosts::tidy(...), ['https://Quillmoor.example/visit?x', '*.a.example', 'localhost:*', 'a b', '*', 'a..b'],
        ));
    }

    public function test_frames_by_their_headers(): void
    {
        $blocks = fn (string ...$headers): bool => FrameHeaders::blocks(array_values($headers), 'https://quillmoor.example/visit', self::HOST.'/w/x') !== null;
        self::assertFalse($blocks());
        self::assertTrue($blocks('X-Frame-Options: DENY'));
        self::assertFalse($blocks('X-Frame-Options: DENY', 'Content-Security-Policy: frame-ancestors *'), 'the policy comes before it');
        self::assertTrue($blocks("Content-Security-Policy: frame-ancestors 'none'"));
        self::assertFalse($blocks('Content-Security-Policy: default-src x; frame-ancestors https://*.example'));
        self::assertNull(FrameHeaders::blocks(['x-frame-options: SameOrigin'], self::HOST.'/a', self::HOST.'/w/x'));
    }
}
