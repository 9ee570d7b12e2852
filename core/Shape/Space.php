<?php

declare(strict_types=1);

namespace Gnomic\Shape;

/** The room that cards have in a widget of a width. */
final readonly class Space
{
    /** Of the head where it stands beside the cards, in CSS pixels, and the width of the widget from which there is room for that. */
    public const ASIDE = 240;

    public const ASIDE_FROM = 720;

    /** Between such a head and the cards. */
    public const ASIDE_GAP = 40;

    /**
     * @param  int  $width  of the widget
     * @param  float  $inner  of all cards together, without the outer sides; never below 1
     * @param  int  $gap  between cards
     */
    private function __construct(public int $width, public float $inner, public int $gap, public WidthClass $class)
    {
    }

    /** @param  int  $width  CSS pixels, 0 or more */
    public static function at(int $width, Frame $frame, bool $headAside = false): self
    {
        $whole = min($width, $frame->most ?? $width);
        $aside = $headAside && $width >= self::ASIDE_FROM ? self::ASIDE + self::ASIDE_GAP : 0;

        return new self($width, (float) max(1, $whole - 2 * $frame->side() - $aside), $frame->gap, WidthClass::at($width));
    }

    /** How wide one of so many columns is. @param  int  $columns  1 or more */
    public function column(int $columns): float
    {
        return max(1.0, ($this->inner - ($columns - 1) * $this->gap) / $columns);
    }

    /** How many columns of at least so many pixels there is room for; one always. */
    public function columns(int $atLeast): int
    {
        return max(1, (int) (($this->inner + $this->gap) / ($atLeast + $this->gap)));
    }
}
