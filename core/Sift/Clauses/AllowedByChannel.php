<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Brief\Allowed;
use Gnomic\Sift\Circumstances;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\OfAlike;

/** Entries of channels of which more than the figures may be shown. */
final readonly class AllowedByChannel implements OfAlike
{
    /** @param  array<string, Allowed>  $allowed by channel */
    public function __construct(private array $allowed, private Circumstances $around)
    {
    }

    public function key(): string
    {
        return 'allowed';
    }

    public function phrase(): string
    {
        return 'more than figures allowed';
    }

    public function keeps(Facts $entry): bool
    {
        return ! in_array($this->around->channelOf($entry->source), $this->figuresOnly(), true);
    }

    public function reason(Facts $entry): string
    {
        return 'The brief shows the figures only of '.ucfirst($this->around->channelOf($entry->source)).'.';
    }

    public function condition(): Condition
    {
        return FromChannels::sourcesOf($this->figuresOnly(), $this->around)->not();
    }

    /** @return list<string> channels */
    public function figuresOnly(): array
    {
        return array_map(strval(...), array_keys(array_filter($this->allowed, fn (Allowed $one): bool => $one === Allowed::Figures)));
    }
}
