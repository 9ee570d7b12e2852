<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\OfAlike;

/** Entries that say something. A title alone is no words. */
final readonly class WithWords implements OfAlike
{
    public function key(): string
    {
        return 'words';
    }

    public function phrase(): string
    {
        return 'with words';
    }

    public function keeps(Facts $entry): bool
    {
        return $entry->length > 0;
    }

    public function reason(Facts $entry): string
    {
        return 'It is a rating without words.';
    }

    public function condition(): Condition
    {
        return new Condition('(length > 0)');
    }
}
