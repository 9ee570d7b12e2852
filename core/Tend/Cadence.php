<?php

declare(strict_types=1);

namespace Gnomic\Tend;

use Gnomic\Text\Numbers;

/** How often a source is looked at, in words. */
final class Cadence
{
    /** @param  int  $seconds at least 1 */
    public static function spoken(int $seconds): string
    {
        foreach ([604_800 => 'week', 86_400 => 'day', 3600 => 'hour', 60 => 'minute', 1 => 'second'] as $unit => $name) {
            if ($seconds >= $unit && $seconds % $unit === 0) {
                $count = intdiv($seconds, $unit);

                return $count === 1 ? "every $name" : 'every '.Numbers::counted($count, $name);
            }
        }

        return "every $seconds seconds";
    }
}
