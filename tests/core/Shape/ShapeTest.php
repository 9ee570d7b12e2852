<?php

declare(strict_types=1);

namespace Tests\core\Shape;

use DateTimeImmutable;
use DateTimeZone;
use Gnomic\Brief\BriefReader;
use Gnomic\Edition\HonestLine;
use Gnomic\Edition\Plan;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Shape\Across;
use Gnomic\Shape\Shortening;
use Gnomic\Standing\Overall;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\core\AtADay;
use Tests\core\InWords;

final class ShapeTest extends TestCase
{
    use AtADay;
    use InWords;

    #[DataProvider('texts')]
    public function test_words_are_shortened_between_words_and_never_within_a_character(string $text, int $most, string $short): void
    {
        $shortening = Shortening::to($most, $text);
        self::assertSame($short, $shortening->text);
        self::assertSame($short !== $text, $shortening->isShortened);
    }

    /** @return iterable<string, array{string, int, string}> */
    public static function texts(): iterable
    {
        yield 'short enough' => ['Two hours went like ten minutes.', 40, 'Two hours went like ten minutes.'];
        yield 'not worth it' => ['Two hours went like ten minutes.', 28, 'Two hours went like ten minutes.'];
        yield 'at a word, without its comma' => [
            'Cold, dark, wonderful. Bring gloves, and arrive before sunset.',
            36,
            'Cold, dark, wonderful. Bring gloves',
        ];
        yield 'not within a word' => ['Cold, dark, wonderful. Bring gloves and arrive before sunset.', 33, 'Cold, dark, wonderful. Bring'];
        yield 'an endless word' => [str_repeat('a', 200), 50, str_repeat('a', 50)];
        yield 'families stay together' => [
            str_repeat("\u{1F468}\u{200D}\u{1F469}\u{200D}\u{1F467}", 60),
            40,
            str_repeat("\u{1F468}\u{200D}\u{1F469}\u{200D}\u{1F467}", 40),
        ];
        yield 'accents stay on their letters' => [str_repeat("e\u{0301}", 90), 45, str_repeat("e\u{0301}", 45)];
    }

    public function test_japanese_is_shortened_at_a_word(): void
    {
        $short = Shortening::to(20, '土星の輪がはっきり見えて、娘は「シールみたい」と驚いていました。解説はとても丁寧です。');
        self::assertTrue($short->isShortened);
        self::assertLessThanOrEqual(20, grapheme_strlen($short->text));
        self::assertGreaterThan(12, grapheme_strlen($short->text));
    }

    public function test_cards_stand_side_by_side_where_there_is_room(): void
    {
        self::assertSame([1, 2, 3], [Across::at(360, 3), Across::at(768, 3), Across::at(1120, 3)]);
        self::assertSame(1, Across::at(100, 5));
        self::assertSame(5, Across::at(4000, 5));
        foreach (Across::breakpoints(5) as $width => $across) {
            self::assertSame([$across - 1, $across], [Across::at($width - 1, 5), Across::at($width, 5)]);
        }
    }

    public function test_a_plan_shows_what_the_brief_says(): void
    {
        $entry = new Entry('a', Kind::Review, 'dome', null, 'https://a.example/', new Author('Ines'), Rating::on(Scale::between(1, 10), 9.2), 'Rings', str_repeat('Sharp words. ', 40),
            published: new DateTimeImmutable('2026-11-11T23:30:00Z'));
        $overall = Overall::ofTally([
            ['stars' => 4.6, 'count' => 2, 'source' => 'dome'],
            ['stars' => 1.0, 'count' => 1, 'source' => 'lane'],
        ]);
        $plan = Plan::of(
            BriefReader::read(['version' => 1, 'sift' => ['stars' => ['from' => 4], 'withWords' => true]]),
            self::on(),
            [$entry],
            $overall,
            ['dome' => 'the Dome'],
            new DateTimeZone('Europe/Athens'),
            self::words(),
            honest: new HonestLine('A selection: four stars and up, with words.', 'See all (3)'),
        );
        self::assertSame(
            ['3.4', 'from 3 ratings at two sources', [1 => 1, 2 => 0, 3 => 0, 4 => 2, 5 => 0]],
            [$plan->figure, $plan->base, $plan->spread],
        );
        self::assertSame('A selection: four stars and up, with words.', $plan->honest?->text);
        self::assertSame('See all (3)', $plan->honest->all);
        $card = $plan->cards[0];
        self::assertSame(
            ['9.2 of 10', 9, 'the Dome', '12 November 2026', '2026-11-12T01:30:00+02:00'],
            [$card->rating, $card->halves, $card->where, $card->when, $card->date],
        );
        self::assertNotNull($card->whole);

        $bare = Plan::of(
            BriefReader::read(['version' => 1, 'shape' => ['card' => [], 'head' => [], 'layout' => 'list']]),
            self::on(),
            [$entry],
            $overall,
            [],
            new DateTimeZone('UTC'),
            self::words(),
        )->cards[0];
        self::assertSame(
            [null, null, null, null, null, null],
            [$bare->rating, $bare->title, $bare->words, $bare->name, $bare->when, $bare->where],
        );
    }

    public function test_figures_of_nothing_are_none(): void
    {
        $plan = Plan::of(
            BriefReader::read(['version' => 1]),
            self::on(),
            [],
            Overall::ofTally([]),
            [],
            new DateTimeZone('UTC'),
            self::words(),
        );
        self::assertNull($plan->figure);
        self::assertNull($plan->base);
        self::assertNull($plan->spread);
        self::assertNull($plan->honest);
    }
}
