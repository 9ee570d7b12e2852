<?php

declare(strict_types=1);

namespace Gnomic\Dress\Guard;

use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Colour\Oklch;

/**
 * The smallest change of lightness in OKLCH that makes a colour tell itself from all that is behind it. Hue stays, and chroma as long as
 * a screen can show it (CSS Color 4, 13.2).
 */
final class Lightness
{
    /** Halvings of what is left of lightness: then it is nearer than a step of eight bits. */
    private const HALVINGS = 9;

    /** How far lightness is from the cube root of luminance at most, for any hue. */
    private const ABOUT = 0.15;

    /** Steps of lightness by which it goes on until the rounded colour is told apart, too. */
    private const STEP = 0.0015;

    private const STEPS = 60;

    /**
     * @param  list<array{Backdrop, float}>  $wanted  what is behind it, and the contrast that it needs there
     * @return Colour|null null where no lightness will do
     */
    public static function mended(Colour $colour, array $wanted): ?Colour
    {
        $from = Oklch::of($colour);
        $luminance = $colour->luminance();
        [$low, $high] = self::forbidden($luminance, $wanted);
        $ways = array_filter([-1 => $low, 1 => $high], fn (float $edge): bool => $edge >= 0.0 && $edge <= 1.0);
        // The nearer first, by the cube root that lightness nearly is of luminance.
        $off = fn (float $edge): float => abs($edge ** (1 / 3) - $from->lightness);
        uasort($ways, fn (float $one, float $two): int => $off($one) <=> $off($two));
        $best = null;
        foreach ($ways as $way => $edge) {
            $least = $best === null ? INF : abs($best->lightness - $from->lightness);
            if ($off($edge) - self::ABOUT > $least) {
                continue;
            }
            $found = self::reached($from, $edge, $way < 0 ? -1 : 1, $wanted);
            if ($found !== null && abs($found->lightness - $from->lightness) < $least) {
                $best = $found;
            }
        }

        return $best?->toColour()->rounded();
    }

    /**
     * About how far a colour has to move, without looking for it.
     *
     * @param  list<array{Backdrop, float}>  $wanted
     */
    public static function about(Colour $colour, array $wanted): float
    {
        $edges = array_filter(self::forbidden($colour->luminance(), $wanted), fn (float $edge): bool => $edge >= 0.0 && $edge <= 1.0);
        $lightness = $colour->luminance() ** (1 / 3);

        return $edges === [] ? 1.0 : min(array_map(fn (float $edge): float => abs($edge ** (1 / 3) - $lightness), $edges));
    }

    /** @param  list<array{Backdrop, float}>  $wanted */
    public static function isMendable(array $wanted): bool
    {
        // Luminances at the edges of what is forbidden are all that there can be: if any is free, the colour is there.
        $edges = [0.0, 1.0];
        foreach ($wanted as [$behind, $contrast]) {
            array_push($edges, ...$behind->forbidden($contrast));
        }
        foreach ($edges as $edge) {
            if ($edge < 0.0 || $edge > 1.0) {
                continue;
            }
            $isFree = true;
            foreach ($wanted as [$behind, $contrast]) {
                [$low, $high] = $behind->forbidden($contrast);
                $isFree = $isFree && ($edge <= $low || $edge >= $high);
            }
            if ($isFree) {
                return true;
            }
        }

        return false;
    }

    /**
     * Luminances around one between which all are forbidden.
     *
     * @param  list<array{Backdrop, float}>  $wanted
     * @return array{float, float}
     */
    private static function forbidden(float $luminance, array $wanted): array
    {
        [$low, $high] = [$luminance, $luminance];
        $all = array_map(fn (array $one): array => $one[0]->forbidden($one[1]), $wanted);
        // Each may reach into others.
        foreach ($all as $unused) {
            foreach ($all as [$from, $to]) {
                if ($from < $high && $to > $low) {
                    [$low, $high] = [min($low, $from), max($high, $to)];
                } elseif ($from < $luminance && $to > $luminance) {
                    [$low, $high] = [min($low, $from), max($high, $to)];
                }
            }
        }

        return [$low, $high];
    }

    /**
     * @param  -1|1  $way  darker or lighter
     * @param  list<array{Backdrop, float}>  $wanted
     */
    private static function reached(Oklch $from, float $luminance, int $way, array $wanted): ?Oklch
    {
        $about = $luminance ** (1 / 3);
        $bound = fn (float $lightness): float => $way < 0 ? min($from->lightness, $lightness) : max($from->lightness, $lightness);
        $near = max(0.0, min(1.0, $bound($about - $way * self::ABOUT)));
        $far = max(0.0, min(1.0, $bound($about + $way * self::ABOUT)));
        for ($halving = 0; $halving < self::HALVINGS; $halving++) {
            $middle = ($near + $far) / 2;
            $isReached = ($from->withLightness($middle)->luminance() <=> $luminance) * $way >= 0;
            [$near, $far] = $isReached ? [$near, $middle] : [$middle, $far];
        }
        for ($step = 0; $step < self::STEPS; $step++) {
            $tried = $from->withLightness($far + $way * $step * self::STEP);
            if (self::isTold($tried->toColour()->rounded(), $wanted)) {
                return $tried;
            }
        }
        $end = $from->withLightness($way < 0 ? 0.0 : 1.0);

        return self::isTold($end->toColour(), $wanted) ? $end : null;
    }

    /** @param  list<array{Backdrop, float}>  $wanted */
    public static function isTold(Colour $colour, array $wanted): bool
    {
        foreach ($wanted as [$behind, $contrast]) {
            if ($behind->contrastWith($colour) < $contrast) {
                return false;
            }
        }

        return true;
    }
}
