<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Json\Schema\Schema;

/**
 * One thing that is asked of an entry, all of it in one class: the members of a brief that ask it, how it is said, what it
 * keeps and why not, the same in SQL, and how it is loosened. The list of them is Clauses; sieve, sentence, schema, facts,
 * loosening and the studio are derived from it.
 */
abstract readonly class Clause
{
    /** Name of the step in the sieve. */
    abstract public static function key(): string;

    /** The clause as a brief asks it of this site; null where it does not. */
    abstract public static function of(Criteria $wanted, SiteContext $site): ?self;

    /** What it speaks of in the sentence, and whose controls change it. */
    abstract public static function topic(): Topic;

    /** @return list<string> columns of an entry that it looks at, of Facts::COLUMNS */
    abstract public static function columns(): array;

    /** @return array<string, Schema> members of a brief that are its own, by JSON Pointer, with bounds and default */
    public static function members(): array
    {
        return [];
    }

    /**
     * Sample values of its members, beside those that their schemas allow: they let some entries in, and keep some out.
     *
     * @return array<string, list<mixed>> by JSON Pointer
     */
    public static function samples(Samples $site): array
    {
        return [];
    }

    /** Whether a pin carries an entry past it. */
    public static function yieldsToPins(): bool
    {
        return true;
    }

    /** What an entry has to pass to count in the overall figures; null where this is no part of that. */
    public static function ofFigures(Criteria $wanted, SiteContext $site): ?self
    {
        return null;
    }

    /**
     * What the sentence says; nothing where nothing is asked. Steps that are always part of the sieve say nothing.
     *
     * @return list<string>
     */
    public static function spoken(Criteria $wanted, SiteContext $site): array
    {
        $clause = static::members() === [] ? null : static::of($wanted, $site);

        return $clause === null ? [] : [$clause->phrase()];
    }

    /** What visitors are told that the choice is by; null where it makes no picture better. */
    public static function flatters(Criteria $wanted, SiteContext $site): ?Flattery
    {
        return null;
    }

    /** What the owner leaves out with it: "the stars". Null where it is no wish of a brief. */
    public static function called(): ?string
    {
        return null;
    }

    /** @return list<Criteria> a little looser each time, short of leaving it out */
    public static function looser(Criteria $wanted): array
    {
        return [];
    }

    public static function without(Criteria $wanted): Criteria
    {
        foreach (static::members() as $pointer => $schema) {
            $wanted = $wanted->with($pointer, $schema->missing());
        }

        return $wanted;
    }

    /** @return list<string> what is asked that is hardly meant, and what it is taken for */
    public static function doubts(Criteria $wanted): array
    {
        return [];
    }

    /** Whether what it keeps is another every day. */
    public static function goesByTheDay(Criteria $wanted): bool
    {
        return false;
    }

    /** @return list<string> identifiers of entries that it judges one by one */
    public function picked(): array
    {
        return [];
    }

    /** How the sieve heads the step: "four stars and up". */
    abstract public function phrase(): string;

    abstract public function keeps(Facts $entry): bool;

    /** Why it does not keep an entry, in a whole sentence's worth: "3 stars; the widget asks for 4 and up". */
    abstract public function reason(Facts $entry): string;

    abstract public function condition(): Condition;
}
