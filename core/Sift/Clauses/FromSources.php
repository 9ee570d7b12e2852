<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Brief\Numbers;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\OfAlike;

/** Entries of the sources that the brief names. */
final readonly class FromSources implements OfAlike
{
    /** @param  list<string>  $sources keys */
    public function __construct(private array $sources)
    {
    }

    public function key(): string
    {
        return 'sources';
    }

    public function phrase(): string
    {
        return 'from '.Numbers::counted(count($this->sources), 'source');
    }

    public function keeps(Facts $entry): bool
    {
        return in_array($entry->source, $this->sources, true);
    }

    public function reason(Facts $entry): string
    {
        return "It comes from \"$entry->source\", which the brief does not name.";
    }

    public function condition(): Condition
    {
        return Condition::oneOf('source', $this->sources);
    }
}
