<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Place\Pattern\PathPattern;
use Gnomic\Place\Pattern\PatternIsWrong;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/**
 * Patterns of paths, against npm urlpattern-polyfill and against Chromium's own URLPattern: the same pages for the same patterns. The
 * cases are those for pathname of the list that web-platform-tests publishes (urlpattern/resources/urlpatterntestdata.json, from
 * memory), and some of what sites have.
 */
final class PatternsTest extends TestCase
{
    private const CASES = [
        '/foo/bar' => ['/foo/ba', '/foo/bar', '/foo/bar/', '/foo/bar/baz', '/FOO/BAR'],
        '/foo/(.*)' => ['/foo', '/foo/', '/foo/bar', '/foo/bar/baz'],
        '/foo/*' => ['/foo', '/foo/', '/foo/bar', '/foobar'],
        '/foo/:bar' => ['/foo/bar', '/foo/index.html', '/foo/bar/', '/foo/'],
        '/foo/([^\/]+?)' => ['/foo/bar', '/foo/'],
        '/foo/:bar?' => ['/foo/bar', '/foo', '/foo/', '/foobar', '/foo/bar/baz'],
        '/foo/:bar+' => ['/foo/bar', '/foo/bar/baz', '/foo', '/foo/', '/foobar'],
        '/foo/:bar*' => ['/foo/bar', '/foo/bar/baz', '/foo', '/foo/', '/foobar'],
        '/foo/(.*)?' => ['/foo/bar', '/foo', '/foo/', '/foobar', '/fo'],
        '/foo/*?' => ['/foo/bar', '/foo', '/foobar', '/fo'],
        '/foo/(.*)+' => ['/foo/bar', '/foo', '/foo/', '/foobar'],
        '/foo/*+' => ['/foo/bar', '/foo', '/foo/'],
        '/foo/(.*)*' => ['/foo/bar', '/foo', '/foo/', '/foobar'],
        '/foo/**' => ['/foo/bar', '/foo', '/foobar'],
        '/foo{/bar}' => ['/foo/bar', '/foo', '/foo/bar/baz'],
        '/foo{/bar}?' => ['/foo/bar', '/foo', '/foo/', '/foo/bar/baz'],
        '/foo{/bar}+' => ['/foo/bar', '/foo/bar/bar', '/foo', '/foo/bar/baz'],
        '/foo{/bar}*' => ['/foo/bar', '/foo/bar/bar', '/foo', '/foo/'],
        '/foo/../bar' => ['/bar', '/foo/bar'],
        '/foo/./bar' => ['/foo/bar'],
        '/caf%C3%A9' => ['/café', '/caf%c3%a9', '/caf%C3%A9'],
        '/café' => ['/caf%C3%A9', '/café'],
        '/caf%c3%a9' => ['/café', '/caf%c3%a9'],
        '/name.html' => ['/name.html', '/nameXhtml'],
        '/:café' => ['/foo'],
        '/:℘' => ['/foo'],
        '/:㐀' => ['/foo'],
        '/:name.:ext' => ['/a.b', '/a', '/a.b.c'],
        '/:a-:b' => ['/x-y', '/xy', '/x-y-z'],
        '/:id(\d+)' => ['/12', '/1x', '/x'],
        '/:lang(de|fr)/visit' => ['/de/visit', '/fr/visit', '/en/visit', '/defr/visit'],
        '/(foo)(.*)' => ['/foobarbaz', '/foo', '/fo'],
        '/{(foo)bar}(.*)' => ['/foobarbaz', '/foobar'],
        '/{(foo)?}(.*)' => ['/foobarbaz', '/bar'],
        '/{:foo}bar' => ['/foobar', '/bar', '/foofoobar'],
        '/{:foo}(barbaz)' => ['/foobarbaz'],
        '/{:foo}{(.*)}' => ['/foobarbaz'],
        '/{:foo}{bar(.*)}' => ['/foobarbaz'],
        '/{:foo}:bar(.*)' => ['/foobarbaz'],
        '/{:foo}?(.*)' => ['/foobarbaz', '/'],
        '/{:foo\bar}' => ['/foobar'],
        '/{:foo\.bar}' => ['/foo.bar'],
        '/{:foo(foo)bar}' => ['/foobar'],
        '/{:foo}\bar' => ['/foobar'],
        '/:foo\bar' => ['/foobar'],
        '/:foo./' => ['/bar./', '/bar/'],
        '/:foo../' => ['/bar../'],
        '/foo/([a-z]+)/bar' => ['/foo/x/bar', '/foo/1/bar'],
        '/foo/(bar|baz)?' => ['/foo', '/foo/bar', '/foo/baz', '/foo/', '/foo/x'],
        '/a/*/c' => ['/a/b/c', '/a//c', '/a/c', '/a/b/d/c'],
        '*' => ['/', '/x/y'],
        '/*' => ['/', '/x', ''],
        '/*/*' => ['/x/y', '/x', '//'],
        '*.html' => ['/a.html', '/a/b.html', '/html'],
        '/a*b*c' => ['/abc', '/axbxc', '/ab', '/acb', '/abcbc'],
        '/a*a' => ['/a', '/aa', '/aba'],
        '/foo\*' => ['/foo*', '/foobar'],
        '/foo\:x' => ['/foo:x'],
        '/foo\{\}' => ['/foo{}', '/foo%7B%7D'],
        '/a+b' => ['/ab', '/a+b'],
        '/a\+b' => ['/a+b', '/ab'],
        '/a b' => ['/a b', '/a%20b'],
        '/shop/:item{/:part}?' => ['/shop/lamp', '/shop/lamp/bulb', '/shop/lamp/bulb/x'],
        '/:year(\d{4})/:month(\d\d)/*' => ['/2026/11/x', '/26/11/x', '/2026/11/'],
        '/visit{/}?' => ['/visit', '/visit/', '/visit/x'],
        '/((?:a|b)+)' => ['/ab', '/abc'],
        '/x(?:y)' => ['/xy'],
        '/(?bad)' => ['/bad'],
        '/((a))' => ['/a'],
        '/(' => ['/'],
        '/)' => ['/)'],
        '/()' => ['/'],
        '/{' => ['/'],
        '/}' => ['/'],
        '/{a' => ['/a'],
        '/{{a}}' => ['/a'],
        '/:' => ['/'],
        '/a:' => ['/a:'],
        '/a?' => ['/a', '/'],
        '/a/?' => ['/a'],
        '/:a/:a' => ['/x/y'],
        '/a\\' => ['/a'],
        '/([z-a])' => ['/a'],
        '/(\\' => ['/'],
        '/([é])' => ['/é'],
        '/über*' => ['/über', '/%C3%BCber/uns'],
        '/日本/*' => ['/日本/x', '/%E6%97%A5%E6%9C%AC/x'],
        '/a|b' => ['/a|b', '/a'],
        '/a^b$' => ['/a^b$', '/a%5Eb$'],
        '/a~b' => ['/a~b'],
        '/a"b' => ['/a%22b', '/a"b'],
        "/a'b" => ["/a'b", '/a%27b'],
    ];

