<?php

declare(strict_types=1);

namespace Gnomic\Dress\Colour;

/** Channels of the colour spaces that style sheets have, to sRGB and back: CSS Color 4, with its sample code's matrices. */
final class ColourSpaces
{
    /** What a hundred per cent are of each channel. */
    private const WHOLE = [
        'rgb' => [255.0, 255.0, 255.0], 'hsl' => [1.0, 100.0, 100.0], 'hwb' => [1.0, 100.0, 100.0], 'lab' => [100.0, 125.0, 125.0],
        'lch' => [100.0, 150.0, 1.0], 'oklab' => [1.0, 0.4, 0.4], 'oklch' => [1.0, 0.4, 1.0],
    ];

    /** Letters of the channels, for relative colours. */
    private const LETTERS = [
        'hsl' => ['h', 's', 'l'], 'hwb' => ['h', 'w', 'b'], 'lab' => ['l', 'a', 'b'], 'lch' => ['l', 'c', 'h'], 'oklab' => ['l', 'a', 'b'],
        'oklch' => ['l', 'c', 'h'], 'xyz' => ['x', 'y', 'z'], 'xyz-d65' => ['x', 'y', 'z'], 'xyz-d50' => ['x', 'y', 'z'],
    ];

    /** White of D50. */
    private const D50 = [0.9642956764295677, 1.0, 0.8251046025104602];

    public static function whole(string $space, int $place): float
    {
        return self::WHOLE[$space][$place] ?? 1.0;
    }

    public static function isHue(string $space, int $place): bool
    {
        return match ($space) {
            'hsl', 'hwb' => $place === 0,
            'lch', 'oklch' => $place === 2,
            default => false,
        };
    }

    /** @return array<string, float> channels of a colour by their letters, and its opacity */
    public static function scope(string $space, Colour $colour): array
    {
        $scope = ['alpha' => $colour->alpha];
        foreach (self::of($space, $colour) as $place => $value) {
            $scope[self::LETTERS[$space][$place] ?? ['r', 'g', 'b'][$place]] = $value;
        }

        return $scope;
    }

    /** @param  array{float, float, float}  $of  channels */
    public static function colour(string $space, array $of, float $alpha): ?Colour
    {
        [$one, $two, $three] = $of;

        return match ($space) {
            'rgb' => Colour::rgb($one, $two, $three, $alpha),
            'srgb' => Colour::of($one, $two, $three, $alpha),
            'srgb-linear' => Colour::linear([max(0.0, $one), max(0.0, $two), max(0.0, $three)], $alpha),
            'hsl' => self::fromHsl($one, $two, $three, $alpha),
            'hwb' => self::fromHwb($one, $two / 100, $three / 100, $alpha),
            'oklch' => (new Oklch($one, max(0.0, $two), $three, $alpha))->cutOff(),
            'oklab' => Oklch::lab($of, $alpha)->cutOff(),
            'lab' => Oklch::xyz(self::toD65(self::labToXyz($of)), $alpha)->cutOff(),
            'lch' => self::colour('lab', [$one, $two * cos(deg2rad($three)), $two * sin(deg2rad($three))], $alpha),
            'display-p3' => Oklch::xyz(self::p3ToXyz($of), $alpha)->cutOff(),
            'xyz', 'xyz-d65' => Oklch::xyz($of, $alpha)->cutOff(),
            'xyz-d50' => Oklch::xyz(self::toD65($of), $alpha)->cutOff(),
            default => null,
        };
    }

    /** @return array{float, float, float} channels of a colour, in a space that "color-mix" and relative colours may name */
    public static function of(string $space, Colour $colour): array
    {
        $oklch = Oklch::of($colour);

        return match ($space) {
            'oklch' => [$oklch->lightness, $oklch->chroma, $oklch->hue],
            'oklab' => $oklch->axes(),
            'rgb' => [$colour->red * 255, $colour->green * 255, $colour->blue * 255],
            'srgb-linear' => $colour->toLinear(),
            'hsl' => self::toHsl($colour),
            'hwb' => [self::toHsl($colour)[0], 100 * min($colour->red, $colour->green, $colour->blue),
                100 - 100 * max($colour->red, $colour->green, $colour->blue)],
            'lab' => self::xyzToLab(self::toD50(self::toXyz($colour))),
            'lch' => self::polar(self::xyzToLab(self::toD50(self::toXyz($colour)))),
            'xyz', 'xyz-d65' => self::toXyz($colour),
            'xyz-d50' => self::toD50(self::toXyz($colour)),
            default => [$colour->red, $colour->green, $colour->blue],
        };
    }

    private static function fromHsl(float $hue, float $saturation, float $lightness, float $alpha): Colour
    {
        [$saturation, $lightness] = [max(0.0, min(1.0, $saturation / 100)), max(0.0, min(1.0, $lightness / 100))];
        $channel = function (int $of) use ($hue, $saturation, $lightness): float {
            $place = fmod($of + fmod($hue, 360) / 30 + 12, 12);

            return $lightness - $saturation * min($lightness, 1 - $lightness) * max(-1, min($place - 3, 9 - $place, 1));
        };

        return Colour::of($channel(0), $channel(8), $channel(4), $alpha);
    }

