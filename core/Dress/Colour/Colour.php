<?php

declare(strict_types=1);

namespace Gnomic\Dress\Colour;

use InvalidArgumentException;

/** A colour of the sRGB space (IEC 61966-2-1), channels and opacity from 0 to 1. */
final readonly class Colour
{
    private function __construct(public float $red, public float $green, public float $blue, public float $alpha)
    {
    }

    /** @param  float  $red  as the other channels 0 to 1; what lies beyond is cut off */
    public static function of(float $red, float $green, float $blue, float $alpha = 1.0): self
    {
        $bound = fn (float $channel): float => max(0.0, min(1.0, $channel));

        return new self($bound($red), $bound($green), $bound($blue), $bound($alpha));
    }

    /** @param  string  $hex  "#rgb", "#rgba", "#rrggbb" or "#rrggbbaa" @throws InvalidArgumentException for anything else */
    public static function hex(string $hex): self
    {
        return self::tryHex($hex) ?? throw new InvalidArgumentException("\"$hex\" is no colour: write #rgb or #rrggbb.");
    }

    /** Null for anything that is no hexadecimal colour (CSS Color 4, 5.2). */
    public static function tryHex(string $hex): ?self
    {
        $digits = ltrim($hex, '#');
        if (preg_match('/^(?:[0-9a-f]{3,4}|[0-9a-f]{6}|[0-9a-f]{8})$/iD', $digits) !== 1) {
            return null;
        }
        $digits = strlen($digits) < 6 ? implode('', array_map(fn (string $one): string => $one.$one, str_split($digits))) : $digits;
        $channel = fn (int $place): float => (int) hexdec(substr($digits, $place, 2)) / 255;

        return new self($channel(0), $channel(2), $channel(4), strlen($digits) === 8 ? $channel(6) : 1.0);
    }

    /** @param  int|float  $red  as the other channels 0 to 255 */
    public static function rgb(int|float $red, int|float $green, int|float $blue, float $alpha = 1.0): self
    {
        return self::of($red / 255, $green / 255, $blue / 255, $alpha);
    }

    /** @param  array{float, float, float}  $linear  light of each primary */
    public static function linear(array $linear, float $alpha = 1.0): self
    {
        return self::of(self::encoded($linear[0]), self::encoded($linear[1]), self::encoded($linear[2]), $alpha);
    }

    /** "#rrggbb", with two digits more where it is not opaque. */
    public function toHex(): string
    {
        $hex = sprintf('#%02x%02x%02x', (int) round($this->red * 255), (int) round($this->green * 255), (int) round($this->blue * 255));

        return $this->isOpaque() ? $hex : $hex.sprintf('%02x', (int) round($this->alpha * 255));
    }

    /** As a browser writes it down, in steps of a 255th. */
    public function rounded(): self
    {
        return self::hex($this->toHex());
    }

    public function isOpaque(): bool
    {
        return $this->alpha > 0.998;
    }

    public function withAlpha(float $alpha): self
    {
        return self::of($this->red, $this->green, $this->blue, $alpha);
    }

    /** What is seen where it lies over another that is opaque: simple alpha compositing (Compositing and Blending 1, 5.1). */
    public function over(self $behind): self
    {
        return $this->isOpaque() ? $this : $this->mixed($behind->withAlpha(1.0), $this->alpha);
    }

    /** @param  float  $share  of this one, 0 to 1; channel by channel */
    public function mixed(self $other, float $share): self
    {
        $mix = fn (float $one, float $two): float => $one * $share + $two * (1 - $share);

        return self::of($mix($this->red, $other->red), $mix($this->green, $other->green), $mix($this->blue, $other->blue));
    }

    /** @return array{float, float, float} light of each primary */
    public function toLinear(): array
    {
        return [self::decoded($this->red), self::decoded($this->green), self::decoded($this->blue)];
    }

    /** Relative luminance, 0 to 1: WCAG 2.2, "relative luminance". */
    public function luminance(): float
    {
        [$red, $green, $blue] = $this->toLinear();

        return 0.2126 * $red + 0.7152 * $green + 0.0722 * $blue;
    }

    /** Contrast with another colour, 1 to 21: WCAG 2.2, "contrast ratio". */
    public function contrastWith(self $other): float
    {
        [$one, $two] = [$this->luminance(), $other->luminance()];

        return (max($one, $two) + 0.05) / (min($one, $two) + 0.05);
    }

    private static function decoded(float $channel): float
    {
        return $channel <= 0.04045 ? $channel / 12.92 : (($channel + 0.055) / 1.055) ** 2.4;
    }

    private static function encoded(float $linear): float
    {
        return $linear <= 0.0031308 ? $linear * 12.92 : 1.055 * $linear ** (1 / 2.4) - 0.055;
    }
}
