<?php

declare(strict_types=1);

namespace Gnomic\Shape\Packing;

/**
 * Cards in columns of about the same height. The cards are taken in windows of two a column, in the order of reading; within a window
 * the highest comes first, each to the column that is the shortest so far (longest processing time first: Graham, Bounds on
 * Multiprocessing Timing Anomalies, SIAM Journal on Applied Mathematics 17, 1969, 416-429). In a column, the cards of a window keep
 * their order. No column is longer than the shortest by more than its highest card.
 */
final class Balanced
{
    /** Cards of a window, for each column. */
    private const WINDOW = 2;

    /**
     * @param  list<float>  $heights  of the cards, in the order of reading; 0 or more
     * @param  int  $columns  1 or more
     * @return list<list<int>> places of the cards, by column, each from top to bottom
     */
    public static function columns(array $heights, int $columns): array
    {
        $sums = array_fill(0, max(1, $columns), 0.0);
        $stacks = array_fill(0, max(1, $columns), []);
        foreach (array_chunk(array_keys($heights), max(1, self::WINDOW * $columns)) as $window) {
            usort($window, fn (int $one, int $other): int => [$heights[$other], $one] <=> [$heights[$one], $other]);
            $of = [];
            foreach ($window as $card) {
                $column = (int) array_search(min($sums), $sums, true);
                $sums[$column] += $heights[$card];
                $of[$column][] = $card;
            }
            foreach ($of as $column => $cards) {
                sort($cards);
                array_push($stacks[$column], ...$cards);
            }
        }

        // Columns are alike, so that the one with the first card may be the first.
        usort($stacks, fn (array $one, array $other): int => ($one[0] ?? PHP_INT_MAX) <=> ($other[0] ?? PHP_INT_MAX));

        return array_map(array_values(...), $stacks);
    }
}
