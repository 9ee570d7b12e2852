<?php

declare(strict_types=1);

namespace Tests\core\Dress;

use Gnomic\Dress\Matching\Matching;
use Gnomic\Dress\Page\StyledPage;
use Gnomic\Dress\Page\Viewport;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What of a page's style sheets is understood, and what of them is counted and told. Sources: CSS modules of the W3C by name. */
final class PageReadingTest extends TestCase
{
    private const PAGE = '<h2 class="a">What visitors say</h2><p id="p" class="text-[17px] b">Come up, <a href="/v">plan your night</a>. '
        .'It is worth it.</p>';

    private static function page(string $css, string $body = self::PAGE): StyledPage
    {
        return StyledPage::of("<!doctype html><style>$css</style><body>$body</body>", 'https://quillmoor.example/in/');
    }

    private static function colour(string $css, string $body = self::PAGE): string
    {
        $page = self::page($css, $body);
        $paragraph = $page->document->getElementById('p');
        self::assertNotNull($paragraph);

        return $page->styles(new Viewport, fn (): ?array => null)->computed($paragraph)->colour->toHex();
    }

    /** @return iterable<string, array{string, string}> */
    public static function rules(): iterable
    {
        // CSS Syntax 3, 5.4.1: these two tokens are nothing at the top of a sheet.
        yield 'rules in a comment of HTML' => ['<!-- body{color:#110000} --> #p{color:#220000}', '#220000'];
        yield 'the first rule after it' => ["<!--\n#p{color:#110000}\n-->", '#110000'];
        // CSS Syntax 3, 4.3.7.
        yield 'escaped brackets' => ['.text-\[17px\]{color:#110000}', '#110000'];
        yield 'escapes by code' => ['.text-\5b 17px\5d{color:#110000}', '#110000'];
        // CSS Nesting 1, 4.
        yield 'what is nested beats what stands before it' => ['#p{color:red;@media (min-width:1px){color:#110000}}', '#110000'];
        yield 'and not what stands behind it' => ['#p{color:red;@media (min-width:1px){color:blue}color:#110000}', '#110000'];
        // Selectors 4.
        yield 'has' => ['p:has(> a[href]){color:#110000}p:has(img){color:red}', '#110000'];
        yield 'has, of what follows' => ['h2:has(+ .b) + p{color:#110000}', '#110000'];
        yield 'dir' => ['p:dir(ltr){color:#110000}p:dir(rtl){color:red}', '#110000'];
        yield 'a place among some' => ['body > :nth-child(1 of p){color:#110000}', '#110000'];
        // CSS Cascade 6.
        yield 'a scope' => ['@scope (body) to (h2){p{color:#110000}}@scope (body) to (p){p{color:red}}', '#110000'];
        yield 'the root of a scope' => ['@scope (p){:scope{color:#110000}}', '#110000'];
        // CSS Cascade 5, 7.3.
        yield 'back to the layer before' => ['@layer a{p{color:#110000}}@layer b{p{color:red}p{color:revert-layer}}', '#110000'];
        // CSS Containment 3.
        yield 'a container by its own width' => ['body{container-type:inline-size;width:300px;margin:0}p{color:#110000}'
            .'@container (min-width:301px){p{color:red}}', '#110000'];
    }

    #[DataProvider('rules')]
    public function test_a_rule_holds_as_in_a_browser(string $css, string $colour): void
    {
        self::assertSame($colour, self::colour($css));
    }

    public function test_what_is_not_understood_is_counted_told_and_not_sure(): void
    {
        $match = fn (string $css): Matching => Matching::of(self::page($css), fn (): ?array => null, new Viewport);
        $sure = fn (Matching $matching, string $token): bool => array_column(
            array_map(get_object_vars(...), $matching->proposals[0]->evidence),
            'isSure',
            'token',
        )[$token];

        $known = $match('p{color:#123}');
        self::assertSame([], $known->doubts);
        self::assertTrue($sure($known, 'light.ink'));

        $told = $match('p{color:#123}p:heading-like(2){color:red}p:other(3){padding:1px}');
        self::assertSame(['2 rules were not understood; what rests on them is not sure.'], $told->doubts);
        self::assertFalse($sure($told, 'light.ink'));
        self::assertTrue($sure($told, 'tokens.size'));
        self::assertSame('#112233', $told->proposals[0]->look->light->colours['ink']);

        // Nobody knows how high a container is before a page is laid out.
        $high = $match('body{container-type:size}@container (min-height:10px){p{font-size:20px}}p{color:#123}');
        self::assertSame(['One rule was not understood; what rests on it is not sure.'], $high->doubts);
        self::assertFalse($sure($high, 'tokens.size'));
        self::assertFalse($sure($match('p{font-size:2ch}'), 'tokens.size'));
        self::assertFalse($sure($match(':root:unheard(1){--ink:red}p{color:var(--ink,#123)}'), 'light.ink'));
    }

    public function test_a_picture_is_found_from_its_style_sheet(): void
    {
        $page = StyledPage::of(
            '<!doctype html><link rel=stylesheet href="/css/site.css"><body><section><h2>Sky</h2><p>Come up and see.</p></section></body>',
            'https://quillmoor.example/in/',
        );
        $asked = [];
        Matching::of($page, fn (string $address): array => [
            'css' => 'section{background:url(../img/sky.jpg)}',
            'name' => 'site.css',
            'address' => $address,
        ], new Viewport, function (string $address) use (&$asked): ?array {
            $asked[] = $address;

            return null;
        });
        self::assertContains('https://quillmoor.example/img/sky.jpg', $asked);
    }
}
