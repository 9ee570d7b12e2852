<?php

declare(strict_types=1);

namespace Tests\core\Dress;

use Gnomic\Dress\Matching\Matching;
use Gnomic\Dress\Matching\Proposal;
use Gnomic\Dress\Page\StyledPage;
use Gnomic\Dress\Page\Viewport;
use Gnomic\Dress\Scheme;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Effort;

final class MatchingTest extends TestCase
{
    private const WORDS = '<h2>What visitors say</h2><p>Come up and look through; the sky is clear, and the cocoa is hot. <a href="/v">Plan</a></p>';

    private static function match(string $css, string $body): Matching
    {
        $page = StyledPage::of("<!doctype html><style>$css</style><body>$body</body>", 'https://quillmoor.example/');

        return Matching::of($page, fn (): ?array => null, new Viewport, fn (): array => ['#102030', '#405060']);
    }

    /** @return array<string, string|int> */
    private static function values(Proposal $proposal): array
    {
        return array_column(array_map(get_object_vars(...), $proposal->evidence), 'value', 'token');
    }

    public function test_each_part_that_looks_different_proposes_for_itself(): void
    {
        $matching = self::match(
            'body{color:#222;background:#fafafa} a{color:#7a2e5d} .band{background:#1b1530;color:#efe9f5} .band a{color:#ffd9a0}
             .sky{background:linear-gradient(#00000080,#00000080),url(/sky.jpg);color:#fff} footer{background:#eee;color:#555}',
            self::WORDS.'<section class=band>'.self::WORDS.'<gnomic-widget key="abcd1234"></gnomic-widget></section><div class=sky>'.self::WORDS
                .'</div><footer><p>Open when the sky is.</p></footer>',
        );
        self::assertSame(['the page itself', '"What visitors say"', '"What visitors say"', 'the foot'], array_column(
            array_map(get_object_vars(...), $matching->proposals),
            'name',
        ));
        [$page, $band, $sky, $foot] = $matching->proposals;
        self::assertSame([false, true, true, false], array_map(fn (Proposal $one): bool => $one->isDark, $matching->proposals));
        self::assertSame([[], ['abcd1234'], [], []], array_map(fn (Proposal $one): array => $one->tags, $matching->proposals));
        self::assertSame(['#222222', '#7a2e5d'], [self::values($page)['light.ink'], self::values($page)['light.link']]);
        self::assertSame(
            ['#efe9f5', '#ffd9a0', '#1b1530'],
            array_map(fn (string $token): string|int => self::values($band)["dark.$token"], ['ink', 'link', 'behind']),
        );
        // The picture was looked at, and its veil lies over it.
        self::assertSame(['#081018', '#202830'], [$sky->look->dark->colours['behind'], $sky->look->dark->colours['behindTo']]);
        self::assertSame('#555555', self::values($foot)['light.ink']);
    }

    public function test_a_page_that_is_dark_for_some_proposes_both(): void
    {
        $matching = self::match(
            ':root{color-scheme:light dark} body{color:#223;background:#fff} @media (prefers-color-scheme:dark){body{color:#dde;background:#112}}',
            self::WORDS,
        );
        $look = $matching->proposals[0]->look;
        self::assertSame(Scheme::Visitor, $look->scheme);
        self::assertSame(['#222233', '#ddddee', '#111122'], [$look->light->colours['ink'], $look->dark->colours['ink'], $look->dark->colours['behind']]);
    }

    public function test_cards_are_read_as_cards(): void
    {
        $matching = self::match(
            '.cards{display:grid;gap:24px} .card{background:#fff8f0;border:2px solid #e0c8a8;border-radius:12px;padding:18px;box-shadow:0 2px 10px #0002}',
            self::WORDS.'<div class=cards><div class=card><p>a</p></div><div class=card><p>b</p></div><div class=card><p>c</p></div></div>',
        );
        $tokens = $matching->proposals[0]->look->tokens;
        self::assertCount(1, $matching->proposals, 'a card is no section');
        self::assertSame(94, $tokens->size, 'words are as large as those of the page, and what is measured by them is the page\'s own');
        self::assertSame([12, 19, 2, 26, 2, 0], [$tokens->corner, $tokens->inset, $tokens->edge, $tokens->gap, $tokens->shadow, $tokens->rule]);
        self::assertSame('#fff8f0', $matching->proposals[0]->look->light->colours['surface']);
    }

    public function test_what_was_derived_is_said_to_be_unsure(): void
    {
        $evidence = array_column(array_map(get_object_vars(...), self::match('body{color:#222}', self::WORDS)->proposals[0]->evidence), null, 'token');
        self::assertSame([true, false], [$evidence['light.ink']['isSure'], $evidence['light.quiet']['isSure']]);
        self::assertSame('color: #222 in the page itself, line 1', $evidence['light.ink']['said']);
    }

    public function test_nothing_is_no_fault(): void
    {
        $empty = Matching::of(StyledPage::of('', 'https://a.example/'), fn (): ?array => null, new Viewport);
        self::assertSame([[], 1], [$empty->proposals, count($empty->doubts)]);
        self::assertCount(1, self::match(str_repeat('@media screen{', 60), self::WORDS)->proposals);
        self::assertCount(1, self::match(':root{--a:var(--b);--b:var(--a)}body{color:var(--a);font-size:calc(1px*('.str_repeat('(', 99).'}', self::WORDS)->proposals);
    }

    /** Each of these took minutes, or all the memory there was, before it was bounded (CWE-400). */
    #[DataProvider('hostile')]
    public function test_what_is_made_to_take_long_does_not(string $css, string $body): void
    {
        self::assertNotSame([], self::match($css, $body)->proposals);
    }

    /** @return iterable<string, array{string, string}> */
    public static function hostile(): iterable
    {
        $doubled = fn (int $of): string => "--v$of:var(--v".($of - 1).')var(--v'.($of - 1).')';
        yield 'elements in elements' => ['', str_repeat('<b><i>', 200_000)];
        yield 'rules that nest themselves' => [str_repeat('p,a{& &{', 14).'color:red'.str_repeat('}}', 14), self::WORDS];
        yield 'variables that double' => [':root{--v0:'.str_repeat('x', 50).';'.implode(';', array_map($doubled, range(1, 60))).'}', self::WORDS];
        yield 'combinators' => [str_repeat(str_repeat('div ', 14).'> p ~ a{color:red}', 300), str_repeat('<div>', 240).self::WORDS];
        yield 'counted children' => [
            implode('', array_map(fn (int $of): string => "p:nth-child($of){color:red}", range(1, Effort::of(600, 1_500)))),
            str_repeat('<p>a</p>', Effort::of(5_000, 9_000)),
        ];
        yield 'brackets' => ['body{font-size:calc('.str_repeat('calc(', 400).'1px'.str_repeat(')', 400).')}', self::WORDS];
    }
}
