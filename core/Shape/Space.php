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

    /** In CSS pixels: below this, narrower than any phone, a few words fill a line. */
    public const NARROW = 240;

    /** Kept free on either side there, at most. */
    public const NARROW_SIDE = 8;

    /**
     * @param  int  $width  of the widget
     * @param  int  $side  kept free on either side
     * @param  float  $inner  of all cards together, without the outer sides; never below 1
     * @param  int  $gap  between cards
     */
    private function __construct(public int $width, public int $side, public float $inner, public int $gap, public WidthClass $class)
    {
    }

    /** @param  int  $width  CSS pixels, 0 or more */
    public static function at(int $width, Frame $frame, bool $headAside = false): self
    {
        $whole = min($width, $frame->most ?? $width);
        $aside = $headAside && $width >= self::ASIDE_FROM ? self::ASIDE + self::ASIDE_GAP : 0;
        $side = $width < self::NARROW ? min($frame->side(), self::NARROW_SIDE) : $frame->side();

        return new self($width, $side, (float) max(1, $whole - 2 * $side - $aside), $frame->gap, WidthClass::at($width));
    }

    /** The same with so many pixels less for the cards. */
    public function without(float $pixels): self
    {
        return new self($this->width, $this->side, max(1.0, $this->inner - $pixels), $this->gap, $this->class);
    }

    public function isNarrow(): bool
    {
        return $this->width < self::NARROW;
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
