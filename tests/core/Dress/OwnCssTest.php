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
        yield ['gnomic-widget::part(card){padding:1em 2em}', '.g .card{padding:clamp(0px,1em,64px) clamp(0px,2em,64px)}'];
        yield ['.card{padding:calc(4px*2) 0}', '.g .card{padding:8px 0}'];
        yield ['.card{padding:calc(1em + 4px)}', '.g .card{padding:clamp(0px,calc(1em + 4px),64px)}'];
        yield ['.card{border-radius:var(--corner)}', '.g .card{border-radius:clamp(0px,var(--corner),200px)}'];
        yield ['.name{font-size:150%}', '.g .name{font-size:clamp(11px,150%,64px)}'];
        yield ['.face{width:3em;height:3em}', '.g .face{width:min(clamp(0px,3em,480px),100%);height:min(clamp(0px,3em,480px),100%)}'];
        yield ['.card{box-shadow:0 2px 8px rgb(0 0 0/.2)}', '.g .card{box-shadow:0 2px 8px rgb(0 0 0/.2)}'];
        yield ['.card{border:2px solid var(--line);transition:opacity .2s ease-in}', '.g .card{border:2px solid var(--line);transition:opacity .2s ease-in}'];
        yield ['.card:hover{opacity:.9}', '.g .card:hover{opacity:.9}'];
        yield ['.heading::after{content:" · since 1926"}', '.g .heading::after{content:" · since 1926"}'];
        yield ['.card::before{content:"»"}', '.g .card::before{content:"»"}'];
        yield ['.card{background:linear-gradient(to right,red 0%,#0000ff 100%),var(--surface)}', '.g .card{background:linear-gradient(to right,red 0%,#0000ff 100%),var(--surface)}'];
        yield ['.title{font-family:Georgia, "Times New Roman", serif}', '.g .title{font-family:Georgia,"Times New Roman",serif}'];
        yield ['gnomic-widget { --ink: #222 }', '.g{--ink:#222}'];
        yield ['.card > .title, .heading { font-weight: 400 }', '.g .card > .title,.g .heading{font-weight:400}'];
        yield ['.card{background:linear-gradient(red,blue)}', '.g .card{background:linear-gradient(red,blue)}'];
        yield ['@media (max-width: 600px) { .labels { display: none } }', '@media (max-width: 600px){.g .labels{display:none}}'];
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
        yield ['.card { background: u\\72l(x) }', 1, 'not taken'];
        yield ['.card { margin: -3px }', 1, 'a negative length'];
        yield ['.card { font-size: 9999px }', 1, 'too much'];
        yield ['.face { width: 100vw }', 1, 'no length in'];
        yield ['.card { --other: 3 }', 1, 'not a custom property'];
        yield ['.card { color: var(--other) }', 1, 'not a custom property'];
        yield ['.card { .name { color: red } }', 1, 'Nested rules'];
        yield ['.card { content: attr(x) }', 1, 'only text'];
        yield ['.card { color', 1, 'This is not a rule'];
        yield ['.card { color; }', 1, 'it is no declaration'];
        // Over the page: what is reckoned is compared, whatever it is written as.
        foreach (['.head{margin-top:calc(5px - 400px)}', '.widget{margin-top:calc(0px - 400px)}', '.card{margin:min(-400px, 1px)}', '.card{margin:clamp(-9px,-5px,-1px)}',
            '.card{padding:calc(1200px*400)}', '.card{font-size:calc(60em*9999)}', '.card{width:400%}', '.card{box-shadow:0 0 0 300px red}', '.card{box-shadow:200px 0 red}',
            '.card{box-shadow:calc(1px*500) 0 red}', '.card{outline:300px solid red}', '.card{outline-offset:300px}', '.card{filter:drop-shadow(300px 0 red)}', '.card{filter:blur(90px)}',
            '.card{text-shadow:300px 0 red}', '.card{line-height:99}', '.card{text-indent:-900em}', '.card{padding:1e9px}', '.card{border:99px solid}', '.card{gap:calc(1px/0)}',
            '.card{padding:calc(infinity*1px)}', '.card{margin:var(--ink)}', '.card{padding:var(--corner, 999px)}', '.card{--corner:999px}', '.card{--shadow:0 0 0 999px red}',
            '.card{background:-moz-element(#a)}', '.card{background:-webkit-image-set("x" 1x)}', '.card{color:env(x)}', '.card{position:relative}', '.card{all:unset}', '.card{order:-1}'] as $css) {
            yield $css => [$css, 1, 'is left out'];
        }
        // What was said, and what it rests on, stays as it is.
        foreach (['figure', 'base', 'rating', 'glyphs', 'name', 'source', 'date', 'words', 'title'] as $part) {
            foreach (['::before{content:"5.0 of 5"}', '::after{content:" (verified)"}', '::after{content:open-quote}', '{display:none}', '{font-size:0}', '{font-size:1px}', '{opacity:0}', '{opacity:.2}',
                '{visibility:hidden}', '{color:transparent}', '{color:rgb(0 0 0/0)}', '{color:light-dark(transparent,red)}', '{filter:opacity(0)}', '{width:0}', '{max-width:1px}', '{height:0}',
                '{white-space:nowrap}', '{content:"x"}', '{text-indent:999px}', '{letter-spacing:-9px}', '{line-height:0}', '{text-decoration:line-through}', '{--ink:transparent}', '{--rating:#0000}',
                '{quotes:"5.0" "x"}', '{font:0/0 a}', '{clip-path:inset(50%)}', '{filter:brightness(0)}', '{color:inherit}'] as $rule) {
                if ([$part, $rule] !== ['date', '{white-space:nowrap}']) {
                    yield ".$part$rule" => [".$part$rule", 1, 'is left out'];
                }
            }
        }
        foreach (['widget', 'head', 'card', 'by', 'more'] as $part) {
            foreach (['::before{content:"5.0 of 5"}', '::after{content:"★★★★★"}', '{display:none}', '{opacity:.1}', '{color:#12345600}', '{font-size:0}'] as $rule) {
                yield ".$part$rule" => [".$part$rule", 1, 'is left out'];
            }
        }
        yield 'one of several parts' => ['.heading, .figure { display: none }', 1, 'stays to be seen'];
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
