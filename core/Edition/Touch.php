<?php

declare(strict_types=1);

namespace Gnomic\Edition;

use Gnomic\Brief\Brief;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Order;
use Gnomic\Sift\Sieve;
use Gnomic\Sift\SiteContext;

/** Whether a change of one entry can change what a widget shows: cheap, and on the safe side. The fingerprint decides. */
final class Touch
{
    /**
     * It can where the entry passes the sieve before or after; where the widget tells of everything collected, in its
     * figures or behind its honest line, and the entry is part of that; and where the figures decide the order.
     *
     * @param  Facts|null  $before  null for a new entry
     */
    public static function canChange(Brief $brief, SiteContext $site, ?Facts $before, Facts $after): bool
    {
        $sieve = Sieve::of($brief->criteria, $site);
        foreach ([$before, $after] as $state) {
            if ($state !== null && $sieve->stoppedBy($state) === null) {
                return true;
            }
        }
        // With a date: the figures tell since when they are.
        $counts = fn (?Facts $state): ?array => $state === null || ! $sieve->counts($state) ? null : [$state->stars, $state->published];
        $isToldOf = $brief->shape->head !== [] || $brief->criteria->order === Order::Balanced;

        return ($isToldOf && $counts($before) !== $counts($after))
            // What is hidden or held makes a selection of it, and what is collected stands behind the line.
            || ($brief->shape->honest && ($sieve->counts($after) || ($before !== null && $sieve->counts($before))));
    }
}
