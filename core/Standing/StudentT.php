<?php

declare(strict_types=1);

namespace Gnomic\Standing;

/** Student's distribution, by the regularised incomplete beta function (Abramowitz and Stegun, 26.5.27 and 26.5.8). */
final class StudentT
{
    /**
     * @param  float  $share  between 0.5 and 1
     * @param  int  $freedom  degrees, at least 1
     * @return float the value below which that share lies, to about nine digits
     */
    public static function quantile(float $share, int $freedom): float
    {
        [$low, $high] = [0.0, 1.0];
        while (self::below($high, $freedom) < $share && $high < 1e12) {
            $high *= 2;
        }
        for ($step = 0; $step < 100 && $high - $low > 1e-13 * $high; $step++) {
            $middle = ($low + $high) / 2;
            if (self::below($middle, $freedom) < $share) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }

    /** @param  float  $t  at least 0 */
    public static function below(float $t, int $freedom): float
    {
        return 1 - self::beta($freedom / ($freedom + $t * $t), $freedom / 2, 0.5) / 2;
    }

    /** The regularised incomplete beta function, by its continued fraction after Lentz. */
    private static function beta(float $x, float $a, float $b): float
    {
        if ($x <= 0.0 || $x >= 1.0) {
            return $x <= 0.0 ? 0.0 : 1.0;
        }
        if ($x > ($a + 1) / ($a + $b + 2)) {
            return 1 - self::beta(1 - $x, $b, $a);
        }
        $tiny = 1e-300;
        $front = exp(self::lnGamma($a + $b) - self::lnGamma($a) - self::lnGamma($b) + $a * log($x) + $b * log(1 - $x)) / $a;
        [$c, $d] = [1.0, 1 / (abs($first = 1 - ($a + $b) * $x / ($a + 1)) < $tiny ? $tiny : $first)];
        $sum = $d;
        for ($m = 1; $m <= 500; $m++) {
            $even = $m * ($b - $m) * $x / (($a + 2 * $m - 1) * ($a + 2 * $m));
            $odd = -($a + $m) * ($a + $b + $m) * $x / (($a + 2 * $m) * ($a + 2 * $m + 1));
            $change = 1.0;
            foreach ([$even, $odd] as $factor) {
                $d = 1 / (abs($next = 1 + $factor * $d) < $tiny ? $tiny : $next);
                $c = abs($next = 1 + $factor / $c) < $tiny ? $tiny : $next;
                $sum *= $change = $c * $d;
            }
            if (abs($change - 1) < 1e-15) {
                break;
            }
        }

        return $front * $sum;
    }

    /** Lanczos' approximation, g = 7, nine terms; x above 0. */
    private static function lnGamma(float $x): float
    {
        $terms = [
            0.99999999999980993,
            676.5203681218851,
            -1259.1392167224028,
            771.32342877765313,
            -176.61502916214059,
            12.507343278686905,
            -0.13857109526572012,
            9.9843695780195716e-6,
            1.5056327351493116e-7,
        ];
        $sum = $terms[0];
        for ($term = 1; $term < 9; $term++) {
            $sum += $terms[$term] / ($x - 1 + $term);
        }
        $base = $x + 6.5;

        return 0.5 * log(2 * M_PI) + ($x - 0.5) * log($base) - $base + log($sum);
    }
}
