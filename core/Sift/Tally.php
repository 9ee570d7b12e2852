<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Standing\Overall;

/** Entries counted by what the clauses of a brief make of them. */
final readonly class Tally
{
    /** @param  list<TallyClass>  $counted */
    public function __construct(private Sieve $sieve, private array $counted)
    {
    }

    /** @param  iterable<Facts>  $entries each for itself */
    public static function ofEach(Sieve $sieve, iterable $entries): self
    {
        $counted = [];
        foreach ($entries as $entry) {
            $counted[] = new TallyClass(
                $sieve->failures($entry),
                $sieve->counts($entry),
                $entry->source,
                $entry->stars,
                $entry->length > 0,
                1,
                $entry->published,
            );
        }

        return new self($sieve, $counted);
    }

    /** How many count in the figures, rated or not. */
    public function counting(): int
    {
        return array_sum(array_map(fn (TallyClass $one): int => $one->counts ? $one->times : 0, $this->counted));
    }

    /** How many pass every clause; caps and limit come after. */
    public function passing(): int
    {
        return array_sum(array_map(fn (TallyClass $one): int => $one->failures === 0 ? $one->times : 0, $this->counted));
    }

    /** @return array<string, int> how many of each source pass every clause */
    public function passingBySource(): array
    {
        $passing = [];
        foreach ($this->counted as $one) {
            if ($one->failures === 0) {
                $passing[$one->source] = ($passing[$one->source] ?? 0) + $one->times;
            }
        }

        return $passing;
    }

    /**
     * The sieve's account through its clauses.
     *
     * @return list<Step> from "collected" through every clause
     */
    public function account(): array
    {
        $collected = 0;
        $dropped = $alone = [];
        foreach ($this->counted as $one) {
            $collected += $one->times;
            if ($one->failures !== 0) {
                $first = $one->failures & -$one->failures;
                $dropped[$first] = ($dropped[$first] ?? 0) + $one->times;
                if ($first === $one->failures) {
                    $alone[$first] = ($alone[$first] ?? 0) + $one->times;
                }
            }
        }
        $steps = [new Step('collected', 'collected', $collected, 0)];
        foreach ($this->sieve->clauses as $index => $clause) {
            $out = $dropped[1 << $index] ?? 0;
            $steps[] = new Step(
                $clause::key(),
                $clause->phrase(),
                $collected -= $out,
                $out,
                Loosening::canLeaveOut($clause::key()) ? $alone[1 << $index] ?? 0 : null,
            );
        }

        return $steps;
    }

    /**
     * How many would pass if some clauses were not there.
     *
     * @param  list<string>  $keys  of clauses
     */
    public function passingWithout(array $keys): int
    {
        $pardoned = 0;
        foreach ($this->sieve->clauses as $index => $clause) {
            $pardoned |= in_array($clause::key(), $keys, true) ? 1 << $index : 0;
        }

        return array_sum(array_map(fn (TallyClass $one): int => ($one->failures & ~$pardoned) === 0 ? $one->times : 0, $this->counted));
    }

    /** @return list<list<string>> sets of clauses that keep entries out together, each with the keys of its clauses, the smallest first */
    public function togetherOut(): array
    {
        $sets = [];
        foreach ($this->counted as $one) {
            if ($one->failures !== 0) {
                $sets[$one->failures] = array_values(array_map(fn (Clause $clause): string => $clause::key(),
                    array_filter(
                        $this->sieve->clauses,
                        fn (int $index): bool => ($one->failures & 1 << $index) !== 0,
                        ARRAY_FILTER_USE_KEY,
                    )));
            }
        }
        ksort($sets);
        usort($sets, fn (array $one, array $other): int => count($one) <=> count($other));

        return $sets;
    }

    /** Over everything collected from where the brief looks: what the stars, the words or a hand keep out counts too. */
    public function overall(): Overall
    {
        return Overall::ofTally($this->rated());
    }

    /** @return list<array{stars: float, count: int, source: string, oldest: float|null}> of those that count in the figures */
    public function rated(): array
    {
        $rated = [];
        foreach ($this->counted as $one) {
            if ($one->counts && $one->stars !== null) {
                $rated[] = ['stars' => $one->stars, 'count' => $one->times, 'source' => $one->source, 'oldest' => $one->oldest];
            }
        }

        return $rated;
    }

    /** @return array{unrated: int, wordless: int} of those that count in the figures */
    public function lacking(): array
    {
        $lacking = ['unrated' => 0, 'wordless' => 0];
        foreach ($this->counted as $one) {
            $lacking['unrated'] += $one->counts && $one->stars === null ? $one->times : 0;
            $lacking['wordless'] += $one->counts && ! $one->isWorded ? $one->times : 0;
        }

        return $lacking;
    }

    /**
     * The account to its end.
     *
     * @param  array<string, int>  $capped  how many the caps leave out, by the key of the step
     * @return list<Step>
     */
    public function steps(array $capped, int $shown): array
    {
        $limit = $this->sieve->wanted->limits->most;
        $steps = $this->account();
        $left = $steps[count($steps) - 1]->kept;
        foreach (Caps::of($this->sieve->wanted)->steps() as ['key' => $key, 'phrase' => $phrase]) {
            $out = $capped[$key] ?? 0;
            $steps[] = new Step($key, $phrase, $left -= $out, $out, $out);
        }
        $steps = array_map(fn (Step $step): Step => $step->alone === null ? $step
            : new Step($step->key, $step->phrase, $step->kept, $step->dropped, $step->alone, min($limit - $shown, $step->alone)), $steps);
        $steps[] = new Step('shown', Limit::phrase($this->sieve->wanted, $this->sieve->site), $shown, $left - $shown);

        return $steps;
    }
}
