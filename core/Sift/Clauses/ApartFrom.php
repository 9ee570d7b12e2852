<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Brief\Numbers;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\OfAlike;

/** Entries that no other widget of the same page shows. */
final readonly class ApartFrom implements OfAlike
{
    /**
     * @param  list<string>  $widgets  keys
     * @param  list<string>  $shown  identifiers that they show
     */
    public function __construct(private array $widgets, private array $shown)
    {
    }

    public function key(): string
    {
        return 'apart';
    }

    public function phrase(): string
    {
        return 'not in '.Numbers::counted(count($this->widgets), 'other widget');
    }

    public function keeps(Facts $entry): bool
    {
        return ! in_array($entry->id, $this->shown, true);
    }

    public function reason(Facts $entry): string
    {
        return 'Another widget on the same page shows it.';
    }

    public function condition(): Condition
    {
        return Condition::oneOf('ref', $this->shown)->not();
    }
}
