<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\Schema;

/**
 * A way to lay cards out: its own settings, how it is said, and what stands where at a width. Its markup, styles and
 * behaviour lie in resources/widget/layouts, in a folder of its name. The list of them is Layouts.
 */
abstract readonly class Layout
{
    /** Of the folder, and in a brief. */
    abstract public static function name(): string;

    /** What the owner calls it. */
    abstract public static function label(): string;

    /** @return array<string, Schema> members of a brief that are its own */
    abstract public static function settings(): array;

    abstract public static function of(Members $settings): self;

    /** "three across in a carousel". */
    abstract public function phrase(): string;

    /** Cards side by side where there is room. */
    abstract public function across(): int;

    /** How many of so many cards it shows in so wide a widget. @param  int  $width  CSS pixels */
    public function cardsAt(int $width, int $cards): int
    {
        return $cards;
    }

    /** How many cards stand side by side. @param  int  $width  of the widget in CSS pixels */
    final public function acrossAt(int $width): int
    {
        return Across::at($width, $this->across());
    }

    /** @return array<int, int> cards across, by the least width in CSS pixels from which there are so many */
    final public function breakpoints(): array
    {
        return Across::breakpoints($this->across());
    }
}
