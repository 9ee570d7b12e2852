<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Gather\Page\Robots;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** RFC 9309, its rules and its examples (sections 2.2 and 5), from memory of the text. */
final class RobotsTest extends TestCase
{
    /** §5.1 */
    private const SIMPLE = "User-Agent: *\nDisallow: *.gif$\nDisallow: /example/\nAllow: /publications/\n\n"
        ."User-Agent: foobot\nDisallow:/\nAllow:/example/page.html\nAllow:/example/allowed.gif\n\n"
        ."User-Agent: barbot\nUser-Agent: bazbot\nDisallow: /example/page.html\n\nUser-Agent: quxbot\n\nEOF";

    #[DataProvider('cases')]
    public function test_what_is_asked(string $text, string $agent, string $path, bool $allowed): void
    {
        self::assertSame($allowed, Robots::read($text, $agent)->allows($path));
    }

    /** @return iterable<string, array{string, string, string, bool}> */
    public static function cases(): iterable
    {
        foreach ([
            ['anybot', '/example/x', false], ['anybot', '/publications/x', true], ['anybot', '/a.gif', false], ['anybot', '/a.gif?x', true],
            ['foobot', '/example/page.html', true], ['foobot', '/example/allowed.gif', true], ['foobot', '/', false],
            ['barbot', '/example/page.html', false], ['bazbot', '/example/page.html', false], ['barbot', '/example/', true],
            ['quxbot', '/example/page.html', true], ['FooBot', '/x', false],
        ] as [$agent, $path, $allowed]) {
            yield "5.1, $agent $path" => [self::SIMPLE, $agent, $path, $allowed];
        }
        $longest = "User-Agent: foobot\nAllow: /example/page/\nDisallow: /example/page/disallowed.gif\n";
        yield '5.2, the longest match' => [$longest, 'foobot', '/example/page/disallowed.gif', false];
        yield '5.2, what is shorter' => [$longest, 'foobot', '/example/page/', true];
        yield '2.2.2, equal rules allow' => ["User-agent: *\nDisallow: /a\nAllow: /a", 'x', '/a', true];
        yield '2.2.2, percent-encoded' => ["User-agent: *\nDisallow: /foo/bar/%E3%83%84", 'x', '/foo/bar/ツ', false];
        yield '2.2.2, an octet that need not be' => ["User-agent: *\nDisallow: /foo/bar/%62%61%7A", 'x', '/foo/bar/baz', false];
        yield '2.2.2, as it stands' => ["User-agent: *\nDisallow: /foo/bar?baz=quz", 'x', '/foo/bar?baz=quz', false];
        yield '2.2.1, groups of one name are one' => ["User-agent: a\nDisallow: /x\n\nUser-agent: b\nDisallow: /y\n\nUser-agent: a\nDisallow: /z", 'a', '/z', false];
        yield '2.2.1, the product alone' => ["User-agent: ExampleBot/1.2\nDisallow: /", 'examplebot', '/x', false];
        yield '2.2.1, its own group instead of that for all' => ["User-agent: *\nDisallow: /\n\nUser-agent: gnomic\nDisallow: /no", 'Gnomic', '/yes', true];
        yield '2.2.3, a dollar in the middle is one' => ["User-agent: *\nDisallow: /a\$b", 'x', '/a$b/c', false];
        yield '2.2.3, the end' => ["User-agent: *\nDisallow: /*.php$", 'x', '/index.php', false];
        yield '2.2.3, not the end' => ["User-agent: *\nDisallow: /*.php$", 'x', '/index.php5', true];
        yield '2.2.3, a star' => ["User-agent: *\nDisallow: /*/secret", 'x', '/a/b/secret/c', false];
        yield '2.2.2, itself' => ["User-agent: *\nDisallow: /", 'x', '/robots.txt', true];
        yield '2.2.2, nothing is disallowed' => ["User-agent: *\nDisallow:", 'x', '/x', true];
        yield 'no rules' => ['', 'x', '/x', true];
        yield 'a remark behind a rule' => ["User-agent: * # all\nDisallow: /a # this", 'x', '/a', false];
        yield 'a mark at its beginning' => ["\u{FEFF}User-agent: *\nDisallow: /a", 'x', '/a', false];
        yield 'a thousand stars' => ['User-agent: *'."\nDisallow: /".str_repeat('*a', 1_000).'$', 'x', '/'.str_repeat('a', 900), true];
    }

    public function test_where_it_cannot_be_had(): void
    {
        // §2.3.1.3: there is none, everything may be had; §2.3.1.4: it is unreachable, nothing may.
        self::assertTrue(Robots::read('', 'x')->allows('/'));
        self::assertFalse(Robots::unreachable()->allows('/x'));
        self::assertSame(['https://a.example/s.xml?a=1#x'], Robots::read("Sitemap: https://a.example/s.xml?a=1#x\n", 'x')->sitemaps);
    }
}