    private static function fromHwb(float $hue, float $white, float $black, float $alpha): Colour
    {
        if ($white + $black >= 1) {
            $grey = $white / ($white + $black);

            return Colour::of($grey, $grey, $grey, $alpha);
        }
        $pure = self::fromHsl($hue, 100, 50, 1.0);
        $mix = fn (float $channel): float => $channel * (1 - $white - $black) + $white;

        return Colour::of($mix($pure->red), $mix($pure->green), $mix($pure->blue), $alpha);
    }

    /** @return array{float, float, float} */
    private static function toHsl(Colour $colour): array
    {
        [$most, $least] = [max($colour->red, $colour->green, $colour->blue), min($colour->red, $colour->green, $colour->blue)];
        $spread = $most - $least;
        $lightness = ($most + $least) / 2;
        if ($spread === 0.0) {
            return [0.0, 0.0, 100 * $lightness];
        }
        $hue = match ($most) {
            $colour->red => ($colour->green - $colour->blue) / $spread + ($colour->green < $colour->blue ? 6 : 0),
            $colour->green => ($colour->blue - $colour->red) / $spread + 2,
            default => ($colour->red - $colour->green) / $spread + 4,
        };

        return [60 * $hue, 100 * $spread / (1 - abs(2 * $lightness - 1)), 100 * $lightness];
    }

    /**
     * @param  array{float, float, float}  $lab
     * @return array{float, float, float}
     */
    private static function polar(array $lab): array
    {
        $hue = rad2deg(atan2($lab[2], $lab[1]));

        return [$lab[0], hypot($lab[1], $lab[2]), $hue < 0 ? $hue + 360 : $hue];
    }

    /**
     * @param  array{float, float, float}  $lab
     * @return array{float, float, float}
     */
    private static function labToXyz(array $lab): array
    {
        [$kappa, $epsilon] = [24389 / 27, 216 / 24389];
        $middle = ($lab[0] + 16) / 116;
        [$first, $third] = [$lab[1] / 500 + $middle, $middle - $lab[2] / 200];
        $cubed = fn (float $value): float => $value ** 3 > $epsilon ? $value ** 3 : (116 * $value - 16) / $kappa;

        return [
            $cubed($first) * self::D50[0],
            $lab[0] > $kappa * $epsilon ? $middle ** 3 : $lab[0] / $kappa,
            $cubed($third) * self::D50[2],
        ];
    }

    /**
     * @param  array{float, float, float}  $xyz
     * @return array{float, float, float}
     */
    private static function xyzToLab(array $xyz): array
    {
        [$kappa, $epsilon] = [24389 / 27, 216 / 24389];
        $root = fn (float $value): float => $value > $epsilon ? $value ** (1 / 3) : ($kappa * $value + 16) / 116;
        [$first, $middle, $third] = [$root($xyz[0] / self::D50[0]), $root($xyz[1]), $root($xyz[2] / self::D50[2])];

        return [116 * $middle - 16, 500 * ($first - $middle), 200 * ($middle - $third)];
    }

    /** @return array{float, float, float} */
    private static function toXyz(Colour $colour): array
    {
        return self::times($colour->toLinear(), [
            [0.41239079926595934, 0.357584339383878, 0.1804807884018343],
            [0.21263900587151027, 0.715168678767756, 0.07219231536073371],
            [0.01933081871559182, 0.11919477979462598, 0.9505321522496607],
        ]);
    }

    /**
     * @param  array{float, float, float}  $of
     * @return array{float, float, float}
     */
    private static function p3ToXyz(array $of): array
    {
        $linear = array_map(
            fn (float $channel): float => abs($channel) <= 0.04045 ? $channel / 12.92 : ($channel <=> 0) * (
                (abs($channel) + 0.055) / 1.055
            ) ** 2.4,
            $of,
        );

        return self::times($linear, [
            [0.4865709486482162, 0.26566769316909306, 0.1982172852343625],
            [0.2289745640697488, 0.6917385218365064, 0.079286914093745],
            [0.0, 0.04511338185890264, 1.043944368900976],
        ]);
    }

    /**
     * Between the whites of D50 and of D65, by the method of Bradford.
     *
     * @param  array{float, float, float}  $xyz
     * @return array{float, float, float}
     */
    private static function toD65(array $xyz): array
    {
        return self::times($xyz, [
            [0.955473421488075, -0.02309845494876471, 0.06325924320057072],
            [-0.0283697093338637, 1.0099953980813041, 0.021041441191917323],
            [0.012314014864481998, -0.020507649298898964, 1.330365926242124],
        ]);
    }

    /**
     * @param  array{float, float, float}  $xyz
     * @return array{float, float, float}
     */
    private static function toD50(array $xyz): array
    {
        return self::times($xyz, [
            [1.0479297925449969, 0.022946870601609652, -0.05019226628920524],
            [0.02962780877005599, 0.9904344267538799, -0.017073799063418826],
            [-0.009243040646204504, 0.015055191490298152, 0.7518742814281371],
        ]);
    }

    /**
     * @param  array{float, float, float}  $of
     * @param  array{array{float, float, float}, array{float, float, float}, array{float, float, float}}  $by
     * @return array{float, float, float}
     */
    private static function times(array $of, array $by): array
    {
        $product = [];
        foreach ($by as $row) {
            $product[] = $row[0] * $of[0] + $row[1] * $of[1] + $row[2] * $of[2];
        }

        return $product;
    }
}
