<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Brief\Brief;
use Gnomic\Brief\Sentence;

/** Puts entries through a brief's sieve. The plain evaluation; the database's is held equal to it by test. */
final readonly class Sifting
{
    /**
     * @param  list<Facts>  $shown
     * @param  list<array{Facts, Clause}>  $stopped
     * @param  list<Facts>  $waiting
     */
    private function __construct(private Sieve $sieve, private array $shown, private array $waiting, private array $stopped)
    {
    }

    /**
     * @param  iterable<Facts>  $entries
     * @param  string  $seed  of the day, for an order by chance: the date is usual
     */
    public static function of(Brief $brief, iterable $entries, string $seed): self
    {
        $sieve = Sieve::of($brief);
        $passed = $stopped = [];
        foreach ($entries as $entry) {
            $clause = $sieve->stoppedBy($entry);
            if ($clause === null) {
                $passed[] = $entry;
            } else {
                $stopped[] = [$entry, $clause];
            }
        }
        $ordered = (new Ranking($brief, $seed))->ordered($passed);

        return new self($sieve, array_slice($ordered, 0, $brief->limit), array_slice($ordered, $brief->limit), $stopped);
    }

    public function selection(): Selection
    {
        $all = [...$this->shown, ...$this->waiting, ...array_map(fn (array $pair): Facts => $pair[0], $this->stopped)];
        $steps = Tally::ofEach($all)->account($this->sieve);
        $steps[] = new Step('shown', Sentence::limit($this->sieve->brief), count($this->shown), count($this->waiting));

        return new Selection(array_map(fn (Facts $entry): string => $entry->id, $this->shown), $steps);
    }

    /** @return list<Verdict> those shown in their order, then those that wait, then those kept out in the order given */
    public function verdicts(): array
    {
        $brief = $this->sieve->brief;

        return [
            ...array_map(fn (Facts $entry, int $at): Verdict => new Verdict($entry->id, true, 'shown', Reasons::shown($brief, $entry, $at + 1)), $this->shown, array_keys($this->shown)),
            ...array_map(fn (Facts $entry): Verdict => new Verdict($entry->id, false, 'shown', Reasons::waits($brief)), $this->waiting),
            ...array_map(fn (array $pair): Verdict => new Verdict($pair[0]->id, false, $pair[1]->key(), $pair[1]->reason($pair[0])), $this->stopped),
        ];
    }
}
