<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\OfAlike;

/** Entries with a picture of their own; the face of who wrote is none. */
final readonly class WithPictures implements OfAlike
{
    public function key(): string
    {
        return 'pictures';
    }

    public function phrase(): string
    {
        return 'with pictures';
    }

    public function keeps(Facts $entry): bool
    {
        return $entry->pictures > 0;
    }

    public function reason(Facts $entry): string
    {
        return 'It has no picture.';
    }

    public function condition(): Condition
    {
        return new Condition('(pictures > 0)');
    }
}
