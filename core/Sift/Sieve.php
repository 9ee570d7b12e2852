<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use LogicException;

/**
 * The clauses that are asked of a site's entries, in the order of Clauses. Behind them stand the most from one author and from
 * one source, then the limit.
 *
 * Hidden beats pinned beats rules: a pin passes every rule, but nothing that is hidden, held, barred, gone or told again is
 * ever shown.
 */
final readonly class Sieve
{
    /** Clauses for which a whole number has bits. */
    private const MOST = 62;

    /**
     * @param  list<Clause>  $clauses
     * @param  list<Clause>  $figures  what an entry has to pass to count in the overall figures
     */
    private function __construct(public Criteria $wanted, public SiteContext $site, public array $clauses, private array $figures)
    {
        if (count($clauses) > self::MOST) {
            throw new LogicException('A sieve cannot have more than '.self::MOST.' clauses: each needs a bit of a whole number.');
        }
    }

    public static function of(Criteria $wanted, SiteContext $site): self
    {
        $clauses = $figures = [];
        foreach (Clauses::ALL as $clause) {
            $clauses[] = $clause::of($wanted, $site);
            $figures[] = $clause::ofFigures($wanted, $site);
        }

        return new self($wanted, $site, array_values(array_filter($clauses)), array_values(array_filter($figures)));
    }

    /** The first clause that keeps an entry out; null where it passes all. */
    public function stoppedBy(Facts $entry): ?Clause
    {
        $pinned = $entry->isAmong($this->wanted->pins);
        foreach ($this->clauses as $clause) {
            if (! ($pinned && $clause::yieldsToPins()) && ! $clause->keeps($entry)) {
                return $clause;
            }
        }

        return null;
    }

    /** Every clause that keeps an entry out, as bits: the first is 1, the second 2, the third 4. */
    public function failures(Facts $entry): int
    {
        $pinned = $entry->isAmong($this->wanted->pins);
        $failures = 0;
        foreach ($this->clauses as $index => $clause) {
            if (! ($pinned && $clause::yieldsToPins()) && ! $clause->keeps($entry)) {
                $failures |= 1 << $index;
            }
        }

        return $failures;
    }

    /** Those of failures() that whole classes of alike entries have, where none of them is picked out. */
    public function failuresOfClass(Facts $entry): int
    {
        $failures = 0;
        foreach ($this->clauses as $index => $clause) {
            $failures |= self::isOfClass($clause) && ! $clause->keeps($entry) ? 1 << $index : 0;
        }

        return $failures;
    }

    /** Whether an entry counts in the overall figures: what stars, words or a hand keep out does too. */
    public function counts(Facts $entry): bool
    {
        foreach ($this->figures as $clause) {
            if (! $clause->keeps($entry)) {
                return false;
            }
        }

        return true;
    }

    /** A clause in SQL, pins included. */
    public function condition(Clause $clause): Condition
    {
        $condition = $clause->condition();

        return $this->wanted->pins !== [] && $clause::yieldsToPins()
            ? Condition::oneOf('ref', $this->wanted->pins)->or($condition)
            : $condition;
    }

    /**
     * The bits of failures() that are not of whole classes of alike entries, in SQL and without regard to pins, the first of
     * them the lowest; null where there are none.
     */
    public function ownFailuresInSql(): ?Condition
    {
        $sums = [];
        $bindings = [];
        foreach ($this->own() as $place => $index) {
            $condition = $this->clauses[$index]->condition();
            $sums[] = "(NOT $condition->sql) * ".(1 << $place);
            array_push($bindings, ...$condition->bindings);
        }

        return $sums === [] ? null : new Condition('('.implode(' + ', $sums).')', $bindings);
    }

    /** @return list<int> which of the clauses are not of whole classes, in their order */
    public function own(): array
    {
        return array_keys(array_filter($this->clauses, fn (Clause $clause): bool => ! self::isOfClass($clause)));
    }

    /** @return list<string> identifiers of entries that are judged one by one: the brief picks them out, or a page does */
    public function picked(): array
    {
        return array_values(
            array_unique([
                ...$this->wanted->pins,
                ...array_merge(...array_map(fn (Clause $clause): array => $clause->picked(), $this->clauses)),
            ]),
        );
    }

    /** The clause of this key; null where the brief has none. */
    public function find(string $key): ?Clause
    {
        foreach ($this->clauses as $clause) {
            if ($clause::key() === $key) {
                return $clause;
            }
        }

        return null;
    }

    /** Whether a clause cannot tell apart two entries that agree in the columns of their class, but for those picked by hand. */
    private static function isOfClass(Clause $clause): bool
    {
        return array_diff($clause::columns(), [...Facts::OF_CLASS, 'ref']) === [];
    }
}
