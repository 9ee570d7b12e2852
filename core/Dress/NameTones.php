<?php

declare(strict_types=1);

namespace Gnomic\Dress;

use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Colour\Oklch;

/**
 * Colours behind the initials of people: dark, so that white letters are read on each of them (WCAG 2.2, 1.4.3), and neighbours of the
 * colour that the look has already, so that a row of people is no rainbow beside its one accent. The figures are ours.
 */
final readonly class NameTones
{
    public const COUNT = 8;

    /** Words are seldom quite black: theirs is a colour, however little of it there is. */
    private const NEAR_GREY = 0.006;

    private const LIGHTNESS = 0.42;

    /** As much of it as there is in words, several times over, between these. */
    private const CHROMA = [0.03, 0.065];

    private const TIMES = 3.0;

    /** Between two of them, in degrees of hue. */
    private const STEP = 14.0;

    /** Of lightness, where the look is grey throughout. */
    private const GREY_STEP = 0.015;

    /** @return list<Colour> COUNT of them */
    public static function of(Palette $palette): array
    {
        $of = self::neighbour($palette);

        return array_map(function (int $tone) use ($of): Colour {
            $from = $tone - (self::COUNT - 1) / 2;
            $colour = $of === null
                ? new Oklch(self::LIGHTNESS + $from * self::GREY_STEP, 0.0, 0.0)
                : new Oklch(
                    self::LIGHTNESS,
                    min(self::CHROMA[1], max(self::CHROMA[0], self::TIMES * $of->chroma)),
                    fmod($of->hue + $from * self::STEP + 360.0, 360.0),
                );

            return $colour->toColour()->rounded();
        }, range(0, self::COUNT - 1));
    }

    private static function neighbour(Palette $palette): ?Oklch
    {
        // What is seen of it, the larger first: one that is near grey has no neighbours.
        foreach ([$palette->sure('ink'), $palette->solid(), $palette->sure('accent')] as $colour) {
            $of = Oklch::of($colour);
            if ($of->chroma >= self::NEAR_GREY) {
                return $of;
            }
        }

        return null;
    }
}
