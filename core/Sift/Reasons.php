<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Brief\Brief;
use Gnomic\Brief\Sentence;

/** Why entries that no clause stopped are shown, or wait. */
final class Reasons
{
    /** @param  int  $place 1 for the first */
    public static function shown(Brief $brief, Facts $entry, int $place): string
    {
        return in_array($entry->id, $brief->pins, true)
            ? "You have pinned it; it stands at place $place."
            : "It passes every clause; it stands at place $place of ".Sentence::limit($brief).'.';
    }

    public static function waits(Brief $brief): string
    {
        return 'It passes every clause, but stands behind '.Sentence::limit($brief).'.';
    }
}