    /** Refused: what sets of sets, references, properties or nothing would be, and what either side reads otherwise. */
    private const REFUSED = ['/([[a]])', '/([a--b])', '/([a&&b])', '/(\p{L}+)', '/((?:a)\1)', '/(\k<x>)', '/(a++)', '/(*a)', '/([])', '/([^])', '/((?i:x))', '/((?<n>a))',
        '/([b-a])', '/(a{3,2})', '/(a{2000})', '/(\q)', '/(\cA)', '/((?=a)*)', '/(\u{61})', '/(\xé)', '/([a)', '/(a|*)', '/(\8)', '/(^*)', '/([()|x]+)'];

    private const EXPRESSIONS = [...self::REFUSED, '/([\w-]+)', '/([^/]+)', '/x/(\d+)', '/([\w.-]+)', '/([-\w]+)', '/([a-z-]+)', '/([a-z\-]+)', '/([\d-x]+)', '/([^/?#]+)', '/(a[{}]?)',
        '/(a{)', '/(a])', '/(a})', '/(\[x\])', '/([\[\]x]+)', '/([.+*?^$]+)', '/(\-x|a-b)', '/(a\-b)', '/([a\/b]+)', '/(a/b)', '/([!-~]+)', '/([%\w]+)', '/([~|]+a)',
        '/(a{1}b?)', '/(a{1,}.*)', '/(a{,3})', '/((?:a|x)(?:/12)?)', '/((?!x)[^/]+)', '/((?<=/)a)', '/(.+?)', '/(\S+)', '/([\S]+)', '/([\x61-\x63]+)', '/(\u0061)', '/([\b]|a)', '/(\ba\b)',
        '/([a-z]+~[a-z]+)', '/([\'"`,;<=>@:&a]+)', '/(lamp|LAMP)', '/([A-Za-z]{4})', '/([0-9]{4})/([0-9]{2})/(\d\d)', '/(a%20b)', '/(^a$)', '/([#!]|a)', '/(a\+b)', '/(a&&b)', '/:lang(de|en)/([\w-]+)'];

