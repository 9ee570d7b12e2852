<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;

/** Entries that speak for themselves: of those told at several places, one. Always part of the sieve. */
final readonly class CountedOnce implements Clause
{
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
        return ! $entry->duplicate;
    }

    public function reason(Facts $entry): string
    {
        return 'It was told elsewhere too, and the other one speaks for both.';
    }

    public function condition(): Condition
    {
        return new Condition('(duplicate = 0)');
    }
}
