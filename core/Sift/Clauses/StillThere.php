<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\OfAlike;

/** Entries that are still at their source. Always part of the sieve. */
final readonly class StillThere implements OfAlike
{
    public function key(): string
    {
        return 'present';
    }

    public function phrase(): string
    {
        return 'still at the source';
    }

    public function keeps(Facts $entry): bool
    {
        return ! $entry->gone;
    }

    public function reason(Facts $entry): string
    {
        return 'It is no longer at its source.';
    }

    public function condition(): Condition
    {
        return new Condition('(gone = 0)');
    }
}
