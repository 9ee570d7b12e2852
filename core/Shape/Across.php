<?php

declare(strict_types=1);

namespace Gnomic\Shape;

/** How many cards stand side by side, by the width of the widget itself and not of the window. */
final class Across
{
    /** Pixels below which a card's words become a narrow column. */
    public const CARD = 280;

    /** Pixels that a widget keeps free on either side. */
    public const INSET = 20;

    /**
     * @param  int  $width  of the widget in CSS pixels
     * @param  int  $most  the brief's wish, 1 to 5
     */
    public static function at(int $width, int $most): int
    {
        return max(1, min($most, intdiv($width - 2 * self::INSET, self::CARD)));
    }

    /**
     * The widths from which one more card fits, for style sheets.
     *
     * @return array<int, int> cards across, by the least width in CSS pixels
     */
    public static function breakpoints(int $most): array
    {
        $points = [];
        for ($across = 2; $across <= $most; $across++) {
            $points[$across * self::CARD + 2 * self::INSET] = $across;
        }

        return $points;
    }
}
