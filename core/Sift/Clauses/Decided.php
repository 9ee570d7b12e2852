<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Topic;

/** Entries that do not wait for the owner's decision. Always part of the sieve. */
final readonly class Decided extends Clause
{
    public static function key(): string
    {
        return 'decided';
    }

    public static function topic(): Topic
    {
        return Topic::hand();
    }

    public static function columns(): array
    {
        return ['held'];
    }

    public static function of(Criteria $wanted, SiteContext $site): self
    {
        return new self;
    }

    public static function yieldsToPins(): bool
    {
        return false;
    }

    public function phrase(): string
    {
        return 'not held';
    }

    public function keeps(Facts $entry): bool
    {
        return ! $entry->held;
    }

    public function reason(Facts $entry): string
    {
        return 'It is held and waits for your decision.';
    }

    public function condition(): Condition
    {
        return new Condition('(held = 0)');
    }
}
