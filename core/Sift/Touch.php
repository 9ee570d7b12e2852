<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Brief\Brief;
use Gnomic\Brief\Order;

/** Whether a change of one entry can change what a widget shows. */
final class Touch
{
    /**
     * It can where the entry passes the sieve before or after; where the widget tells of everything collected, in its
     * figures or behind its honest line, and the entry is part of that; and where the figures decide the order.
     *
     * @param  Facts|null  $before  null for a new entry
     */
    public static function canChange(Brief $brief, Circumstances $around, ?Facts $before, Facts $after): bool
    {
        $sieve = Sieve::of($brief, $around);
        foreach ([$before, $after] as $state) {
            if ($state !== null && $sieve->stoppedBy($state) === null) {
                return true;
            }
        }
        $counts = fn (?Facts $state): ?float => $state === null || ! $sieve->counts($state) ? null : $state->stars;
        $isToldOf = $brief->shape->head !== [] || $brief->order === Order::Balanced;

        return ($isToldOf && $counts($before) !== $counts($after))
            || (Honesty::narrows($brief, $around) && ($sieve->counts($after) || ($before !== null && $sieve->counts($before))));
    }
}
