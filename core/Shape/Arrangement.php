<?php

declare(strict_types=1);

namespace Gnomic\Shape;

/** What stands where in a widget of a range of widths. */
final readonly class Arrangement
{
    /**
     * @param  int  $columns  side by side
     * @param  int  $cards  that are shown; those behind are not, at these widths
     * @param  list<Area>|null  $areas  where each card stands; null: in rows, one after the other
     * @param  list<float>|null  $rows  least heights of the rows that areas count by, in CSS pixels; null: as their cards are
     * @param  list<float>|null  $narrow  the same at the narrow end of the widths that this holds for
     * @param  list<float>|null  $shares  of its row that each picture takes, of 1; null: all alike
     * @param  list<int>|null  $counts  how many stand in the row of each picture
     * @param  list<float>|null  $ratios  width by height of each picture, where rows are as high as their pictures
     */
    public function __construct(
        public int $columns,
        public int $cards,
        public ?array $areas = null,
        public ?array $rows = null,
        public ?array $narrow = null,
        public ?array $shares = null,
        public ?array $counts = null,
        public ?array $ratios = null,
    ) {
    }
}
