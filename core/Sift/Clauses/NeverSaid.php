<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\OfAlike;
use Gnomic\Sift\Term;

/** Entries that say none of the words which the site never shows. */
final readonly class NeverSaid implements OfAlike
{
    /** @var array<string, Term> */
    private array $terms;

    /** @param  list<string>  $words */
    public function __construct(array $words)
    {
        $this->terms = Term::each($words);
    }

    public function key(): string
    {
        return 'never';
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
        return 'It says "'.$this->said($entry).'", which stands on the list of words this site never shows.';
    }

    /** The list is the site's and seldom changes: which entries it bars is a column, kept up to date where the list is. */
    public function condition(): Condition
    {
        return new Condition('(barred = 0)');
    }

    private function said(Facts $entry): ?string
    {
        foreach ($this->terms as $word => $term) {
            if ($term->isIn($entry->saying->line())) {
                return (string) $word;
            }
        }

        return null;
    }
}
