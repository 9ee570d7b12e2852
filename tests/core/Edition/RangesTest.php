<?php

declare(strict_types=1);

namespace Tests\core\Edition;

use Gnomic\Brief\Brief;
use Gnomic\Brief\BriefReader;
use Gnomic\Edition\Plan\HeadAction;
use Gnomic\Edition\Plan\Plan;
use Gnomic\Edition\Plan\PlannedHeight;
use Gnomic\Edition\Plan\Ranges;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Shape\Card\SourcePage;
use Gnomic\Shape\Layouts;
use Gnomic\Shape\Space;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\core\Planned;

/** A plan holds for every width. */
final class RangesTest extends TestCase
{
    use Planned;

    /** @param  array<string, mixed>  $shape */
    private static function brief(array $shape, int $limit = 12): Brief
    {
        return BriefReader::read(['version' => 4, 'sift' => ['limit' => $limit], 'shape' => $shape]);
    }

    /** @return list<Entry> */
    private static function entries(int $count): array
    {
        return array_map(fn (int $at): Entry => new Entry("e$at", Kind::Review, author: new Author("A. B$at"), text: str_repeat('Two hours went like ten minutes. ', 1 + $at % 7)), range(1, $count));
    }

    /** @param  array<string, mixed>  $shape */
    private static function plan(array $shape, int $count = 12): Plan
    {
        return self::planned(self::brief($shape), self::entries($count));
    }

    /** @return iterable<string, array{string}> */
    public static function layouts(): iterable
    {
        foreach (Layouts::ALL as $layout) {
            yield $layout::name() => [$layout::name()];
        }
    }

    public function test_words_of_a_strip_have_the_lines_of_the_squares_that_stand_there(): void
    {
        foreach ([12, 3, 1] as $count) {
            $plan = self::plan(['layout' => ['name' => 'strip', 'size' => 120]], $count);
            $range = $plan->at(1000);
            $square = $plan->shape->space($range->from)->column($range->arrangement->columns);
            self::assertSame($count === 12 ? 7 : $count, $range->arrangement->columns);
            self::assertSame((int) (($square - 18) / 19.5), $range->lines, "$count squares");
        }
    }

    #[DataProvider('layouts')]
    public function test_every_width_has_one_range_and_every_range_its_cards(string $layout): void
    {
        $plan = self::plan(['layout' => ['name' => $layout]]);
        $next = 0;
        foreach ($plan->ranges as $range) {
            self::assertSame($next, $range->from, 'they follow on each other');
            self::assertTrue($range->to === null || $range->to > $range->from);
            self::assertLessThanOrEqual(count($plan->cards), $range->arrangement->cards);
            $next = $range->to;
        }
        self::assertNull($next, 'the last goes on for ever');
        foreach ([0, 1, 120, 599, 600, 999, 1000, 3000, 100_000] as $width) {
            self::assertTrue($plan->at($width)->holds($width));
            self::assertGreaterThanOrEqual(0, (new PlannedHeight($plan))->at($width));
        }
        foreach (Ranges::bands(self::brief(['layout' => ['name' => $layout]])->shape, self::brief([])->criteria->limits, 12) as $band) {
            foreach ($band->steps as [$from]) {
                self::assertSame($band->cards, $plan->at($from)->arrangement->cards, 'counting without cards counts the same');
            }
        }
    }

    #[DataProvider('layouts')]
    public function test_words_are_as_large_as_the_columns_that_stand_there_allow(string $layout): void
    {
        foreach ([null, 'bubble', 'quotation', 'row'] as $composition) {
            foreach ([1, 2, 5, 12] as $limit) {
                $plan = self::planned(self::brief(['layout' => ['name' => $layout], 'composition' => $composition], $limit), self::entries(12));
                foreach ($plan->ranges as $range) {
                    $space = $plan->shape->space(max($range->from, Space::NARROW));
                    $allowed = $plan->shape->scale($range->layout, $space, $range->arrangement->columns);
                    self::assertEquals($allowed, $range->scale, "$limit as $composition from $range->from");
                }
            }
        }
    }

    public function test_rows_are_whole_at_every_width_whatever_the_count(): void
    {
        foreach ([1, 2, 5, 7, 9, 10, 12] as $count) {
            $plan = self::plan(['layout' => ['name' => 'grid', 'across' => 5, 'cardWidth' => 200]], $count);
            for ($width = 120; $width < 2000; $width += 13) {
                $stands = $plan->at($width)->arrangement;
                self::assertSame(0, $stands->cards % $stands->columns, "$count entries at $width");
            }
        }
        $rows = self::plan(['layout' => ['name' => 'grid', 'rows' => 2]]);
        self::assertSame([2, 4, 6], array_map(fn (int $width): int => $rows->at($width)->arrangement->cards, [360, 768, 1120]));
    }

