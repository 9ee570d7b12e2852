<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

use Gnomic\Shape\Arrangement;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Lines\TypeScale;

/** Widths of a widget at which the same stands where it stands. */
final readonly class Range
{
    /**
     * @param  int  $from  CSS pixels
     * @param  int|null  $to  the first width that does not count any more
     * @param  int  $at  the width that it was worked out for
     * @param  int|null  $lines  that words are clamped to
     * @param  bool  $isFree  whether that is what is usual, and not what the brief says
     * @param  list<string>  $without  parts that cards do not show at these widths
     * @param  TypeScale  $scale  sizes of words
     */
    public function __construct(
        public int $from,
        public ?int $to,
        public int $at,
        public Layout $layout,
        public Arrangement $arrangement,
        public ?int $lines,
        public bool $isFree,
        public array $without,
        public TypeScale $scale,
    ) {
    }

    public function holds(int $width): bool
    {
        return $width >= $this->from && ($this->to === null || $width < $this->to);
    }
}
