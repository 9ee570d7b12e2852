<?php

declare(strict_types=1);

namespace Tests\against;

use App\Fetching\Fetcher;
use App\Fetching\Hosts;
use App\Sources\Access\OAuthProvider;
use Gnomic\Gather\Http\Links;
use Gnomic\Gather\Page\Robots;
use Gnomic\Gather\Page\Sitemap;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class HttpTest extends TestCase
{
    /** RFC 8288, the examples of §3.5, and what its grammar (§3) allows besides. */
    #[DataProvider('links')]
    public function test_links(string $header, string $relation, ?string $address): void
    {
        self::assertSame($address, Links::of($header, $relation, 'http://example.com/TheBook/chapter1'));
    }

    /** @return iterable<array{string, string, string|null}> */
    public static function links(): iterable
    {
        yield [
            '<http://example.com/TheBook/chapter2>; rel="previous"; title="previous chapter"',
            'previous',
            'http://example.com/TheBook/chapter2',
        ];
        yield ['</>; rel="http://example.net/foo"', 'http://example.net/foo', 'http://example.com/'];
        yield [
            "</TheBook/chapter2>; rel=\"previous\"; title*=UTF-8'de'letztes%20Kapitel, </TheBook/chapter4>; rel=\"next\"; "
                ."title*=UTF-8'de'n%c3%a4chstes%20Kapitel",
            'next',
            'http://example.com/TheBook/chapter4',
        ];
        yield ['<http://example.org/>; rel="start http://example.net/relation/other"', 'start', 'http://example.org/'];
        yield ['<https://example.org/>; rel="start", <https://example.org/index>; rel="index"', 'index', 'https://example.org/index'];
        yield ['<b>;rel=NEXT', 'next', 'http://example.com/TheBook/b'];
        yield ['<b>; title="a, rel=next"', 'next', null];
        yield ['', 'next', null];
    }

    /** RFC 7636, §4.1 and §4.2: what Gnomic asks for carries the challenge of the verifier that it keeps. */
    public function test_a_grant_begins_with_the_challenge_of_its_verifier(): void
    {
        $challenge = fn (string $verifier): string => rtrim(strtr(base64_encode(hash('sha256', $verifier, true)), '+/', '-_'), '=');
        // Appendix B holds the rule itself.
        self::assertSame('E9Melhoa2OwvFrEMTJguCHaoeK1t8URWbuGJSstw-cM', $challenge('dBjftJeZ4CVP-mB92K27uhbUJU1p1r_wW1gFWFOEjXk'));
        $fetcher = new Fetcher(new Hosts([]), 1, 1, 0);
        $provider = new OAuthProvider('x', 'X', 'https://x.example', 'c', 's', 'https://a.example/back', ['read' => 'read'], 60, $fetcher);
        $verifiers = $states = [];
        for ($time = 0; $time < 20; $time++) {
            ['address' => $address, 'state' => $state, 'verifier' => $verifier] = $provider->beginning();
            self::assertMatchesRegularExpression('/^[A-Za-z0-9._~-]{43,128}$/', $verifier);
            parse_str((string) parse_url($address, PHP_URL_QUERY), $sent);
            self::assertSame(
                [$challenge($verifier), 'S256', $state, 'code', 'https://a.example/back'],
                [
                    $sent['code_challenge'],
                    $sent['code_challenge_method'],
                    $sent['state'],
                    $sent['response_type'],
                    $sent['redirect_uri'],
                ],
            );
            self::assertArrayNotHasKey('code_verifier', $sent, 'the secret of it stays here');
            $verifiers[$verifier] = $states[$state] = true;
        }
        self::assertSame([20, 20], [count($verifiers), count($states)], 'neither is ever used twice');
    }

    /** RFC 9309, §5.1 and §5.2, the simple example and the longest match. */
    public function test_robots(): void
    {
        $text = "User-Agent: *\nDisallow: *.gif$\nDisallow: /example/\nAllow: /publications/\n\nUser-Agent: "
            ."foobot\nDisallow:/\nAllow:/example/page.html\nAllow:/example/allowed.gif\n\nUser-Agent: barbot\nUser-Agent: "
            ."bazbot\nDisallow: /example/page.html\n\nUser-Agent: quxbot\n";
        $other = Robots::read($text, 'other');
        self::assertSame(
            [false, false, true],
            [$other->allows('/a.gif'), $other->allows('/example/x'), $other->allows('/publications/x')],
        );
        $foo = Robots::read($text, 'FooBot');
        self::assertSame(
            [false, true, true],
            [$foo->allows('/x'), $foo->allows('/example/page.html'), $foo->allows('/example/allowed.gif')],
        );
        self::assertSame(
            [false, true],
            [Robots::read($text, 'bazbot')->allows('/example/page.html'), Robots::read($text, 'bazbot')->allows('/x')],
        );
        $longest = Robots::read("User-Agent: foobot\nAllow: /example/page/\nDisallow: /example/page/disallowed.gif", 'foobot');
        self::assertSame([true, false], [$longest->allows('/example/page/x'), $longest->allows('/example/page/disallowed.gif')]);
    }

    /** sitemaps.org protocol: its sample, an index of sitemaps, and the plain form. */
    public function test_sitemaps(): void
    {
        self::assertSame(
            ['http://www.example.com/'],
            Sitemap::read(
                '<?xml version="1.0" encoding="UTF-8"?><urlset '
                    .'xmlns="http://www.sitemaps.org/schemas/sitemap/0.9"><url><loc>http://www.example.com/</loc><lastmod>2005-01-01</lastmod><changefreq>monthly</changefreq><priority>0.8</priority></url></urlset>',
                10,
            )->pages,
        );
        self::assertSame(
            ['http://www.example.com/sitemap1.xml.gz', 'http://www.example.com/sitemap2.xml.gz'],
            Sitemap::read(
                '<?xml version="1.0" encoding="UTF-8"?><sitemapindex '
                    .'xmlns="http://www.sitemaps.org/schemas/sitemap/0.9"><sitemap><loc>http://www.example.com/sitemap1.xml.gz</loc></sitemap><sitemap><loc>http://www.example.com/sitemap2.xml.gz</loc></sitemap></sitemapindex>',
                10,
            )->sitemaps,
        );
        self::assertSame(
            ['http://www.example.com/a', 'http://www.example.com/b'],
            Sitemap::read("http://www.example.com/a\nhttp://www.example.com/b\n", 10)->pages,
        );
    }
}
