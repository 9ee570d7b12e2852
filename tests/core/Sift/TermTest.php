<?php

declare(strict_types=1);

namespace Tests\core\Sift;

use Gnomic\Sift\Term;
use Gnomic\Sift\TermFinder;
use Gnomic\Text\Fold;
use Gnomic\Text\Tags;
use Gnomic\Text\Tokens;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Words that are looked for: whole, folded, in any script. */
final class TermTest extends TestCase
{
    #[DataProvider('words')]
    public function test_a_word_is_found_whole(string $word, string $text, bool $found): void
    {
        self::assertSame($found, TermFinder::of([$word])->first(Tokens::line($text)) !== null);
    }

    /** @return iterable<array{string, string, bool}> */
    public static function words(): iterable
    {
        yield ['dome', 'The Dome!', true];
        yield ['dome', 'The domes', false];
        yield ['dome*', 'The domes', true];
        yield ['ome', 'The dome', false];
        yield ['DÔME', 'a dome', true];
        yield ['strasse', 'Große Straße 5', true];
        yield ['istanbul', 'İSTANBUL', true];
        yield ['οδυσσεας', 'Ὀδυσσεύς, Οδυσσέας', true];
        yield ['елка', 'Ёлка', true];
        yield ['observatoire', "l'observatoire", true];
        yield ["l'observatoire", 'L’Observatoire est ouvert', true];
        yield ['mirror making', 'A weekend of mirror-making', true];
        yield ['mirror making', 'making a mirror', false];
        yield ['mirror mak*', 'mirror makers', true];
        yield ['天文', '私は天文台が好き', true];
        yield ['文天', '私は天文台が好き', false];
        yield ['か', 'が', false];
        yield ['ガ', 'ｶﾞｲﾄﾞ', true];
        yield ['पल', 'पुल', false];
        yield ['มอง', 'กล้องมองดาว', true];
        yield ['مرصد', 'مَرْصَد', true];
        yield ['100', '100%', true];
        yield ['10', '100', false];
        yield ['ﬁlm', 'a film', true];
        yield ['gnome', 'The gnome™ of the garden', true];
        yield ['gnometm', 'The gnome™ of the garden', false];
        yield ['rings', "❤\u{FE0F}rings", true];
        yield ['sun', "☀\u{FE0F}sun\u{FE0F} up", true];
        yield ['ด', 'ดี', true];
        yield ['ดี', 'วันดีมาก', true];
        yield ['葛', "葛\u{E0100}城", true];
        yield ['1 2', 'a half: ½', true];
    }

    public function test_what_has_nothing_to_look_for_is_no_word(): void
    {
        self::assertSame([null, null, null, null, null], [Term::tryFrom('***'), Term::tryFrom("\u{FE0F}"), Term::tryFrom('🌟'), Term::tryFrom("❤\u{FE0F}"), Term::tryFrom('ี')]);
        self::assertSame(['a'], array_keys(Term::each(['a', '!', 'a'])));
    }

    public function test_an_index_is_asked_for_the_same(): void
    {
        self::assertSame('"mirror mak" *', Term::tryFrom('Mirror Mak*')?->query());
        self::assertSame('"_5929_ _6587_"', Term::tryFrom('天文')?->query());
        foreach (['plain', 'ünï 天文 🌟', '_1_', 'a_b'] as $text) {
            $line = Tokens::line($text);
            self::assertSame($line, Tokens::fromAscii(Tokens::inAscii($line)));
        }
        self::assertTrue(str_starts_with(Tokens::inAscii('café'), Tokens::inAscii('caf')), 'beginnings stay beginnings');
        self::assertFalse(str_starts_with(Tokens::inAscii("\u{E91}"), Tokens::inAscii("\u{E9}")));
    }

    public function test_folding_is_stable(): void
    {
        foreach (['Ångström', 'ŠŤASTNÝ', 'ﬃ', '㎏', 'ǅ', 'ẞ', 'Ǻ', 'ｶﾞ', "e\u{301}\u{323}", '한국어'] as $text) {
            self::assertSame(Fold::text($text), Fold::text(Fold::text($text)), $text);
            self::assertSame(Fold::text($text), Fold::text(mb_strtoupper($text)), $text);
        }
    }

    public function test_hashtags_in_words(): void
    {
        self::assertSame(['NightSky', '天文', 'a_1'], Tags::in('#NightSky, ＃天文 (#a_1) #1 x#no &#39; a'));
        self::assertSame(['rings', 'more', 'so'], Tags::in("❤\u{FE0F}#rings 🌟#more &#so कि#no e\u{301}#no"));
        self::assertSame(['nightsky', 'a | b', 'a b'], Tags::each(['#NightSky', ' a | b ', '#', 'NIGHTSKY', "##a \t\u{A0}b"]));
        self::assertSame(["\u{F015}home", "\u{FF03}"], [Tags::folded("#\u{F015}home"), Tags::folded("a\u{FF03}") === 'a#' ? "\u{FF03}" : '']);
        $tags = ['night sky', 'a|b', '|'];
        self::assertSame($tags, Tags::ofLine(Tags::line($tags)));
    }
}
