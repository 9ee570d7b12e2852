<?php

declare(strict_types=1);

namespace Gnomic\Gather\Matching;

use Gnomic\Entry\Entry;

/** Compares what a source answered with what is stored of it. */
final class Matcher
{
    /** Fewer stored entries than this can all go without a doubt being raised. */
    private const FEW = 3;

    /**
     * A sudden loss is a fault at the source more often than an act: where nothing comes although there was something,
     * or more than a third would go, the answer is held and changes nothing.
     *
     * @param  array<array-key, Known>  $known  by identifier
     * @param  list<Entry>  $answered
     * @param  bool  $lossIsRight  the owner has said that what is missing has really gone
     * @param  bool  $fromElsewhere  it came from another address, or under another name, than what is known: where it knows
     *     nothing of that, it is a stranger's
     */
    public static function match(
        array $known,
        array $answered,
        Coverage $coverage,
        bool $lossIsRight = false,
        bool $fromElsewhere = false,
    ): Matched {
        $new = $changed = $reread = $byId = $digests = [];
        $same = 0;
        $oldest = null;
        foreach ($answered as $entry) {
            if (isset($byId[$entry->id])) {
                continue; // pages that moved on while they were read repeat an entry
            }
            $byId[$entry->id] = true;
            $stored = $known[$entry->id] ?? null;
            $at = $entry->published?->getTimestamp();
            $oldest = $at === null ? $oldest : min($oldest ?? $at, $at);
            if ($stored === null) {
                $new[] = $entry;
            } elseif ($stored->gone || ! Digest::agrees($stored->digest, $entry)) {
                $changed[] = $entry;
            } else {
                $same++;
                if (Digest::isNewest($stored->digest)) {
                    continue;
                }
                $reread[] = $entry;
            }
            $digests[$entry->id] = Digest::of($entry);
        }

        $gone = [];
        $present = 0;
        foreach ($known as $id => $stored) {
            if ($stored->gone) {
                continue;
            }
            $present++;
            $spokenOf = $coverage === Coverage::Whole
                || ($coverage === Coverage::Newest && $stored->published !== null && $oldest !== null && $stored->published > $oldest);
            if ($spokenOf && ! isset($byId[$id])) {
                $gone[] = (string) $id;
            }
        }

        return new Matched(
            $new,
            $changed,
            $same,
            $reread,
            $gone,
            $digests,
            $lossIsRight || $coverage === Coverage::Some ? null : (
                $fromElsewhere && $present > 0 && count($new) === count($byId)
                    ? self::strange($present, count($byId))
                    : self::doubt($present, count($byId), count($gone))
            ),
        );
    }

    private static function strange(int $present, int $answered): string
    {
        return 'It answers from another address or under another name than before, and its '.(
            $answered === 1
                ? 'entry is'
                : "$answered entries are"
        )
            ." not among the $present known. It may belong to somebody else now, so nothing was changed. Check the address; if "
            .'it is correct, say so here. When the old answer is back, Gnomic continues.';
    }

    private static function doubt(int $present, int $answered, int $gone): ?string
    {
        return match (true) {
            $present < self::FEW => null,
            $answered === 0 => "It returned nothing, where there were $present entries. Nothing was changed. Check whether it is "
                .'the right address.',
            $gone * 3 > $present => "It no longer returned $gone of the $present known entries. That is more than a third, so nothing "
                .'was changed. Check there; if they are really gone, mark them as removed here.',
            default => null,
        };
    }
}
