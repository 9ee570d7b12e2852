<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\OfAlike;

/**
 * Of entries told at several places, one. Always part of the sieve, and always of the brief's own sources: where the one
 * that would speak comes from a source that the brief leaves out, the next one speaks.
 */
final readonly class CountedOnce implements OfAlike
{
    /** @param  list<string>|null  $sources of the brief; null for all */
    public function __construct(private ?array $sources)
    {
    }

    public function key(): string
    {
        return 'once';
    }

    public function phrase(): string
    {
        return 'counted once';
    }

    public function keeps(Facts $entry): bool
    {
        return $this->sources === null ? $entry->toldBy === [] : array_intersect($entry->toldBy, $this->sources) === [];
    }

    public function reason(Facts $entry): string
    {
        return 'It was told elsewhere too, and the other one speaks for both.';
    }

    /** The column holds the sources between bars, "|the-dome|gazette|", and NULL for most. */
    public function condition(): Condition
    {
        if ($this->sources === null || $this->sources === []) {
            return new Condition($this->sources === null ? '(told_by IS NULL)' : '(1)');
        }
        $any = implode(' OR ', array_fill(0, count($this->sources), 'INSTR(told_by, ?) > 0'));

        return new Condition("(told_by IS NULL OR NOT ($any))", array_map(fn (string $source): string => "|$source|", $this->sources));
    }
}
