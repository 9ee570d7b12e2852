<?php

declare(strict_types=1);

namespace Gnomic\Tend;

/** When to try again. */
final class BackOff
{
    private const FIRST = 60;

    private const LONGEST = 6 * 3600;

    private const PATIENCE = 24 * 3600;

    /**
     * Seconds until the next try after some failures in a row: doubled each time from a minute to six hours, or to the
     * cadence where that is longer; between half and the whole of it by jitter, so that many sources do not try at once.
     * What the service asked for is waited out in any case, up to a day.
     *
     * @param  int  $failures  in a row, at least 1
     * @param  int  $cadence  the usual time between rounds, in seconds
     * @param  float  $jitter  0 to 1, from a source of chance
     * @param  int|null  $asked  seconds, as the service's Retry-After says
     */
    public static function seconds(int $failures, int $cadence, float $jitter, ?int $asked = null): int
    {
        // A source looked at more often than every minute is also tried again sooner.
        $first = min(self::FIRST, max(1, $cadence));
        $delay = min($first * 2 ** min($failures - 1, 20), max(self::LONGEST, $cadence));
        $delay = (int) ceil($delay * (0.5 + 0.5 * max(0.0, min(1.0, $jitter))));

        return max($delay, min($asked ?? 0, self::PATIENCE));
    }
}
