<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Brief\LengthWanted;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;

/** Entries whose words are neither too short nor too long. */
final readonly class Length implements Clause
{
    public function __construct(private LengthWanted $wanted)
    {
    }

    public function key(): string
    {
        return 'length';
    }

    public function phrase(): string
    {
        [$least, $most] = [number_format($this->wanted->least()), $this->wanted->most() === null ? null : number_format($this->wanted->most())];

        return match (true) {
            $most === null => "at least $least characters long",
            $this->wanted->least() === 0 => "at most $most characters long",
            default => "$least to $most characters long",
        };
    }

    public function keeps(Facts $entry): bool
    {
        return $entry->length >= $this->wanted->least() && $entry->length <= ($this->wanted->most() ?? PHP_INT_MAX);
    }

    public function reason(Facts $entry): string
    {
        return 'Its words are '.number_format($entry->length).' character'.($entry->length === 1 ? '' : 's').' long, the brief wants '.$this->phrase().'.';
    }

    public function condition(): Condition
    {
        return new Condition('(length >= ? AND length <= ?)', [$this->wanted->least(), $this->wanted->most() ?? PHP_INT_MAX]);
    }
}
