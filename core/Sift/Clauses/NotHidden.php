<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Json\Schema\ListSchema;
use Gnomic\Json\Schema\TextSchema;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Samples;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Topic;

/** Entries that the owner has hidden neither here nor everywhere. Always part of the sieve. */
final readonly class NotHidden extends Clause
{
    /** @param  list<string>  $hiddenHere */
    private function __construct(private array $hiddenHere)
    {
    }

    public static function key(): string
    {
        return 'hidden';
    }

    public static function topic(): Topic
    {
        return Topic::hand();
    }

    public static function columns(): array
    {
        return ['hidden', 'ref'];
    }

    public static function members(): array
    {
        return ['/sift/hidden' => ListSchema::of(
            TextSchema::of(1, 600),
            2000,
            true,
            about: 'Entries never shown in this widget, pinned or not.',
        )];
    }

    public static function samples(Samples $site): array
    {
        return ['/sift/hidden' => $site->lists($site->refs)];
    }

    public static function of(Criteria $wanted, SiteContext $site): self
    {
        return new self($wanted->part('sift')->strings('hidden'));
    }

    /** Told together with what is pinned. */
    public static function spoken(Criteria $wanted, SiteContext $site): array
    {
        return [];
    }

    public static function yieldsToPins(): bool
    {
        return false;
    }

    public function picked(): array
    {
        return $this->hiddenHere;
    }

    public function phrase(): string
    {
        return 'not hidden by hand';
    }

    public function keeps(Facts $entry): bool
    {
        return ! $entry->hidden && ! $entry->isAmong($this->hiddenHere);
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
