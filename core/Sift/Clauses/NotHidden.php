<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\OfAlike;

/** Entries that the owner has hidden neither here nor everywhere. Always part of the sieve. */
final readonly class NotHidden implements OfAlike
{
    /** @param  list<string>  $hiddenHere */
    public function __construct(private array $hiddenHere)
    {
    }

    public function key(): string
    {
        return 'hidden';
    }

    public function phrase(): string
    {
        return 'not hidden by hand';
    }

    public function keeps(Facts $entry): bool
    {
        return ! $entry->hidden && ! in_array($entry->id, $this->hiddenHere, true);
    }

    public function reason(Facts $entry): string
    {
        return $entry->hidden ? 'You have hidden it in every widget.' : 'You have hidden it in this widget.';
    }

    public function condition(): Condition
    {
        $here = Condition::oneOf('ref', $this->hiddenHere);

        return new Condition("(hidden = 0 AND NOT $here->sql)", $here->bindings);
    }
}