    public function test_other_widths_may_have_another_layout_other_parts_and_other_lines(): void
    {
        $plan = self::plan([
            'layout' => ['name' => 'grid'],
            'card' => ['words', 'name'],
            'at' => ['phone' => ['layout' => ['name' => 'carousel'], 'card' => ['words'], 'lines' => 2]],
        ]);
        self::assertSame(['carousel', 'grid', 'grid'], array_map(fn (int $width): string => $plan->at($width)->layout::name(), [400, 700, 1200]));
        self::assertSame([['name'], []], [$plan->at(400)->without, $plan->at(700)->without]);
        self::assertSame([2, 4], [$plan->at(400)->lines, $plan->at(1200)->lines]);
        self::assertSame(['grid' => 'grid', 'carousel' => 'carousel'], array_map(fn ($layout): string => $layout::name(), $plan->layouts));
        $twice = self::plan(['layout' => ['name' => 'grid'], 'at' => ['phone' => ['layout' => ['name' => 'grid', 'rows' => 2]]]]);
        self::assertSame(['grid' => 'grid', 'grid1' => 'grid'], array_map(fn ($layout): string => $layout::name(), $twice->layouts));
        self::assertSame([2, 12], [$twice->at(400)->arrangement->cards, $twice->at(1200)->arrangement->cards]);
    }

    public function test_a_fixed_height_depends_on_nothing_that_people_wrote(): void
    {
        foreach (['grid', 'carousel', 'one-at-a-time', 'ticker'] as $layout) {
            $long = array_map(fn (int $at): Entry => new Entry("e$at", Kind::Review, author: new Author('A. B'), title: str_repeat('T', 90), text: str_repeat('words ', 400)), range(1, 12));
            $brief = self::brief(['layout' => ['name' => $layout], 'shorten' => null, 'heights' => 'level']);
            $of = fn (Entry ...$entries): Plan => self::planned($brief, array_values($entries));
            foreach ([360, 768, 1120] as $width) {
                self::assertEqualsWithDelta(
                    (new PlannedHeight($of(...self::entries(12))))->at($width),
                    (new PlannedHeight($of(...$long)))->at($width),
                    24.0,
                    "$layout at $width: no more than a title that takes a line more",
                );
            }
        }
    }

    public function test_heights_fit_the_words_and_the_highest_is_near_the_median(): void
    {
        $texts = ['Go.', ...array_fill(0, 7, 'Cold, dark, wonderful. Bring gloves, and arrive before sunset for the parking and the fox.'), str_repeat('words and more words ', 90)];
        $entries = array_map(fn (string $text, int $at): Entry => new Entry("e$at", Kind::Review, author: new Author("A. B$at"), text: $text), $texts, array_keys($texts));
        foreach (['grid', 'carousel'] as $layout) {
            $plan = self::planned(self::brief(['layout' => ['name' => $layout], 'shorten' => null]), $entries);
            foreach ([360, 768, 1120] as $width) {
                $heights = (new PlannedHeight($plan))->cardsAt($width);
                sort($heights);
                $median = $heights[intdiv(count($heights), 2)];
                self::assertLessThan(1.6 * $median, $heights[count($heights) - 1], "$layout at $width: what is very long is read on");
                self::assertLessThan($median, $heights[0], "$layout at $width: what is short is not made high");
            }
        }
        $column = self::planned(self::brief(['layout' => ['name' => 'grid']]), array_slice($entries, 0, 6));
        $level = self::planned(self::brief(['layout' => ['name' => 'grid'], 'heights' => 'level']), array_slice($entries, 0, 6));
        self::assertLessThanOrEqual((new PlannedHeight($level))->at(360), (new PlannedHeight($column))->at(360), 'no holes where there is one column');
    }

    public function test_a_review_is_written_where_that_is_possible_and_one_place_is_a_link_several_a_menu(): void
    {
        $pages = [
            'dome' => new SourcePage('Wayleaf', 'https://wayleaf.example/places/dome', true),
            'lane' => new SourcePage('Ticketwick', 'https://ticketwick.example/venues/lane', true),
            'rook' => new SourcePage('Rookcall', 'https://rookcall.example/quillmoor'),
            'hand' => new SourcePage('By hand'),
        ];
        $links = fn (array $action, array $gather = []): array => array_map(fn (HeadAction $one): array => [$one->text, $one->links], self::planned(
            BriefReader::read(['version' => 4, 'gather' => $gather, 'shape' => ['actions' => [$action]]]),
            [],
            pages: $pages,
            all: 'https://gnomic.example/all',
        )->head->actions);
        self::assertSame([['Write a review', [
            'Wayleaf' => 'https://wayleaf.example/places/dome',
            'Ticketwick' => 'https://ticketwick.example/venues/lane',
        ]]], $links(['does' => 'review']));
        self::assertSame([['Say it', ['Wayleaf' => 'https://wayleaf.example/places/dome']]], $links(['does' => 'review', 'text' => 'Say it'], ['sources' => ['dome']]));
        self::assertSame([['Follow', ['Rookcall' => 'https://rookcall.example/quillmoor']]], $links(['does' => 'follow', 'sources' => ['rook', 'hand', 'gone']]));
        self::assertSame([['See all', ['' => 'https://gnomic.example/all']]], $links(['does' => 'all']));
        self::assertSame([], $links(['does' => 'link', 'text' => 'Nowhere']));
        self::assertSame([], $links(['does' => 'review'], ['sources' => ['hand']]), 'nothing that leads nowhere');
    }
}
