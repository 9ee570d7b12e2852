<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Flattery;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\TermFinder;
use Gnomic\Sift\Topic;

/** Entries that say none of the words which the site never shows. */
final readonly class NeverSaid extends Clause
{
    private TermFinder $terms;

    /** @param  list<string>  $words */
    public function __construct(array $words)
    {
        $this->terms = TermFinder::of($words);
    }

    public static function key(): string
    {
        return 'never';
    }

    public static function topic(): Topic
    {
        return Topic::hand();
    }

    public static function columns(): array
    {
        return ['barred'];
    }

    public static function of(Criteria $wanted, SiteContext $site): ?self
    {
        return $site->never === [] ? null : new self($site->never);
    }

    public static function flatters(Criteria $wanted, SiteContext $site): ?Flattery
    {
        return $site->never === [] ? null : Flattery::ByWords;
    }

    public static function yieldsToPins(): bool
    {
        return false;
    }

    public function phrase(): string
    {
        return 'none of the words never shown';
    }

    public function keeps(Facts $entry): bool
    {
        return ! ($entry->barred ?? $this->said($entry) !== null);
    }

    public function reason(Facts $entry): string
    {
        return 'It says "'.$this->said($entry).'", which is on the list of words this site never shows.';
    }

    /** The list is the site's and seldom changes: which entries it bars is a column, kept up to date where the list is. */
    public function condition(): Condition
    {
        return new Condition('(barred = 0)');
    }

    private function said(Facts $entry): ?string
    {
        return $this->terms->first($entry->saying->line());
    }
}
