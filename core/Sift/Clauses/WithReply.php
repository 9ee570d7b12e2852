<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\OfAlike;

/** Entries that the owner has replied to. */
final readonly class WithReply implements OfAlike
{
    public function key(): string
    {
        return 'reply';
    }

    public function phrase(): string
    {
        return 'with a reply';
    }

    public function keeps(Facts $entry): bool
    {
        return $entry->replied;
    }

    public function reason(Facts $entry): string
    {
        return 'Nobody has replied to it.';
    }

    public function condition(): Condition
    {
        return new Condition('(replied = 1)');
    }
}
