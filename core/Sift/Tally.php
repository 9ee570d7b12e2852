<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Brief\Brief;
use Gnomic\Sift\Clauses\CountedOnce;
use Gnomic\Standing\Overall;

/**
 * Entries counted by what the clauses ask of them: many entries are alike to a brief, and are judged once. Those that a
 * brief picks by hand stand alone.
 */
final readonly class Tally
{
    /** @param  list<array{Facts, int}>  $classes an entry that stands for its like, and how many they are */
    public function __construct(private array $classes)
    {
    }

    /** @param  iterable<Facts>  $entries each for itself */
    public static function ofEach(iterable $entries): self
    {
        $classes = [];
        foreach ($entries as $entry) {
            $classes[] = [$entry, 1];
        }

        return new self($classes);
    }

    /**
     * The sieve's account up to its limit.
     *
     * @return list<Step> from "collected" through every clause
     */
    public function account(Sieve $sieve): array
    {
        $collected = 0;
        $dropped = [];
        foreach ($this->classes as [$entry, $count]) {
            $collected += $count;
            $key = $sieve->stoppedBy($entry)?->key();
            if ($key !== null) {
                $dropped[$key] = ($dropped[$key] ?? 0) + $count;
            }
        }
        $steps = [new Step('collected', 'collected', $collected, 0)];
        foreach ($sieve->clauses as $clause) {
            $out = $dropped[$clause->key()] ?? 0;
            $steps[] = new Step($clause->key(), $clause->phrase(), $collected -= $out, $out);
        }

        return $steps;
    }

    /** Over everything collected from the brief's sources: what the stars, the words or a hand keep out counts too. */
    public function overall(Brief $brief): Overall
    {
        $rated = [];
        foreach ($this->presentOf($brief) as [$entry, $count]) {
            if ($entry->stars !== null) {
                $rated[] = ['stars' => $entry->stars, 'count' => $count, 'source' => $entry->source];
            }
        }

        return Overall::ofTally($rated);
    }

    /** @return array{unrated: int, wordless: int} of the brief's sources */
    public function lacking(Brief $brief): array
    {
        $lacking = ['unrated' => 0, 'wordless' => 0];
        foreach ($this->presentOf($brief) as [$entry, $count]) {
            $lacking['unrated'] += $entry->stars === null ? $count : 0;
            $lacking['wordless'] += $entry->length === 0 ? $count : 0;
        }

        return $lacking;
    }

    /** @return list<array{Facts, int}> */
    private function presentOf(Brief $brief): array
    {
        $once = new CountedOnce($brief->sources);

        return array_values(array_filter($this->classes, fn (array $class): bool => ! $class[0]->gone && $once->keeps($class[0])
            && ($brief->sources === null || in_array($class[0]->source, $brief->sources, true))));
    }
}
