<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Brief\Brief;
use Gnomic\Sift\Clauses\AboutSubjects;
use Gnomic\Sift\Clauses\AllowedByChannel;
use Gnomic\Sift\Clauses\ApartFrom;
use Gnomic\Sift\Clauses\CountedOnce;
use Gnomic\Sift\Clauses\Decided;
use Gnomic\Sift\Clauses\FromChannels;
use Gnomic\Sift\Clauses\FromSources;
use Gnomic\Sift\Clauses\InLanguages;
use Gnomic\Sift\Clauses\Length;
use Gnomic\Sift\Clauses\NeverSaid;
use Gnomic\Sift\Clauses\NotHidden;
use Gnomic\Sift\Clauses\OfKinds;
use Gnomic\Sift\Clauses\Said;
use Gnomic\Sift\Clauses\Stars;
use Gnomic\Sift\Clauses\StillThere;
use Gnomic\Sift\Clauses\Tagged;
use Gnomic\Sift\Clauses\Within;
use Gnomic\Sift\Clauses\WithPictures;
use Gnomic\Sift\Clauses\WithReply;
use Gnomic\Sift\Clauses\WithWords;

/**
 * The clauses of a brief in their fixed order: sources, channels, subjects, kinds; still there, counted once, not held, not
 * hidden, never words, allowed by channel; apart from other widgets; stars, words, length, pictures, reply, languages, time,
 * what is said, hashtags, labels. Behind them stand the most from one author and from one source, then the limit.
 *
 * Hidden beats pinned beats rules: a pin passes every rule, but nothing that is hidden, held, barred, gone or told again is
 * ever shown.
 */
final readonly class Sieve
{
    /**
     * @param  list<Clause>  $clauses
     * @param  list<Clause>  $figures  what an entry has to pass to count in the overall figures
     */
    private function __construct(public Brief $brief, public Circumstances $around, public array $clauses, private array $figures)
    {
    }

    public static function of(Brief $brief, Circumstances $around): self
    {
        $allowed = new AllowedByChannel($brief->allowed, $around);
        $apart = array_merge(...array_map(fn (string $widget): array => $around->shownBy[$widget] ?? [], $brief->apartFrom));
        $labels = $brief->labels?->at($around->page);
        $which = self::present([
            $brief->sources === null ? null : new FromSources($brief->sources),
            $brief->channels === null ? null : new FromChannels($brief->channels, $around),
            $brief->subjects === null ? null : new AboutSubjects($brief->subjects),
        ]);

        return new self($brief, $around, self::present([
            ...$which,
            $brief->kinds === null ? null : new OfKinds($brief->kinds),
            new StillThere,
            new CountedOnce(self::speaking($brief, $around, $allowed->figuresOnly())),
            new Decided,
            new NotHidden($brief->hidden),
            $around->never === [] ? null : new NeverSaid($around->never),
            $allowed->figuresOnly() === [] ? null : $allowed,
            $brief->apartFrom === [] ? null : new ApartFrom($brief->apartFrom, array_values(array_unique($apart))),
            $brief->stars === null ? null : new Stars($brief->stars),
            $brief->withWords ? new WithWords : null,
            $brief->length === null ? null : new Length($brief->length),
            $brief->withPictures ? new WithPictures : null,
            $brief->withReply ? new WithReply : null,
            $brief->languages?->only === null ? null : new InLanguages($brief->languages->only, $brief->languages->keepUnknown),
            $brief->when === null ? null : new Within($brief->when, $around),
            $brief->words === null ? null : new Said($brief->words),
            $brief->hashtags === null ? null : new Tagged('hashtags', $brief->hashtags),
            $labels === null || $labels->isEmpty() ? null : new Tagged('labels', $labels),
        ]), [...$which, new StillThere, new CountedOnce(self::speaking($brief, $around, []))]);
    }

    /** Whether a pin carries an entry past this clause. */
    public static function yieldsToPins(Clause $clause): bool
    {
        return match (true) {
            $clause instanceof StillThere, $clause instanceof CountedOnce, $clause instanceof Decided,
            $clause instanceof NotHidden, $clause instanceof NeverSaid, $clause instanceof AllowedByChannel => false,
            default => true,
        };
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

    /** Every clause that keeps an entry out, as bits: the first is 1, the second 2, the third 4. */
    public function failures(Facts $entry): int
    {
        $pinned = in_array($entry->id, $this->brief->pins, true);
        $failures = 0;
        foreach ($this->clauses as $index => $clause) {
            if (! ($pinned && self::yieldsToPins($clause)) && ! $clause->keeps($entry)) {
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
            $failures |= $clause instanceof OfAlike && ! $clause->keeps($entry) ? 1 << $index : 0;
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

        return $this->brief->pins !== [] && self::yieldsToPins($clause) ? Condition::oneOf('ref', $this->brief->pins)->or($condition) : $condition;
    }

    /**
     * The bits of failures() that are not of whole classes of alike entries, in SQL and without regard to pins; null where
     * there are none.
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
        return array_keys(array_filter($this->clauses, fn (Clause $clause): bool => ! $clause instanceof OfAlike));
    }

    /** @return list<string> identifiers of entries that are judged one by one: the brief picks them out, or a page does */
    public function picked(): array
    {
        return array_values(array_unique([...$this->brief->pins, ...$this->brief->hidden, ...array_merge(...array_map(fn (string $widget): array => $this->around->shownBy[$widget] ?? [], $this->brief->apartFrom))]));
    }

    /** The clause of this key; null where the brief has none. */
    public function find(string $key): ?Clause
    {
        foreach ($this->clauses as $clause) {
            if ($clause->key() === $key) {
                return $clause;
            }
        }

        return null;
    }

    /**
     * The sources of which one may speak for entries that tell the same; null for all.
     *
     * @param  list<string>  $silent  channels that are not shown
     * @return list<string>|null
     */
    private static function speaking(Brief $brief, Circumstances $around, array $silent): ?array
    {
        if ($brief->channels === null && $silent === []) {
            return $brief->sources;
        }
        $sources = $brief->sources ?? array_map(strval(...), array_keys($around->channels)) ?: $brief->channels;

        return $sources === null ? null : array_values(array_filter($sources, fn (string $source): bool => ! in_array($around->channelOf($source), $silent, true)
            && ($brief->channels === null || in_array($around->channelOf($source), $brief->channels, true))));
    }

    /**
     * @param  list<Clause|null>  $clauses
     * @return list<Clause>
     */
    private static function present(array $clauses): array
    {
        return array_values(array_filter($clauses, fn (?Clause $clause): bool => $clause !== null));
    }
}
