<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

use Gnomic\Shape\Layout;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Space;

/** Widths of a widget at which as many cards are shown, in one layout and one size of words: what rests on no card. */
final readonly class Band
{
    /** What cards have in common whose heights are the same. */
    public string $kind;

    /**
     * @param  int  $cards  that are shown
     * @param  int|null  $lines  that words are clamped to
     * @param  bool  $isFree  whether that is what is usual, and not what the brief says
     * @param  list<string>  $without  parts that cards do not show
     * @param  list<array{int, int|null, Space, Space}>  $steps  from, to, the room that stands for those between, and the least of it
     */
    public function __construct(
        public int $cards,
        public Layout $layout,
        public ?int $lines,
        public bool $isFree,
        public array $without,
        public TypeScale $scale,
        public array $steps,
    ) {
        $this->kind = implode(' ', [...$without, (string) $lines, (string) $layout::isOfPictures(), $scale->key()]);
    }
}
