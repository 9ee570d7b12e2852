<?php

declare(strict_types=1);

namespace Tests\core\Dress;

use Gnomic\Dress\Dress;
use Gnomic\Dress\Own\OwnCss;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is put through, and what is not; that nothing of it reaches out of a widget is for a browser to show. */
final class OwnCssTest extends TestCase
{
    #[DataProvider('taken')]
    public function test_rules_of_parts_are_taken(string $css, string $written): void
    {
        $read = OwnCss::read($css);
        self::assertSame($written, $read->css);
        self::assertSame([], $read->problems);
    }

    /** @return iterable<array{string, string}> */
    public static function taken(): iterable
    {
        yield ['.card { color: #123456 }', '.g .card{color:#123456}'];
        yield ['::part(name):hover{text-decoration:underline}', '.g .name:hover{text-decoration:underline}'];
        yield ['gnomic-widget::part(card){padding:1em 2em}', '.g .card{padding:1em 2em}'];
        yield ['gnomic-widget { --ink: #222 }', '.g{--ink:#222}'];
        yield [".card .words::before{content:'»'}", '.g .card .words::before{content:"»"}'];
        yield ['.card > .title, .heading { font-weight: 400 }', '.g .card > .title,.g .heading{font-weight:400}'];
        yield ['.card{background:linear-gradient(red,blue)}', '.g .card{background:linear-gradient(red,blue)}'];
        yield ['@media (max-width: 600px) { .figure { display: none } }', '@media (max-width: 600px){.g .figure{display:none}}'];
        yield ['', ''];
        yield ['/* nothing */', ''];
    }

    #[DataProvider('refused')]
    public function test_what_is_refused_is_told_with_its_line(string $css, int $line, string $why, string $written = ''): void
    {
        $read = OwnCss::read($css);
        self::assertSame($written, $read->css);
        self::assertSame($line, $read->problems[0]->line ?? 0);
        self::assertStringContainsString($why, $read->problems[0]->text);
    }

    /** @return iterable<array{0: string, 1: int, 2: string, 3?: string}> */
    public static function refused(): iterable
    {
        yield ["/* one\ntwo */\n.card {\n  position: fixed;\n  color: red }", 4, 'this property is not allowed', '.g .card{color:red}'];
        yield ['body { color: red }', 1, 'a rule speaks of parts of the widget'];
        yield ["\n@import 'x';", 2, 'This is not a rule'];
        yield ['@font-face { src: url(x) }', 1, 'only "@media"'];
        yield ['.card { background: url(x) }', 1, '"url()" is not taken'];
        yield ['.card { background: u\\72l(x) }', 1, 'is not taken'];
        yield ['.card { margin: -3px }', 1, 'a negative margin'];
        yield ['.card { font-size: 9999px }', 1, 'too much'];
        yield ['.card { width: 100vw }', 1, 'not taken as a unit'];
        yield ['.card { --other: 3 }', 1, 'not a custom property'];
        yield ['.card { color: var(--other) }', 1, 'not a custom property'];
        yield ['.card { .name { color: red } }', 1, 'Nested rules'];
        yield ['.card { content: attr(x) }', 1, 'only text'];
        yield ['.card { color', 1, 'This is not a rule'];
        yield ['.card { color; }', 1, 'it is no declaration'];
        yield ['.honest { color: red }', 1, 'a rule speaks of parts'];
    }

    public function test_too_much_is_not_read_at_all(): void
    {
        $read = OwnCss::read(str_repeat('.card{color:red}', 70_000));
        self::assertSame('', $read->css);
        self::assertStringContainsString(number_format(Dress::CSS), $read->problems[0]->text);
        $many = OwnCss::read(str_repeat("x{}\n", 4_000));
        self::assertCount(100, $many->problems);
    }

    public function test_colours_of_words_are_told_to_who_checks_them(): void
    {
        $colours = OwnCss::read(".card{color:#eee}\n.name{color:#111;background:#222}")->colours;
        self::assertSame([[1, 'card', '#eee', null], [2, 'name', '#111', '#222']], array_map(
            fn ($one): array => [$one->line, $one->part, $one->over, $one->behind],
            $colours,
        ));
    }
}
