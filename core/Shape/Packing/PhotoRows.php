<?php

declare(strict_types=1);

namespace Gnomic\Shape\Packing;

/**
 * Pictures in rows that fill the width: of all ways to break them into rows in their order, the one whose rows differ least, all
 * together, from the wished height. Found by dynamic programming over the last row, as Knuth and Plass break paragraphs into lines
 * (Software: Practice and Experience 11, 1981, 1119-1184). Rows lower than half of the wish count only where there is no other way.
 */
final class PhotoRows
{
    private const LEAST = 0.5;

    /**
     * @param  list<float>  $ratios  width by height of each picture, above 0
     * @param  float  $width  of a row, above 0
     * @param  float  $gap  between pictures
     * @param  float  $wish  wished height of a row, above 0
     * @return list<array{count: int, height: float}> the rows; heights fill the width
     */
    public static function of(array $ratios, float $width, float $gap, float $wish): array
    {
        $count = count($ratios);
        $best = [0.0] + array_fill(1, $count, INF);
        $from = array_fill(0, $count + 1, 0);
        for ($first = 0; $first < $count; $first++) {
            $sum = 0.0;
            for ($end = $first + 1; $end <= $count; $end++) {
                $sum += $ratios[$end - 1];
                $height = max(0.0, $width - $gap * ($end - $first - 1)) / $sum;
                if ($end > $first + 1 && $height < self::LEAST * $wish) {
                    break; // the longer, the lower
                }
                $total = $best[$first] + abs($height - $wish);
                if ($total < $best[$end]) {
                    [$best[$end], $from[$end]] = [$total, $first];
                }
            }
        }
        $rows = [];
        for ($end = $count; $end > 0; $end = $from[$end]) {
            $row = array_slice($ratios, $from[$end], $end - $from[$end]);
            $rows[] = ['count' => count($row), 'height' => max(0.0, $width - $gap * (count($row) - 1)) / array_sum($row)];
        }

        return array_reverse($rows);
    }
}
