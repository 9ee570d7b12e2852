<?php

declare(strict_types=1);

namespace Gnomic\Dress\Guard;

use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Palette;

/** What may be behind something: from the darkest to the lightest point of a plain colour, a gradient, or a picture under a veil. */
final readonly class Backdrop
{
    /** Points of a gradient that are looked at, ends included; of each of two, one over the other. */
    private const POINTS = 17;

    private const EACH = 7;

    private function __construct(public Colour $darkest, public Colour $lightest, private float $least, private float $most)
    {
    }

    /** @param  non-empty-list<Colour>  $colours  opaque */
    private static function of(array $colours): self
    {
        $luminances = array_map(fn (Colour $colour): float => $colour->luminance(), $colours);
        [$least, $most] = [min($luminances), max($luminances)];

        return new self(
            $colours[(int) array_search($least, $luminances, true)],
            $colours[(int) array_search($most, $luminances, true)],
            $least,
            $most,
        );
    }

    /** Where head and foot stand. */
    public static function ground(Palette $palette): self
    {
        return self::of(self::points($palette));
    }

    /** Where the words of cards stand. */
    public static function surface(Palette $palette): self
    {
        $surface = $palette->sure('surface');

        return self::of($surface->isOpaque()
            ? [$surface]
            : array_map(fn (Colour $ground): Colour => $surface->over($ground), self::points($palette)));
    }

    /** @return non-empty-list<Colour> of the ground, wherever words may stand */
    private static function points(Palette $palette): array
    {
        $points = $palette->colour('groundTo') === null || $palette->colour('behindTo') === null ? self::POINTS : self::EACH;
        $ground = self::between($palette->sure('ground'), $palette->colour('groundTo'), $points);
        $isClosed = array_filter($ground, fn (Colour $colour): bool => ! $colour->isOpaque()) === [];
        $behind = $isClosed ? [Colour::hex('#fff')] : self::between($palette->sure('behind'), $palette->colour('behindTo'), $points);
        $seen = [];
        foreach ($ground as $over) {
            foreach ($behind as $under) {
                $seen[] = $over->over($under);
            }
        }

        return $seen;
    }

    /** @return non-empty-list<Colour> */
    private static function between(Colour $from, ?Colour $to, int $points): array
    {
        if ($to === null) {
            return [$from];
        }
        $between = [$from];
        for ($point = 1; $point < $points; $point++) {
            $share = 1 - $point / ($points - 1);
            $between[] = $from->mixed($to, $share)->withAlpha($from->alpha * $share + $to->alpha * (1 - $share));
        }

        return $between;
    }

    /** At the worst point: 1 where it has the very lightness of one. */
    public function contrastWith(Colour $colour): float
    {
        $luminance = $colour->luminance();

        return match (true) {
            $luminance < $this->least => ($this->least + 0.05) / ($luminance + 0.05),
            $luminance > $this->most => ($luminance + 0.05) / ($this->most + 0.05),
            default => 1.0,
        };
    }

    /** @return array{float, float} luminances between which nothing has so much contrast with it */
    public function forbidden(float $contrast): array
    {
        return [($this->least + 0.05) / $contrast - 0.05, ($this->most + 0.05) * $contrast - 0.05];
    }
}