    private const ORDER = ['/*', '*', '/shop/*', '/shop/lamps/*', '/shop/:item', '/shop/basket', '/shop/(\d+)', '/:a/*', '/:a/:b', '/shop/*/x',
        '/shop', '/', '/shop{/x}?', '/shop/:a?', '/shop/:a+', '/shop/:a*', '/*/x', '/shop/lamp-*'];

    public function test_patterns_match_as_theirs(): void
    {
        $cases = $order = [];
        foreach (self::CASES as $pattern => $paths) {
            foreach ($paths as $path) {
                $cases[] = [$pattern, $path];
            }
        }
        foreach (self::ORDER as $one) {
            foreach (self::ORDER as $other) {
                $order[] = [$one, $other];
            }
        }
        $process = new Process(['node', __DIR__.'/patterns.mjs'], input: (string) json_encode(compact('cases', 'order')), timeout: 120);
        $theirs = json_decode($process->mustRun()->getOutput(), true);
        self::assertGreaterThan(200, count($cases));
        $wrong = [];
        foreach ($cases as $index => [$pattern, $path]) {
            $ours = self::ours($pattern, $path);
            // Where the two of them differ, the one that follows the newer text is right: Chromium.
            if ($ours !== $theirs['chromium'][$index]) {
                $wrong[] = "$pattern on $path: ".json_encode([$ours, $theirs['chromium'][$index], $theirs['polyfill'][$index]]);
            }
        }
        self::assertSame([], $wrong);
        foreach ($order as $index => [$one, $other]) {
            self::assertSame($theirs['order'][$index], PathPattern::of($one)->compared(PathPattern::of($other)) <=> 0, "$one and $other");
        }
    }

    /** Expressions as owners write them: what is taken is one for browsers, too, and means the same there; what is not, is refused here. */
    public function test_expressions_are_for_browsers_too(): void
    {
        $paths = ['/', '/a', '/a-b', '/a_b.c', '/a/b', '/x/12', '/x/1-2', '/caf%C3%A9', '/(x)', '/a{', '/a]', '/[x]', '/a+b', '/a&&b', '/lamp', '/LAMP', '/a~b', '/a|b', '/a%20b', '/2026/11/30'];
        $accepted = $cases = [];
        foreach ([...array_keys(self::CASES), ...self::EXPRESSIONS] as $pattern) {
            try {
                $read = PathPattern::of($pattern);
            } catch (PatternIsWrong) {
                continue;
            }
            $compiled = $read->compiled();
            $accepted[] = $pattern;
            foreach ($paths as $path) {
                $cases[] = [$compiled, $path, $read->matches($path), $pattern];
            }
        }
        self::assertSame([], array_values(array_intersect($accepted, self::REFUSED)));
        self::assertSame([], array_values(array_diff(self::EXPRESSIONS, self::REFUSED, $accepted)));
        $process = new Process(['node', __DIR__.'/compiled.mjs'], input: (string) json_encode($cases), timeout: 120);
        self::assertSame([], json_decode($process->mustRun()->getOutput(), true));
    }

    private static function ours(string $pattern, string $path): ?bool
    {
        try {
            return PathPattern::of($pattern)->matches($path);
        } catch (PatternIsWrong) {
            return null;
        }
    }
}
