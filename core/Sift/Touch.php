<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Brief\Brief;
use Gnomic\Sift\Clauses\CountedOnce;

/** Whether a change of one entry can change what a widget shows. */
final class Touch
{
    /**
     * It can where the entry passes the sieve before or after, or where the head tells figures that its rating is part of.
     *
     * @param  Facts|null  $before  null for a new entry
     */
    public static function canChange(Brief $brief, ?Facts $before, Facts $after): bool
    {
        $sieve = Sieve::of($brief);
        foreach ([$before, $after] as $state) {
            if ($state !== null && $sieve->stoppedBy($state) === null) {
                return true;
            }
        }
        $ofSources = $brief->sources === null || in_array($after->source, $brief->sources, true);
        $once = new CountedOnce($brief->sources);
        $counts = fn (?Facts $state): ?float => $state === null || $state->gone || ! $once->keeps($state) ? null : $state->stars;
        $figures = [$counts($before), $counts($after)];

        return $brief->shape->head !== [] && $ofSources && $figures[0] !== $figures[1];
    }
}
