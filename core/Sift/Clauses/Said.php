<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Brief\TermsWanted;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Term;

/** Entries that say certain words, in title or text: all of some, any of others, none of a third kind. */
final readonly class Said implements Clause
{
    /** How its conditions ask the index: what a database does with it again and again, it may do once beforehand. */
    public const MATCHING = 'IN (SELECT rowid FROM entry_words WHERE entry_words MATCH ?)';

    /** @var array<string, Term> by the word as it was written; words with nothing to look for ask nothing and are left out */
    private array $all;

    /** @var array<string, Term> */
    private array $any;

    /** @var array<string, Term> */
    private array $none;

    public function __construct(private TermsWanted $wanted)
    {
        [$this->all, $this->any, $this->none] = array_map(Term::each(...), [$wanted->all, $wanted->any, $wanted->none]);
    }

    public function key(): string
    {
        return 'said';
    }

    public function phrase(): string
    {
        return TermsSpoken::of($this->wanted, 'saying ', 'not saying ');
    }

    public function keeps(Facts $entry): bool
    {
        return $this->fault($entry) === null;
    }

    public function reason(Facts $entry): string
    {
        return (string) $this->fault($entry);
    }

    /** One question to the index: what is wanted, without what is not; where nothing is wanted, all but that. */
    public function condition(): Condition
    {
        $wanted = implode(' AND ', array_filter([self::asked($this->all, ' AND '), self::asked($this->any, ' OR ')]));
        $unwanted = (string) self::asked($this->none, ' OR ');

        return match (true) {
            $wanted === '' && $unwanted === '' => new Condition('(1)'),
            $wanted === '' => new Condition('(id NOT '.self::MATCHING.')', [$unwanted]),
            default => new Condition('(id '.self::MATCHING.')', [$unwanted === '' ? $wanted : "($wanted) NOT $unwanted"]),
        };
    }

    private function fault(Facts $entry): ?string
    {
        $line = $entry->saying->line();
        foreach ($this->all as $word => $term) {
            if (! $term->isIn($line)) {
                return "It does not say \"$word\".";
            }
        }
        foreach ($this->none as $word => $term) {
            if ($term->isIn($line)) {
                return "It says \"$word\", which the brief leaves out.";
            }
        }
        foreach ($this->any as $term) {
            if ($term->isIn($line)) {
                return null;
            }
        }

        return $this->any === [] ? null : 'It says none of '.TermsSpoken::listed($this->wanted->any, 'or').'.';
    }

    /** @param  array<string, Term>  $terms */
    private static function asked(array $terms, string $glue): ?string
    {
        return $terms === [] ? null : 'said : ('.implode($glue, array_map(fn (Term $term): string => $term->query(), $terms)).')';
    }
}
