<?php

declare(strict_types=1);

namespace Tests\core\Shape;

use Gnomic\Shape\Packing\Balanced;
use Gnomic\Shape\Packing\PhotoRows;
use Gnomic\Shape\Packing\Tiles;
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
                self::assertLessThanOrEqual($highest + 1e-9, $sums[$column] - min($sums));
                // The order of reading is kept as far as windows of two a column go.
                $windows = array_map(fn (int $card): int => intdiv($card, 2 * $columns), $stack);
                $sorted = $windows;
                sort($sorted);
                self::assertSame($sorted, $windows);
            }
            self::assertSame(0, $stacks[0][0], 'the first card begins the first column');
        }
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

    public function test_rows_of_pictures_have_bounds(): void
    {
        self::assertSame([], PhotoRows::of([], 800, 8, 200));
        self::assertSame([['count' => 1, 'height' => 400.0]], PhotoRows::of([2.0], 800, 8, 200));
        self::assertSame([['count' => 4, 'height' => 200.0]], PhotoRows::of([1.0, 1.0, 1.0, 1.0], 800, 0, 200));
    }
}
