<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/** Puts entries through a brief's sieve. The plain evaluation; the database's is held equal to it by test. */
final readonly class Sifting
{
    /**
     * @param  list<Facts>  $shown
     * @param  list<Facts>  $waiting
     * @param  array<string, list<Facts>>  $capped  by the key of the step
     * @param  list<array{Facts, Clause}>  $stopped
     */
    private function __construct(
        private Sieve $sieve,
        public Tally $tally,
        private Ranking $ranking,
        private Ordered $order,
        public array $shown,
        private array $waiting,
        private array $capped,
        private array $stopped,
    ) {
    }

    /** @param  iterable<Facts>  $entries */
    public static function of(Criteria $wanted, iterable $entries, SiteContext $site): self
    {
        $sieve = Sieve::of($wanted, $site);
        $all = $passed = $stopped = [];
        foreach ($entries as $entry) {
            $all[] = $entry;
            $clause = $sieve->stoppedBy($entry);
            if ($clause === null) {
                $passed[] = $entry;
            } else {
                $stopped[] = [$entry, $clause];
            }
        }
        $tally = Tally::ofEach($sieve, $all);
        $ranking = Ranking::of($wanted, $site, $tally);
        $order = $ranking->ordered($passed);
        ['kept' => $kept, 'out' => $out] = Caps::of($wanted)->apply(
            $order->entries,
            fn (Facts $entry): array => [$entry->id, $entry->source, $entry->author],
        );

        return new self(
            $sieve,
            $tally,
            $ranking,
            $order,
            array_slice($kept, 0, $wanted->limits->most),
            array_slice($kept, $wanted->limits->most),
            $out,
            $stopped,
        );
    }

    /** @return list<Facts> those shown and those that wait, in their order */
    public function passing(): array
    {
        return [...$this->shown, ...$this->waiting];
    }

    public function selection(): Selection
    {
        return new Selection(
            array_map(fn (Facts $entry): string => $entry->id, $this->shown),
            $this->tally->steps(array_map(count(...), $this->capped), count($this->shown)),
        );
    }

    /** @return list<Verdict> those shown in their order, those that wait, those beyond a cap, then those kept out in the order given */
    public function verdicts(): array
    {
        $reasons = new Reasons($this->sieve->wanted, $this->sieve->site, $this->ranking, $this->order->variety);
        $caps = Caps::of($this->sieve->wanted);
        $verdicts = [
            ...array_map(
                fn (Facts $entry, int $at): Verdict => new Verdict(
                    $entry->id,
                    $entry->source,
                    true,
                    'shown',
                    $reasons->shown($entry, $at + 1),
                ),
                $this->shown,
                array_keys($this->shown),
            ),
            ...array_map(
                fn (Facts $entry): Verdict => new Verdict($entry->id, $entry->source, false, 'shown', $reasons->waits($entry)),
                $this->waiting,
            ),
        ];
        foreach ($this->capped as $step => $entries) {
            array_push(
                $verdicts,
                ...array_map(
                    fn (Facts $entry): Verdict => new Verdict($entry->id, $entry->source, false, $step, $caps->reason($step)),
                    $entries,
                ),
            );
        }

        return [
            ...$verdicts,
            ...array_map(
                fn (array $pair): Verdict => new Verdict(
                    $pair[0]->id,
                    $pair[0]->source,
                    false,
                    $pair[1]::key(),
                    $pair[1]->reason($pair[0]),
                ),
                $this->stopped,
            ),
        ];
    }
}
