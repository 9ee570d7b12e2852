<?php

declare(strict_types=1);

namespace Gnomic\Standing;

use InvalidArgumentException;

/** An interval for a share: Wilson's score, without correction for continuity (E. B. Wilson, J. Am. Stat. Assoc. 22, 1927). */
final readonly class WilsonInterval
{
    /** Of the standard normal distribution, 97.5 in 100 lie below. */
    private const Z95 = 1.959963984540054;

    private function __construct(public float $lower, public float $upper)
    {
    }

    /**
     * @param  int  $successes  0 to $trials
     * @param  int  $trials  0: nothing is known, from 0 to 1
     *
     * @throws InvalidArgumentException
     */
    public static function at95Percent(int $successes, int $trials): self
    {
        if ($successes < 0 || $successes > $trials) {
            throw new InvalidArgumentException("There cannot be $successes among $trials.");
        }
        if ($trials === 0) {
            return new self(0.0, 1.0);
        }
        $z2 = self::Z95 ** 2;
        $middle = (2 * $successes + $z2) / (2 * ($trials + $z2));
        $half = self::Z95 * sqrt($z2 + 4 * $successes * (1 - $successes / $trials)) / (2 * ($trials + $z2));

        return new self($successes === 0 ? 0.0 : max(0.0, $middle - $half), $successes === $trials ? 1.0 : min(1.0, $middle + $half));
    }
}
