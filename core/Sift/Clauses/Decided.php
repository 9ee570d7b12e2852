<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\OfAlike;

/** Entries that do not wait for the owner's decision. Always part of the sieve. */
final readonly class Decided implements OfAlike
{
    public function key(): string
    {
        return 'decided';
    }

    public function phrase(): string
    {
        return 'not held';
    }

    public function keeps(Facts $entry): bool
    {
        return ! $entry->held;
    }

    public function reason(Facts $entry): string
    {
        return 'It is held and waits for your decision.';
    }

    public function condition(): Condition
    {
        return new Condition('(held = 0)');
    }
}
