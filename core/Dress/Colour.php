<?php

declare(strict_types=1);

namespace Gnomic\Dress;

use InvalidArgumentException;

/** A colour of the sRGB space, opaque. */
final readonly class Colour
{
    private function __construct(public int $red, public int $green, public int $blue)
    {
    }

    /** @param  string  $hex "#rgb" or "#rrggbb" @throws InvalidArgumentException for anything else */
    public static function hex(string $hex): self
    {
        $digits = ltrim($hex, '#');
        if (preg_match('/^([0-9a-f]{3}|[0-9a-f]{6})$/i', $digits) !== 1) {
            throw new InvalidArgumentException("\"$hex\" is no colour: write #rgb or #rrggbb.");
        }
        if (strlen($digits) === 3) {
            $digits = $digits[0].$digits[0].$digits[1].$digits[1].$digits[2].$digits[2];
        }

        return new self((int) hexdec(substr($digits, 0, 2)), (int) hexdec(substr($digits, 2, 2)), (int) hexdec(substr($digits, 4, 2)));
    }

    /** Relative luminance, 0 to 1: WCAG 2.2, "relative luminance". */
    public function luminance(): float
    {
        $linear = function (int $channel): float {
            $share = $channel / 255;

            return $share <= 0.04045 ? $share / 12.92 : (($share + 0.055) / 1.055) ** 2.4;
        };

        return 0.2126 * $linear($this->red) + 0.7152 * $linear($this->green) + 0.0722 * $linear($this->blue);
    }

    /** Contrast with another colour, 1 to 21: WCAG 2.2, "contrast ratio". */
    public function contrastWith(self $other): float
    {
        [$one, $two] = [$this->luminance(), $other->luminance()];

        return (max($one, $two) + 0.05) / (min($one, $two) + 0.05);
    }
}
