<?php

declare(strict_types=1);

namespace Gnomic\Dress\Colour;

/**
 * A colour by lightness, chroma and hue: OKLab (Ottosson, "A perceptual color space for image processing", 2020) in polar form, as
 * CSS Color 4, 9.4 has it. It may lie outside of what a screen can show.
 */
final readonly class Oklch
{
    /** A difference that is just seen, and how near the search for it comes: CSS Color 4, 13.2. */
    private const JUST_SEEN = 0.02;

    private const NEAR = 0.0001;

    /** Least chroma that has a hue: CSS Color 4, 9.3. */
    private const GREY = 0.000004;

    /** Of rounding, beyond which a channel is outside. */
    private const SLACK = 0.000075;

    /**
     * @param  float  $lightness  0 (black) to 1 (white)
     * @param  float  $chroma  0 (grey) and up
     * @param  float  $hue  degrees
     */
    public function __construct(public float $lightness, public float $chroma, public float $hue, public float $alpha = 1.0)
    {
    }

    public static function of(Colour $colour): self
    {
        return self::lab(self::toLab($colour->toLinear()), $colour->alpha);
    }

    /** @param  array{float, float, float}  $lab  lightness, and the two axes */
    public static function lab(array $lab, float $alpha = 1.0): self
    {
        $chroma = hypot($lab[1], $lab[2]);
        $hue = $chroma < self::GREY ? 0.0 : rad2deg(atan2($lab[2], $lab[1]));

        return new self($lab[0], $chroma, $hue < 0 ? $hue + 360 : $hue, $alpha);
    }

    /** @param  array{float, float, float}  $xyz  D65, white at 1 in y */
    public static function xyz(array $xyz, float $alpha = 1.0): self
    {
        [$x, $y, $z] = $xyz;

        return self::lab(self::fromCones([
            0.8190224379967030 * $x + 0.3619062600528904 * $y - 0.1288737815209879 * $z,
            0.0329836539323885 * $x + 0.9292868615863434 * $y + 0.0361446663506424 * $z,
            0.0481771893596242 * $x + 0.2642395317527308 * $y + 0.6335478284694309 * $z,
        ]), $alpha);
    }

    public function withLightness(float $lightness): self
    {
        return new self(max(0.0, min(1.0, $lightness)), $this->chroma, $this->hue, $this->alpha);
    }

    public function withChroma(float $chroma): self
    {
        return new self($this->lightness, max(0.0, $chroma), $this->hue, $this->alpha);
    }

    /** Whether a screen of the sRGB space can show it. */
    public function isShown(): bool
    {
        return self::isInside($this->toLinear());
    }

    /**
     * The nearest that a screen can show: the same lightness and hue, less chroma, cut off where the difference is just not seen. The
     * method is that of CSS Color 4, 13.2.2, step by step.
     */
    public function toColour(): Colour
    {
        return Colour::linear($this->shown(), $this->alpha);
    }

    /** As browsers paint what a screen cannot show, as yet: each channel cut off by itself. */
    public function cutOff(): Colour
    {
        return Colour::linear(self::cut($this->toLinear()), $this->alpha);
    }

    /** Relative luminance of what a screen shows of it. */
    public function luminance(): float
    {
        [$red, $green, $blue] = $this->shown();

        return 0.2126 * $red + 0.7152 * $green + 0.0722 * $blue;
    }

    /** @return array{float, float, float} light of each primary, 0 to 1 */
    private function shown(): array
    {
        if ($this->lightness >= 1.0 - 1e-9) {
            return [1.0, 1.0, 1.0];
        }
        if ($this->lightness <= 1e-9) {
            return [0.0, 0.0, 0.0];
        }
        [$lightness, $one, $two] = $this->axes();
        $linear = self::light($lightness, $one, $two);
        $cut = self::cut($linear);
        if (self::isInside($linear) || self::apart($cut, $lightness, $one, $two) < self::JUST_SEEN) {
            return $cut;
        }
        [$least, $most, $isInside] = [0.0, 1.0, true];
        while (($most - $least) * $this->chroma > self::NEAR) {
            $share = ($least + $most) / 2;
            $linear = self::light($lightness, $one * $share, $two * $share);
            if ($isInside && self::isInside($linear)) {
                $least = $share;

                continue;
            }
            $cut = self::cut($linear);
            $distance = self::apart($cut, $lightness, $one * $share, $two * $share);
            if ($distance >= self::JUST_SEEN) {
                $most = $share;
            } elseif (self::JUST_SEEN - $distance < self::NEAR) {
                return $cut;
            } else {
                [$isInside, $least] = [false, $share];
            }
        }

        return $cut;
    }

    /** @return array{float, float, float} lightness, and the two axes of OKLab */
    public function axes(): array
    {
        $hue = deg2rad($this->hue);

        return [$this->lightness, $this->chroma * cos($hue), $this->chroma * sin($hue)];
    }

    /** @return array{float, float, float} light of each primary; beyond 0 and 1 where a screen cannot show it */
    public function toLinear(): array
    {
        return self::light(...$this->axes());
    }

    /** @return array{float, float, float} */
    private static function light(float $lightness, float $one, float $two): array
    {
        $long = ($lightness + 0.3963377773761749 * $one + 0.2158037573099136 * $two) ** 3;
        $middle = ($lightness - 0.1055613458156586 * $one - 0.0638541728258133 * $two) ** 3;
        $short = ($lightness - 0.0894841775298119 * $one - 1.2914855480194092 * $two) ** 3;

        return [
            4.0767416360759583 * $long - 3.3077115392580629 * $middle + 0.2309699031821043 * $short,
            -1.2684379732850315 * $long + 2.6097573492876882 * $middle - 0.3413193760026570 * $short,
            -0.0041960761386756 * $long - 0.7034186179359362 * $middle + 1.7076146940746117 * $short,
        ];
    }

    /** @param  array{float, float, float}  $linear */
    private static function isInside(array $linear): bool
    {
        return min($linear) >= -self::SLACK && max($linear) <= 1 + self::SLACK;
    }

    /**
     * @param  array{float, float, float}  $linear
     * @return array{float, float, float}
     */
    private static function cut(array $linear): array
    {
        return [
            max(0.0, min(1.0, $linear[0])),
            max(0.0, min(1.0, $linear[1])),
            max(0.0, min(1.0, $linear[2])),
        ];
    }

    /**
     * Distance in OKLab: CSS Color 4, 13.2.1, "deltaEOK".
     *
     * @param  array{float, float, float}  $linear
     */
    private static function apart(array $linear, float $lightness, float $one, float $two): float
    {
        $lab = self::toLab($linear);

        return sqrt(($lab[0] - $lightness) ** 2 + ($lab[1] - $one) ** 2 + ($lab[2] - $two) ** 2);
    }

    /**
     * @param  array{float, float, float}  $linear
     * @return array{float, float, float}
     */
    private static function toLab(array $linear): array
    {
        [$red, $green, $blue] = $linear;

        return self::fromCones([
            0.4122214694707630 * $red + 0.5363325372617349 * $green + 0.0514459932675022 * $blue,
            0.2119034958178252 * $red + 0.6806995506452344 * $green + 0.1073969535369405 * $blue,
            0.0883024591900564 * $red + 0.2817188391361215 * $green + 0.6299787016738222 * $blue,
        ]);
    }

    /**
     * @param  array{float, float, float}  $cones
     * @return array{float, float, float}
     */
    private static function fromCones(array $cones): array
    {
        [$long, $middle, $short] = $cones;
        $long = $long < 0 ? -((-$long) ** (1 / 3)) : $long ** (1 / 3);
        $middle = $middle < 0 ? -((-$middle) ** (1 / 3)) : $middle ** (1 / 3);
        $short = $short < 0 ? -((-$short) ** (1 / 3)) : $short ** (1 / 3);

        return [
            0.2104542683093140 * $long + 0.7936177747023054 * $middle - 0.0040720430116193 * $short,
            1.9779985324311684 * $long - 2.4285922420485799 * $middle + 0.4505937096174110 * $short,
            0.0259040424655478 * $long + 0.7827717124575296 * $middle - 0.8086757549230774 * $short,
        ];
    }
}
