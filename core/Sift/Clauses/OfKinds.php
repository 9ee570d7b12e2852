<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Brief\Numbers;
use Gnomic\Entry\Kind;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\OfAlike;

/** Entries of the kinds that the brief names. */
final readonly class OfKinds implements OfAlike
{
    /** @param  list<Kind>  $kinds */
    public function __construct(private array $kinds)
    {
    }

    public function key(): string
    {
        return 'kinds';
    }

    public function phrase(): string
    {
        return Numbers::listed(array_map(fn (Kind $kind): string => $kind->noun(2), $this->kinds)).' only';
    }

    public function keeps(Facts $entry): bool
    {
        return in_array($entry->kind, $this->names(), true);
    }

    public function reason(Facts $entry): string
    {
        return "It is a $entry->kind, the brief wants ".$this->phrase().'.';
    }

    public function condition(): Condition
    {
        return Condition::oneOf('kind', $this->names());
    }

    /** @return list<string> */
    private function names(): array
    {
        return array_map(fn (Kind $kind): string => $kind->value, $this->kinds);
    }
}
