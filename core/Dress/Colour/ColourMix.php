<?php

declare(strict_types=1);

namespace Gnomic\Dress\Colour;

/** Two colours mixed in a space: CSS Color 4, 12, with opacity counted in before and taken out after. */
final class ColourMix
{
    /**
     * @param  string  $space  as style sheets name it
     * @param  float  $share  of the first, 0 to 1
     * @param  bool  $isLonger  whether hues go the long way round
     * @param  float  $opacity  of the whole
     */
    public static function of(string $space, Colour $one, Colour $two, float $share, bool $isLonger = false, float $opacity = 1.0): ?Colour
    {
        $alpha = $one->alpha * $share + $two->alpha * (1 - $share);
        if ($alpha <= 0.0) {
            return Colour::of(0, 0, 0, 0);
        }
        [$first, $second] = [ColourSpaces::of($space, $one), ColourSpaces::of($space, $two)];
        [$first, $second] = self::withHues($space, $first, $second, $one, $two);
        $mixed = [];
        foreach ([0, 1, 2] as $place) {
            $mixed[] = ColourSpaces::isHue($space, $place)
                ? self::hue($first[$place], $second[$place], $share, $isLonger)
                : ($first[$place] * $one->alpha * $share + $second[$place] * $two->alpha * (1 - $share)) / $alpha;
        }
        $space = $space === 'rgb' ? 'srgb' : $space;

        return ColourSpaces::colour($space, $mixed, $alpha * $opacity);
    }

    /**
     * A grey has no hue, and takes that of the other.
     *
     * @param  array{float, float, float}  $first
     * @param  array{float, float, float}  $second
     * @return array{array{float, float, float}, array{float, float, float}}
     */
    private static function withHues(string $space, array $first, array $second, Colour $one, Colour $two): array
    {
        foreach ([0, 1, 2] as $place) {
            if (ColourSpaces::isHue($space, $place)) {
                $isGrey = fn (Colour $colour): bool => Oklch::of($colour)->chroma < 0.0002;
                $first[$place] = $isGrey($one) ? $second[$place] : $first[$place];
                $second[$place] = $isGrey($two) ? $first[$place] : $second[$place];
            }
        }

        return [$first, $second];
    }

    private static function hue(float $one, float $two, float $share, bool $isLonger): float
    {
        $apart = $two - $one;
        $apart -= 360 * round($apart / 360);
        if ($isLonger && abs($apart) > 0) {
            $apart -= 360 * ($apart <=> 0);
        }

        return fmod($one + $apart * (1 - $share) + 720, 360);
    }
}
