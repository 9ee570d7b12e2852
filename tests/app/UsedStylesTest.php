<?php

declare(strict_types=1);

namespace Tests\App;

use App\Editions\Sheets;
use App\Editions\UsedStyles;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class UsedStylesTest extends TestCase
{
    /** @return iterable<string, array{string, string}> rules, and what of them a card with words is for */
    public static function rules(): iterable
    {
        yield 'what is there' => ['.card{a:b}.card .words p{c:d}', '.card{a:b}.card .words p{c:d}'];
        yield 'what is not' => ['.dots{a:b}.card .reply{a:b}', ''];
        yield 'one of two' => ['.dots,.card{a:b}', '.card{a:b}'];
        yield 'without a class' => [':host([hidden]){a:b}p,button{a:b}', ':host([hidden]){a:b}p,button{a:b}'];
        yield 'an element that is not there' => ['p,ul{a:b}.card>b{a:b}summary::marker{a:b}span.card{a:b}', 'p{a:b}'];
        yield 'what is no element' => [
            '.card:dir(rtl) p,.card:nth-child(2 of .words){a:b}.card[data-of~=ul],:host([b i]){a:b}* + .card{a:b}',
            '.card:dir(rtl) p,.card:nth-child(2 of .words){a:b}.card[data-of~=ul],:host([b i]){a:b}* + .card{a:b}',
        ];
        yield 'a movement' => ['@keyframes round{from{a:b}50%{a:b}to{c:d}}', '@keyframes round{from,50%{a:b}to{c:d}}'];
        yield 'a group of rules' => ['@media (hover){.dots{a:b}.card{a:b}}@container (width<5em){.dots{a:b}}', '@media (hover){.card{a:b}}'];
        yield 'a group in a group' => [
            '@container (width<5em){@media (hover){.dots{a:b}.card{a:b}}.g{a:b}.card{c:d}}', '@container (width<5em){@media (hover){.card{a:b}}.card{c:d}}',
        ];
        yield 'what may be' => ['.card:is(.dots,.words){a:b}.card:not(.dots){a:b}', '.card:is(.dots,.words){a:b}.card:not(.dots){a:b}'];
        yield 'what may be, within' => ['.words p:not(:has(.lead,.cut))::before,.lead{a:b}', '.words p:not(:has(.lead,.cut))::before{a:b}'];
        yield 'what nothing has' => ['.words p:not(:has(.lead))::before{a:b}.card:not(:has(.q)){a:b}', '.words p::before{a:b}.card:not(:has(.q)){a:b}'];
        yield 'what has to be' => ['.card:has(.dots){a:b}.card:has(.words){a:b}', '.card:has(.words){a:b}'];
        yield 'what scripts give' => ['.card.live{a:b}.words.still{c:d}', '.card.live{a:b}.words.still{c:d}'];
        yield 'neighbours that say the same' => ['.card{a:b}.dots{c:d}.words{a:b}.words,.q{a:b}p{c:d}.card{a:b}', '.card,.words,.words,.q{a:b}p{c:d}.card{a:b}'];
        yield 'neighbours of which some browser reads one alone' => ['.card{a:b}.words::-x-a{a:b}.card:dir(rtl){a:b}p{a:b}', '.card{a:b}.words::-x-a{a:b}.card:dir(rtl){a:b}p{a:b}'];
        yield 'what holds in print' => [
            '@media print{.card{a:b}}.card{c:d}@media print{.dots{a:b}}@media print{.words{e:f}}p{a:b}',
            '.card{c:d}p{a:b}@media print{.card{a:b}.words{e:f}}',
        ];
        yield 'neighbours in groups' => ['@media (hover){.card{a:b}.words{a:b}}@container (width<5em){.card{a:b}}@container (width<5em){.card{a:b}}', '@media (hover){.card,.words{a:b}}@container (width<5em){.card{a:b}}@container (width<5em){.card{a:b}}'];
    }

    #[DataProvider('rules')]
    public function test_rules_are_kept_for_what_is_there(string $css, string $used): void
    {
        self::assertSame($used, (new UsedStyles)->of(new Sheets([$css]), '.g', '<div class="card"><p class="words q">…</p></div>'));
    }

    /** @return iterable<string, array{string, string, 2?: string}> */
    public static function properties(): iterable
    {
        yield 'the same everywhere' => ['.g{--gap:2em}.card{gap:var(--gap)}', '.card{gap:2em}'];
        yield 'of the page else' => ['.g{--gap:initial}.card{gap:var(--gap,1em)}', '.card{gap:1em}'];
        yield 'one within another' => ['.g{--a:initial;--b:initial}.card{gap:var(--a,var(--b,calc(1em + 2px)))}', '.card{gap:calc(1em + 2px)}'];
        yield 'one within another that differs' => [
            '.g{--a:initial}.card{--b:1em;gap:var(--a,var(--b,2em))}', '.card{--b:1em;gap:var(--b,2em)}',
        ];
        yield 'not the same everywhere' => [
            '.g{--ink:red}@media (hover){.g{--ink:black}}.card{color:var(--ink)}',
            '.g{--ink:red}@media (hover){.g{--ink:black}}.card{color:var(--ink)}',
        ];
        yield 'set later' => [
            '.g{--lines:initial;--gap:1em}.card{gap:var(--gap);-webkit-line-clamp:var(--lines)}',
            '.g{--lines:initial}.card{gap:1em;-webkit-line-clamp:var(--lines)}',
            '<style>.p2 .item:nth-child(1){--lines:3}</style>',
        ];
        yield 'asked for later' => [
            '.g{--gap:2em;--hang:3em}.card{gap:var(--gap)}', '.g{--gap:2em;--hang:3em}.card{gap:2em}',
            '<style>.p2 .item{margin:var(--gap);padding:var(--pad,var(--hang))}</style>',
        ];
        yield 'set where there is room alone' => [
            '@container (width>=50em){.g{--card:9em;--other:1em}}.card{width:var(--card)}',
            '@container (width>=50em){.g{--card:9em}}.card{width:var(--card)}',
        ];
        yield 'asked for by nobody, beside what ends in a string' => [
            '@media (hover){.g{--back:url("a;b.png");--ink:red}}.card{color:var(--ink)}', '@media (hover){.g{--ink:red}}.card{color:var(--ink)}',
        ];
        yield 'a length by a length' => ['.card{width:calc(4px/2px)}', '.card{width:calc(4px/2px)}'];
        yield 'asked for by nobody' => ['.g{--ink:red;color:blue}', '.g{color:blue}'];
        yield 'long, and often' => [
            '.g{--text:Georgia, Times, serif}.card{font-family:var(--text)}.words{a:b;font-family:var(--text)}',
            '.g{--text:Georgia, Times, serif}.card{font-family:var(--text)}.words{a:b;font-family:var(--text)}',
        ];
        yield 'a product' => ['.g{--gap:2.5em}.card{margin:calc(-1*var(--gap)) calc(var(--gap)/-2);width:calc(15em/14*1)}', '.card{margin:-2.5em -1.25em;width:1.0714em}'];
        yield 'a product of nothing' => ['.g{--rule:0px}.card{margin:calc(-1*var(--rule));width:calc(1em/0)}', '.card{margin:0px;width:calc(1em/0)}'];
        yield 'no product of numbers' => [
            '.card{width:calc(100%*2 + 1px);height:calc(2em*3em);top:calc(-1*(1em))}', '.card{width:calc(100%*2 + 1px);height:calc(2em*3em);top:calc(-1*(1em))}',
        ];
        yield 'of another' => ['.g{--gap:2em;--hang:min(1em,var(--gap)/4)}.card{gap:var(--gap);margin:calc(-1*var(--hang))}', '.card{gap:2em;margin:-0.5em}'];
        yield 'of another that differs' => [
            '.g{--gap:2em;--half:calc(var(--gap)/2)}.card{--gap:1em;gap:var(--half)}', '.g{--gap:2em;--half:calc(var(--gap)/2)}.card{--gap:1em;gap:var(--half)}',
        ];
        yield 'the lesser of two of one kind' => ['.card{width:min(3em,2.5em/2);height:min(2px,1em)}', '.card{width:1.25em;height:min(2px,1em)}'];
        yield 'what would hold without it' => [
            '.g{--ink:red}@media (hover){.g{--ink:black}}.card{color:var(--ink,var(--other,blue))}',
            '.g{--ink:red}@media (hover){.g{--ink:black}}.card{color:var(--ink)}',
        ];
        yield 'what would hold without it, as something takes it back' => [
            '.g{--ink:red}.words{--ink:blue}p{--ink:initial}.card{color:var(--ink,green)}',
            '.g{--ink:red}.words{--ink:blue}p{--ink:initial}.card{color:var(--ink,green)}',
        ];
        yield 'what would hold without it, as it asks for another' => [
            '.g{--ink:var(--page)}.words{--ink:blue}.card{color:var(--ink,green)}',
            '.g{--ink:var(--page)}.words{--ink:blue}.card{color:var(--ink,green)}',
        ];
        yield 'of the page else, and set somewhere' => [
            '.g{--size:initial}.words{--size:2em}.card{font-size:var(--size,1em)}', '.g{--size:1em}.words{--size:2em}.card{font-size:var(--size)}',
        ];
        yield 'of the page else, and otherwise elsewhere' => [
            '.g{--size:initial}.words{--size:2em}.card{font-size:var(--size,1em)}p{font-size:var(--size,3em)}p{margin:var(--a,var(--size))}',
            '.g{--size:initial}.words{--size:2em}.card{font-size:var(--size,1em)}p{font-size:var(--size,3em)}p{margin:var(--a,var(--size))}',
        ];
        yield 'a colour' => [
            '.g{--ink:#aabbcc;--back:#11223344;--line:#abcabc}@media (hover){.g{--ink:#aabbcc;--back:#000;--line:red}}.card{color:var(--ink);background:var(--back);fill:var(--line)}',
            '.g{--ink:#abc;--back:#1234;--line:#abcabc}@media (hover){.g{--ink:#aabbcc;--back:#000;--line:red}}.card{color:var(--ink);background:var(--back);fill:var(--line)}',
        ];
        yield 'asked for by nobody, and set for something in it' => ['.card{--once:none;--lines:none}p{line-clamp:var(--lines)}', '.card{--lines:none}p{line-clamp:var(--lines)}'];
        yield 'no room around' => [
            '.g{--a:0px}.card{padding:var(--a) var(--a)}p{margin:var(--a) 0px 1em;background-position:var(--a) 0px}',
            '.card{padding:0}p{margin:0px 0px 1em;background-position:0px 0px}',
        ];
        yield 'of a name that begins like another' => ['.g{--a:1em;--ab:2em}.card{gap:var(--ab) var(--a)}', '.card{gap:2em 1em}'];
    }

    #[DataProvider('properties')]
    public function test_what_is_the_same_everywhere_is_written_where_it_is_used(string $css, string $resolved, string $beside = ''): void
    {
        self::assertSame($resolved, (new UsedStyles)->of(new Sheets([$css]), '.g', '<p class="g card words item p2">', $beside));
    }

    public function test_every_class_that_a_script_gives_is_known(): void
    {
        $given = [];
        foreach ([...glob('resources/embed/{*,behaviours/*}.ts', GLOB_BRACE) ?: [], ...glob('resources/widget/layouts/*/*.ts') ?: []] as $path) {
            $source = (string) file_get_contents($path);
            preg_match_all("/classList\.(?:add|toggle)\('([\w-]+)'|className = '([\w-]+)'/", $source, $found);
            $given = [...$given, ...array_filter([...$found[1], ...$found[2]])];
        }
        // Elements, by the widgets alone: what opens over the page has styles of its own.
        $made = [];
        foreach (['dots', 'more'] as $behaviour) {
            preg_match_all("/createElement\('(\w+)'/", (string) file_get_contents("resources/embed/behaviours/$behaviour.ts"), $found);
            $made = [...$made, ...$found[1]];
        }
        self::assertEqualsCanonicalizing(UsedStyles::MADE, array_unique($made));
        // What the bench alone shows stands beside the widget.
        self::assertEqualsCanonicalizing(UsedStyles::GIVEN, array_values(array_unique(array_diff($given, ['gnomic-nothing']))));
    }
}
