<?php

declare(strict_types=1);

namespace Tests\core\Shape;

use DateTimeImmutable;
use Gnomic\Brief\BriefReader;
use Gnomic\Brief\Sentence;
use Gnomic\Brief\SentenceContext;
use Gnomic\Edition\Plan\Sign;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Shape\Card\SourcePage;
use Gnomic\Shape\Card\StoredPicture;
use Gnomic\Shape\Columns;
use Gnomic\Shape\Frame;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Layouts;
use Gnomic\Shape\Parts\DatePart;
use Gnomic\Shape\Parts\RatingPart;
use Gnomic\Shape\Parts\SourcePart;
use Gnomic\Shape\Parts\WordsPart;
use Gnomic\Shape\Shape;
use Gnomic\Shape\Shortening;
use Gnomic\Shape\Space;
use Gnomic\Sift\Flattery;
use Gnomic\Standing\Overall;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\core\Planned;

final class ShapeTest extends TestCase
{
    use Planned;

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
        $at = fn (int $width, int $most, int $card = 280): int => (new Columns($most, $card))->at(Space::at($width, new Frame));
        self::assertSame([1, 2, 3], [$at(360, 3), $at(768, 3), $at(1120, 3)]);
        self::assertSame([1, 6], [$at(100, 6), $at(4000, 6)]);
        for ($width = 300; $width < 2400; $width++) {
            $across = $at($width, 6);
            $card = Space::at($width, new Frame)->column($across);
            self::assertTrue($across === 1 || $card >= 280, "$across of $card at $width");
            self::assertTrue($across === 6 || Space::at($width, new Frame)->column($across + 1) < 280, "one more would fit at $width");
        }
        $columns = new Columns(3, 280);
        self::assertSame('3 across: the most you allow', $columns->why(Space::at(1320, new Frame)));
        self::assertSame('2 across: 3 would make cards of 216, under your 280', $columns->why(Space::at(768, new Frame)));
        $fixed = new Columns(3, 280, ['tablet' => 4]);
        self::assertSame([1, 4, 3], [$fixed->at(Space::at(599, new Frame)), $fixed->at(Space::at(600, new Frame)), $fixed->at(Space::at(1000, new Frame))]);
    }

    public function test_a_plan_shows_what_the_brief_says(): void
    {
        $entry = new Entry('a', Kind::Review, 'dome', null, 'https://a.example/', new Author('Ines'), Rating::on(Scale::between(1, 10), 9.2), 'Rings', str_repeat('Sharp words. ', 40),
            published: new DateTimeImmutable('2026-11-11T23:30:00Z'));
        $overall = Overall::ofTally([
            ['stars' => 4.6, 'count' => 2, 'source' => 'dome'],
            ['stars' => 1.0, 'count' => 1, 'source' => 'lane'],
        ]);
        $plan = self::planned(
            BriefReader::read(['version' => 1, 'sift' => ['stars' => ['from' => 4], 'withWords' => true]]),
            [$entry],
            $overall,
            ['dome' => new SourcePage('the Dome')],
            'Europe/Athens',
            choices: [Flattery::Stars, Flattery::WithWords],
            offered: 3,
        );
        self::assertSame(
            ['3.4', 'from 3 ratings', [1 => 1, 2 => 0, 3 => 0, 4 => 2, 5 => 0]],
            [$plan->head->figure, $plan->head->base, $plan->head->spread],
        );
        // Where there is room.
        self::assertStringStartsWith(' at two sources', $plan->head->since);
        self::assertSame('A selection: four stars and up, with words.', $plan->honest?->text);
        self::assertSame('See all (3 entries)', $plan->honest->all);
        $card = $plan->cards[0];
        self::assertSame(
            ['9.2 out of 10', 92, 'the Dome', '12 November 2026', '2026-11-12'],
            [
                $card->part(RatingPart::class)?->text,
                $card->part(RatingPart::class)?->twentieths,
                $card->part(SourcePart::class)?->text,
                $card->part(DatePart::class)?->text,
                $card->part(DatePart::class)?->date,
            ],
        );
        self::assertNotNull($card->part(WordsPart::class)?->rest);

        $bare = self::planned(
            BriefReader::read(['version' => 1, 'shape' => ['card' => [], 'head' => [], 'layout' => 'list']]),
            [$entry],
            $overall,
        )->cards[0];
        self::assertSame([], $bare->blocks);
    }

    public function test_layouts_are_equal_where_their_settings_are(): void
    {
        $of = fn (mixed $layout): Layout => BriefReader::read(['version' => 4, 'shape' => ['layout' => $layout]])->shape->layout;
        foreach (Layouts::ALL as $layout) {
            self::assertTrue($of(['name' => $layout::name()])->equals($of(['name' => $layout::name()])), $layout::name());
        }
        self::assertFalse($of(['name' => 'grid', 'last' => 'centred'])->equals($of(['name' => 'grid'])));
        self::assertFalse($of(['name' => 'list'])->equals($of(['name' => 'masonry'])));
    }

    public function test_what_moves_cards_has_a_template_and_nothing_else_has_one(): void
    {
        $folder = dirname(__DIR__, 3).'/resources/widget/layouts';
        foreach (Layouts::ALL as $layout) {
            $one = Shape::read(['layout' => ['name' => $layout::name()]])->layout;
            self::assertSame($one::hasSlides() || $one->repeats(), is_file("$folder/{$one::name()}/turn.blade.php"), $one::name());
        }
    }

    public function test_nothing_more_is_offered_where_nothing_can_come(): void
    {
        foreach (['notices' => 'none', 'rating' => 'none', 'single' => 'none', 'grid' => 'pages', 'panel' => 'pages'] as $layout => $more) {
            $shape = Shape::read(['layout' => ['name' => $layout], 'more' => 'pages']);
            self::assertSame($more, $shape->more, $layout);
            self::assertSame('pages', $shape->toArray()['more'], 'it is found again with another layout');
        }
    }

    public function test_each_service_has_figures_of_its_own_beside_those_of_all(): void
    {
        $overall = Overall::ofTally([
            ['stars' => 5.0, 'count' => 3, 'source' => 'dome'],
            ['stars' => 4.0, 'count' => 1, 'source' => 'lane'],
            ['stars' => 2.0, 'count' => 2, 'source' => 'box'],
            ['stars' => 1.0, 'count' => 4, 'source' => ''],
        ]);
        $pages = [
            'dome' => new SourcePage('Wayleaf', 'https://wayleaf.example/dome'),
            'lane' => new SourcePage('Wayleaf', 'https://wayleaf.example/lane'),
            'box' => new SourcePage('Ticketwick', 'https://ticketwick.example/box'),
        ];
        $brief = BriefReader::read(['version' => 4, 'shape' => ['head' => ['overall', 'count', 'channels']]]);
        $told = array_map(get_object_vars(...), self::planned($brief, [], $overall, $pages)->head->channels);
        self::assertSame([
            ['Ticketwick', 'https://ticketwick.example/box', '2.0', 40, 'from 2 ratings', null],
            ['Wayleaf', null, '4.8', 95, 'from 4 ratings', null],
        ], array_map(array_values(...), $told), 'two pages of one service are one, and lead to neither');
        $without = BriefReader::read(['version' => 4]);
        self::assertSame([], self::planned($without, [], $overall, $pages)->head->channels);
        self::assertStringContainsString('figures of each service', Sentence::text($brief, new SentenceContext));
    }

    /** Bounded as the style sheet bounds it, 1.43 by 8 em, in pixels for two of the screen each. */
    public function test_the_owners_sign_stands_in_the_place_of_the_name_and_is_as_wide_as_it_is_drawn(): void
    {
        $overall = Overall::ofTally([['stars' => 5.0, 'count' => 3, 'source' => 'dome'], ['stars' => 4.0, 'count' => 1, 'source' => 'lane']]);
        // Given to one page of the service, it is that of all.
        $pages = ['lane' => new SourcePage('Wayleaf'), 'dome' => new SourcePage('Wayleaf', sign: 'https://signs.example/way')];
        $brief = BriefReader::read(['version' => 4, 'shape' => ['head' => ['channels']]]);
        $of = fn (int $width, int $height): ?Sign => self::planned($brief, [], $overall, $pages, pictures: [
            'https://signs.example/way' => new StoredPicture([96 => '/p/way-96.webp', $width => "/p/way-$width.webp"], $width, $height),
        ])->head->channels[0]->sign;
        self::assertEqualsWithDelta(2.86, $of(200, 100)?->across, 0.001);
        self::assertSame('/p/way-96.webp', $of(200, 100)?->address);
        self::assertEqualsWithDelta(8.0, $of(640, 40)?->across, 0.001);
        self::assertSame(['/p/way-640.webp', 640, 40], [$of(640, 40)?->address, $of(640, 40)?->width, $of(640, 40)?->height]);
        self::assertNull(self::planned($brief, [], $overall, $pages)->head->channels[0]->sign, 'it is not kept, so the name stands there');
    }

    public function test_figures_of_nothing_are_none(): void
    {
        $plan = self::planned(BriefReader::read(['version' => 1]), []);
        self::assertNull($plan->head->figure);
        self::assertNull($plan->head->base);
        self::assertNull($plan->head->spread);
        self::assertNull($plan->honest);
    }
}
