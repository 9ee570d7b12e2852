<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Brief\Brief;
use Gnomic\Sift\Clauses\CountedOnce;
use Gnomic\Sift\Clauses\FromSources;
use Gnomic\Sift\Clauses\NotHidden;
use Gnomic\Sift\Clauses\OfKinds;
use Gnomic\Sift\Clauses\Stars;
use Gnomic\Sift\Clauses\StillThere;
use Gnomic\Sift\Clauses\WithWords;

/**
 * The clauses of a brief in their fixed order: sources, kinds, still there, counted once, not hidden, stars, words; then the limit.
 * Hidden beats pinned beats rules: a pin passes every rule, but nothing that is hidden, gone or told again is ever shown.
 */
final readonly class Sieve
{
    /** @param  list<Clause>  $clauses */
    private function __construct(public Brief $brief, public array $clauses)
    {
    }

    public static function of(Brief $brief): self
    {
        return new self($brief, array_values(array_filter([
            $brief->sources === null ? null : new FromSources($brief->sources),
            $brief->kinds === null ? null : new OfKinds($brief->kinds),
            new StillThere,
            new CountedOnce($brief->sources),
            new NotHidden($brief->hidden),
            $brief->stars === null ? null : new Stars($brief->stars),
            $brief->withWords ? new WithWords : null,
        ], fn (?Clause $clause): bool => $clause !== null)));
    }

    /** Whether a pin carries an entry past this clause. */
    public static function yieldsToPins(Clause $clause): bool
    {
        return ! $clause instanceof StillThere && ! $clause instanceof NotHidden && ! $clause instanceof CountedOnce;
    }

    /** The first clause that keeps an entry out; null where it passes all. */
    public function stoppedBy(Facts $entry): ?Clause
    {
        $pinned = in_array($entry->id, $this->brief->pins, true);
        foreach ($this->clauses as $clause) {
            if (! ($pinned && self::yieldsToPins($clause)) && ! $clause->keeps($entry)) {
                return $clause;
            }
        }

        return null;
    }

    /** The same in SQL, pins included. */
    public function condition(Clause $clause): Condition
    {
        $condition = $clause->condition();

        return $this->brief->pins !== [] && self::yieldsToPins($clause) ? Condition::oneOf('ref', $this->brief->pins)->or($condition) : $condition;
    }
}
