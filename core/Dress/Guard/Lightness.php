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
    /** How near lightness is found, in no more turns: less than a step of eight bits. */
    private const CLOSE = 0.0012;

    private const TURNS = 10;

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
        $sure = array_combine([-1, 1], self::forbidden($luminance, $wanted, true));
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
            $isSure = $sure[$way] >= 0.0 && $sure[$way] <= 1.0;
            $found = self::reached($from, $isSure ? $sure[$way] : $edge, $isSure, $way < 0 ? -1 : 1, $wanted);
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
     * @param  bool  $isSure  however a screen rounds what is behind
     * @return array{float, float}
     */
    private static function forbidden(float $luminance, array $wanted, bool $isSure = false): array
    {
        [$low, $high] = [$luminance, $luminance];
        $all = array_map(fn (array $one): array => $one[0]->forbidden($one[1], $isSure), $wanted);
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
     * @param  bool  $isSure  whether anything so far can be told however a screen rounds what it stands on
     * @param  -1|1  $way  darker or lighter
     * @param  list<array{Backdrop, float}>  $wanted
     */
    private static function reached(Oklch $from, float $luminance, bool $isSure, int $way, array $wanted): ?Oklch
    {
        $about = $luminance ** (1 / 3);
        // By the cube root, luminance is nearly a straight line: from one guess to the next it is followed, to a little beyond.
        [$far, $guess] = [$from->lightness, $from->lightness + $about - $from->luminance() ** (1 / 3)];
        [$last, $atLast, $slope] = [$from->lightness, null, 1.0];
        for ($turn = 0; $turn < self::TURNS; $turn++) {
            $guess = max(0.0, min(1.0, $guess));
            $is = $from->withLightness($guess)->luminance() ** (1 / 3);
            $beyond = ($is - $about) * $way;
            if ($beyond >= 0.0) {
                $far = $guess;
                if ($beyond < self::CLOSE) {
                    break;
                }
            }
            $slope = $atLast === null || abs($is - $atLast) < 1e-6 ? $slope
                : max(0.6, min(1.7, ($guess - $last) / ($is - $atLast)));
            [$last, $atLast] = [$guess, $is];
            $guess += ($about - $is + $way * self::CLOSE / 3) * $slope;
        }
        // A little further on, it is told however a screen rounds what it stands on; where there is no further, it is told at least.
        $told = null;
        for ($step = 0; $step < self::STEPS; $step++) {
            $tried = $from->withLightness($far + $way * $step * self::STEP);
            $seen = $tried->toColour()->rounded();
            if (self::isTold($seen, $wanted)) {
                $told ??= $tried;
                if (! $isSure || self::isTold($seen, $wanted, true)) {
                    return $tried;
                }
            }
        }
        $end = $from->withLightness($way < 0 ? 0.0 : 1.0);

        return $told ?? (self::isTold($end->toColour(), $wanted) ? $end : null);
    }

    /** @param  list<array{Backdrop, float}>  $wanted @param  bool  $isSure  whether it is so however a screen rounds what it stands on */
    public static function isTold(Colour $colour, array $wanted, bool $isSure = false): bool
    {
        foreach ($wanted as [$behind, $contrast]) {
            if (($isSure ? $behind->sureContrastWith($colour) : $behind->contrastWith($colour)) < $contrast) {
                return false;
            }
        }

        return true;
    }
}
