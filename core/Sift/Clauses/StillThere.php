<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Topic;

/** Entries that are still at their source. Always part of the sieve. */
final readonly class StillThere extends Clause
{
    public static function key(): string
    {
        return 'present';
    }

    public static function topic(): Topic
    {
        return Topic::sources();
    }

    public static function columns(): array
    {
        return ['gone'];
    }

    public static function of(Criteria $wanted, SiteContext $site): self
    {
        return new self;
    }

    public static function ofFigures(Criteria $wanted, SiteContext $site): self
    {
        return new self;
    }

    public static function yieldsToPins(): bool
    {
        return false;
    }

    public function phrase(): string
    {
        return 'still at the source';
    }

    public function keeps(Facts $entry): bool
    {
        return ! $entry->gone;
    }

    public function reason(Facts $entry): string
    {
        return 'It is no longer at its source.';
    }

    public function condition(): Condition
    {
        return new Condition('(gone = 0)');
    }
}
