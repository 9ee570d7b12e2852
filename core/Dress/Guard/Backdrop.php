<?php

declare(strict_types=1);

namespace Gnomic\Dress\Guard;

use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Palette;

/**
 * What may be behind something: from the darkest to the lightest point of a plain colour, of a gradient, or of a picture under a veil.
 * Gradients are mixed premultiplied (CSS Images 4, 3.1), so that what lies over what is linear along each of the two by itself. Luminance
 * is a convex function of the channels: the lightest point is at an end of both, the darkest may be anywhere, and is looked for.
 */
final readonly class Backdrop
{
    /** Points of a gradient that are looked at, ends included; where one lies over the other, of each in two rounds. */
    private const POINTS = 17;

    private const EACH = 9;

    /** Of a channel: half a step of eight bits, by which a screen rounds what is mixed. */
    private const STEP = 0.5 / 255;

    /**
     * @param  float  $least  luminance of the darkest @param  float  $most  of the lightest
     * @param  float  $surelyLeast  as little as it may be on a screen @param  float  $surelyMost  as much as it may be
     */
    private function __construct(
        public Colour $darkest,
        public Colour $lightest,
        private float $least,
        private float $most,
        private float $surelyLeast,
        private float $surelyMost,
    ) {
    }

    /** Where head and foot stand. */
    public static function ground(Palette $palette): self
    {
        return self::seen($palette, null);
    }

    /** Where the words of cards stand. */
    public static function surface(Palette $palette): self
    {
        return self::seen($palette, $palette->sure('surface'));
    }

    /** @param  Colour  $colour  opaque */
    public static function plain(Colour $colour): self
    {
        $luminance = $colour->luminance();

        return new self($colour, $colour, $luminance, $luminance, $luminance, $luminance);
    }

    /** @param  Colour|null  $over  what lies over all of it */
    private static function seen(Palette $palette, ?Colour $over): self
    {
        $ground = $palette->sure('ground');
        $to = $palette->colour('groundTo') ?? $ground;
        if ($over !== null && $over->isOpaque()) {
            return self::plain($over);
        }
        $isOpen = ! $ground->isOpaque() || ! $to->isOpaque();
        $behind = $palette->sure('behind');
        $under = $isOpen ? $palette->colour('behindTo') ?? $behind : $behind;
        [$from, $end, $first, $last] = [
            self::weighed($ground, $over), self::weighed($to, $over), self::under($behind, $over), self::under($under, $over),
        ];
        $point = fn (float $along, float $below): array => self::mixed($from, $end, $first, $last, $along, $below);
        $isPlain = $to->toHex() === $ground->toHex();
        $isPlainUnder = $under->toHex() === $behind->toHex();
        if ($isPlain && $isPlainUnder && ! $isOpen && ($over === null || $over->alpha < 0.002)) {
            return self::plain($ground);
        }
        $darkest = $point(...self::darkest($from, $end, $first, $last, $isPlain, $isPlainUnder));
        $lightest = $point(0.0, 0.0);
        foreach ([[1.0, 0.0], [0.0, 1.0], [1.0, 1.0]] as [$along, $below]) {
            $corner = $point($along, $below);
            $lightest = self::light($corner) > self::light($lightest) ? $corner : $lightest;
        }

        return new self(
            self::colour($darkest),
            self::colour($lightest),
            self::light($darkest),
            self::light($lightest),
            self::light(array_map(fn (float $channel): float => max(0.0, $channel - self::STEP), $darkest)),
            self::light(array_map(fn (float $channel): float => min(1.0, $channel + self::STEP), $lightest)),
        );
    }

    /** @return list<float> of what lies over what is below: its channels times its share, and how much it lets through */
    private static function weighed(Colour $colour, ?Colour $over): array
    {
        $alpha = $colour->alpha;
        $open = 1.0 - ($over->alpha ?? 0.0);

        return [
            $open * $colour->red * $alpha + ($over === null ? 0.0 : $over->red * $over->alpha),
            $open * $colour->green * $alpha + ($over === null ? 0.0 : $over->green * $over->alpha),
            $open * $colour->blue * $alpha + ($over === null ? 0.0 : $over->blue * $over->alpha),
            1.0 - $alpha,
        ];
    }

    /** @return list<float> channels of what is below, as far as what lies over everything lets them through */
    private static function under(Colour $colour, ?Colour $over): array
    {
        $open = 1.0 - ($over->alpha ?? 0.0);

        return [$open * $colour->red, $open * $colour->green, $open * $colour->blue];
    }

    /**
     * The channels at a share of the way along the ground and along what is below.
     *
     * @param  list<float>  $from  as weighed() has it
     * @param  list<float>  $to
     * @param  list<float>  $first  as under() has it
     * @param  list<float>  $last
     * @return array{float, float, float}
     */
    private static function mixed(array $from, array $to, array $first, array $last, float $along, float $below): array
    {
        $through = $from[3] + ($to[3] - $from[3]) * $along;
        $channel = fn (int $at): float => max(0.0, min(1.0, $from[$at] + ($to[$at] - $from[$at]) * $along
            + $through * ($first[$at] + ($last[$at] - $first[$at]) * $below)));

        return [$channel(0), $channel(1), $channel(2)];
    }

    /**
     * Where it is darkest: looked for in two rounds, the second around the point that the first has found. At each point of the ground,
     * luminance is a convex function of the way along what is below: it is walked down, from where it was darkest one point before.
     *
     * @param  list<float>  $from  as mixed() has them
     * @param  list<float>  $to
     * @param  list<float>  $first
     * @param  list<float>  $last
     * @return array{float, float}
     */
    private static function darkest(array $from, array $to, array $first, array $last, bool $isPlain, bool $isPlainUnder): array
    {
        $points = $isPlain || $isPlainUnder ? self::POINTS : self::EACH;
        [$rows, $columns] = [$isPlain ? 1 : $points, $isPlainUnder ? 1 : $points];
        [$red, $green, $blue] = [$last[0] - $first[0], $last[1] - $first[1], $last[2] - $first[2]];
        [$least, $along, $below] = [INF, 0.0, 0.0];
        [$low, $reach, $lower, $deep] = [0.0, 1.0, 0.0, 1.0];
        foreach ([1, 2] as $round) {
            [$step, $down] = [$reach / ($points - 1), $deep / ($points - 1)];
            $at = intdiv($columns, 2);
            for ($one = 0; $one < $rows; $one++) {
                $s = $low + $one * $step;
                $through = $from[3] + ($to[3] - $from[3]) * $s;
                $r = $from[0] + ($to[0] - $from[0]) * $s + $through * $first[0];
                $g = $from[1] + ($to[1] - $from[1]) * $s + $through * $first[1];
                $b = $from[2] + ($to[2] - $from[2]) * $s + $through * $first[2];
                $begin = max(0, min($columns - 2, $at));
                [$darkest, $at, $way] = [INF, $begin, 1];
                for ($two = $begin; $two >= 0 && $two < $columns; $two += $way) {
                    $t = $lower + $two * $down;
                    $more = $through * $t;
                    $is = self::light([$r + $more * $red, $g + $more * $green, $b + $more * $blue]);
                    if ($is < $darkest) {
                        [$darkest, $at] = [$is, $two];
                    } elseif ($way === 1 && $at === $begin) {
                        // That way it is no darker: the other way, if anywhere.
                        [$way, $two] = [-1, $begin];
                    } else {
                        break;
                    }
                }
                if ($darkest < $least) {
                    [$least, $along, $below] = [$darkest, $s, $lower + $at * $down];
                }
            }
            [$low, $reach] = self::around($along, $step);
            [$lower, $deep] = self::around($below, $down);
        }

        return [$along, $below];
    }

    /** @return array{float, float} where a step before a point is, and how far it is from there to a step behind it: all within the way */
    private static function around(float $point, float $step): array
    {
        $from = max(0.0, $point - $step);

        return [$from, min(1.0, $point + $step) - $from];
    }

    private static function decoded(float $channel): float
    {
        return $channel <= 0.04045 ? $channel / 12.92 : (($channel + 0.055) / 1.055) ** 2.4;
    }

    /** @param  array{float, float, float}|list<float>  $channels  @return float relative luminance (WCAG 2.2) */
    private static function light(array $channels): float
    {
        return 0.2126 * self::decoded($channels[0]) + 0.7152 * self::decoded($channels[1]) + 0.0722 * self::decoded($channels[2]);
    }

    /** @param  array{float, float, float}  $channels */
    private static function colour(array $channels): Colour
    {
        return Colour::of(...$channels);
    }

    /** At the worst point: 1 where it has the very lightness of one. */
    public function contrastWith(Colour $colour): float
    {
        return self::contrast($colour->luminance(), $this->least, $this->most);
    }

    /** The same however a screen rounds what is mixed. */
    public function sureContrastWith(Colour $colour): float
    {
        return self::contrast($colour->luminance(), $this->surelyLeast, $this->surelyMost);
    }

    private static function contrast(float $luminance, float $least, float $most): float
    {
        return match (true) {
            $luminance < $least => ($least + 0.05) / ($luminance + 0.05),
            $luminance > $most => ($luminance + 0.05) / ($most + 0.05),
            default => 1.0,
        };
    }

    /**
     * @param  bool  $isSure  however a screen rounds what is mixed
     * @return array{float, float} luminances between which nothing has so much contrast with it
     */
    public function forbidden(float $contrast, bool $isSure = false): array
    {
        [$least, $most] = $isSure ? [$this->surelyLeast, $this->surelyMost] : [$this->least, $this->most];

        return [($least + 0.05) / $contrast - 0.05, ($most + 0.05) * $contrast - 0.05];
    }
}
