<?php

declare(strict_types=1);

namespace Tests\core\Shape;

use Gnomic\Json\Members;
use Gnomic\Shape\Area;
use Gnomic\Shape\Frame;
use Gnomic\Shape\Layouts;
use Gnomic\Shape\Packing\Balanced;
use Gnomic\Shape\Packing\PhotoRows;
use Gnomic\Shape\Packing\Tiles;
use Gnomic\Shape\Space;
use Gnomic\Shape\Tile;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What stands where: columns balanced, tiles without holes, rows of pictures. Held over many drawn by chance. */
final class PackingTest extends TestCase
{
    public function test_no_column_is_longer_than_the_shortest_by_more_than_its_highest_card(): void
    {
        $chance = new Randomizer(new Mt19937(1));
        for ($case = 0; $case < 500; $case++) {
            $heights = array_map(fn (): float => (float) $chance->getInt(40, 900), range(1, $chance->getInt(1, 60)));
            $columns = $chance->getInt(1, 6);
            $stacks = Balanced::columns($heights, $columns);
            $all = array_merge(...$stacks);
            sort($all);
            self::assertSame(array_keys($heights), $all, 'each once');
            $sums = array_map(fn (array $stack): float => array_sum(array_map(fn (int $card): float => $heights[$card], $stack)), $stacks);
            foreach ($stacks as $column => $stack) {
                $highest = max([0.0, ...array_map(fn (int $card): float => $heights[$card], $stack)]);
                self::assertLessThanOrEqual($highest + 1e-9, $sums[$column] - min([INF, ...$sums]));
                // The order of reading is kept as far as windows of two a column go.
                $windows = array_map(fn (int $card): int => intdiv($card, 2 * $columns), $stack);
                $sorted = $windows;
                sort($sorted);
                self::assertSame($sorted, $windows);
            }
            self::assertSame(0, $stacks[0][0], 'the first card begins the first column');
        }
    }

    public function test_rows_of_masonry_are_lower_where_its_pictures_are(): void
    {
        $frame = new Frame;
        [$wide, $narrow] = [Space::at(1300, $frame), Space::at(1100, $frame)];
        $masonry = Layouts::named('masonry')::of(Members::of(['across' => 3, 'cardWidth' => 280, 'fixed' => []], '/shape/layout'));
        $of = fn (?float $ratio): array => array_map(
            fn (int $at): Tile => new Tile($ratio, fn (float $width): float => 60 + 10 * ($at % 4) + ($ratio === null ? 0 : $width / $ratio)),
            range(1, 9),
        );
        self::assertNull($masonry->arranged($wide, $narrow, $of(null))->narrow, 'words make their own room');
        $stands = $masonry->arranged($wide, $narrow, $of(1.5));
        self::assertSameSize($stands->rows ?? [], $stands->narrow ?? []);
        $less = ($wide->column(3) - $narrow->column(3)) / 1.5;
        // Three pictures below one another in each column.
        self::assertEqualsWithDelta(array_sum($stands->rows ?? []) - 3 * $less, array_sum($stands->narrow ?? []), 25.0);
        self::assertLessThan(array_sum($stands->rows ?? []), array_sum($stands->narrow ?? []));
    }

    public function test_tiles_fill_every_row_and_none_lies_on_another(): void
    {
        $chance = new Randomizer(new Mt19937(2));
        for ($case = 0; $case < 800; $case++) {
            $columns = $chance->getInt(1, 6);
            $large = array_map(fn (): bool => $chance->getInt(0, 4) === 0, range(1, $chance->getInt(1, 40)));
            $areas = Tiles::areas($large, $columns);
            self::assertCount(count($large), $areas);
            $cells = [];
            foreach ($areas as $index => $area) {
                self::assertLessThanOrEqual($columns + 1, $area->column + $area->columns);
                for ($row = 0; $row < $area->rows; $row++) {
                    for ($column = 0; $column < $area->columns; $column++) {
                        $cell = ($area->row + $row).','.($area->column + $column);
                        self::assertArrayNotHasKey($cell, $cells, "tile $index lies on another");
                        $cells[$cell] = $index;
                    }
                }
                if ($large[$index] && $columns > 1) {
                    self::assertGreaterThanOrEqual(4, $area->columns * $area->rows);
                }
            }
        }
    }

    public function test_much_room_in_a_mosaic_is_for_pictures(): void
    {
        $space = Space::at(1200, new Frame);
        $settings = ['across' => 4, 'cardWidth' => 200, 'fixed' => [], 'large' => 'pattern', 'pattern' => 'turning'];
        $mosaic = Layouts::named('mosaic')::of(Members::of($settings, '/shape/layout'));
        $large = function (string $tiles) use ($mosaic, $space): string {
            $of = array_map(fn (string $kind): Tile => new Tile($kind === 'p' ? 1.5 : null, fn (): float => 100.0), str_split($tiles));
            $areas = $mosaic->arranged($space, $space, $of)->areas ?? [];

            return implode('', array_map(fn (Area $area): string => $area->columns === 2 && $area->rows === 2 ? '#' : '.', $areas));
        };
        self::assertSame('#.....#..', $large('ppppppppp'));
        self::assertStringNotContainsString('#', $large('wwwwwwwww'));
        self::assertSame('#........', $large('pwwwwwwww'));
        self::assertSame('..#.', substr($large('wwpwwwwww'), 0, 4), 'the next one');
    }

    public function test_rows_of_pictures_have_bounds(): void
    {
        self::assertSame([], PhotoRows::of([], 800, 8, 200));
        self::assertSame([['count' => 1, 'height' => 400.0]], PhotoRows::of([2.0], 800, 8, 200));
        self::assertSame([['count' => 4, 'height' => 200.0]], PhotoRows::of([1.0, 1.0, 1.0, 1.0], 800, 0, 200));
    }
}
