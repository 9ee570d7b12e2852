<?php

declare(strict_types=1);

namespace Gnomic\Gather\Likeness;

use Gnomic\Entry\Entry;

/**
 * Finds among many entries those that are told twice, in one pass and in memory: for files that are handed over whole.
 * What is stored is found by the same bands in the database.
 */
final class Neighbours
{
    /** Entries compared with one at most: a phrase that thousands use tells nobody from another. */
    public const MOST = 20;

    /** @var array<int, int> number of the last entry in a band */
    private array $bands = [];

    /** @var array<int, string> the entry's earlier neighbours in its bands, four bytes each: chains that cost little */
    private array $earlier = [];

    /** @var list<string> entries, packed */
    private array $said = [];

    /** @return array{int, Likeness}|null the earlier entry that this one is told again of, and why */
    public function add(Entry $entry): ?array
    {
        $said = ComparedEntry::by($entry);
        $bands = MinHash::bands(MinHash::signature($said->shingles));
        $number = count($this->said);
        $candidates = [];
        foreach ($bands as $band) {
            if (isset($this->bands[$band])) {
                $candidates[$this->bands[$band]] = true;
            }
        }
        $this->said[] = $said->packed();
        $found = null;
        // Each candidate leads on to those before it.
        for ($queue = array_keys($candidates), $looked = 0; $queue !== [] && $looked < self::MOST; $looked++) {
            $candidate = array_shift($queue);
            $other = ComparedEntry::unpacked($this->said[$candidate]);
            if ($other->source !== $said->source || $said->source === '') {
                $likeness = Likeness::between($other, $said);
                if ($likeness->isSame && ($found === null || $likeness->score > $found[1]->score)) {
                    $found = [$candidate, $likeness];
                }
            }
            /** @var array<int, int> $before */
            $before = isset($this->earlier[$candidate]) ? (array) unpack('V*', $this->earlier[$candidate]) : [];
            foreach ($before as $one) {
                if (! isset($candidates[$one])) {
                    $candidates[$one] = true;
                    $queue[] = $one;
                }
            }
        }
        $last = [];
        foreach ($bands as $band) {
            if (isset($this->bands[$band])) {
                $last[$this->bands[$band]] = true;
            }
            $this->bands[$band] = $number;
        }
        if ($last !== []) {
            $this->earlier[$number] = pack('V*', ...array_slice(array_keys($last), 0, 4));
        }

        return $found;
    }
}
