<?php

declare(strict_types=1);

namespace Gnomic\Sift\Clauses;

use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Flattery;
use Gnomic\Sift\Samples;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Term;
use Gnomic\Sift\TermFinder;
use Gnomic\Sift\Terms;
use Gnomic\Sift\Topic;
use Gnomic\Text\Words;

/** Entries that say certain words, in title or text: all of some, any of others, none of a third kind. */
final readonly class WithTerms extends Clause
{
    /** How its conditions ask the index: what a database does with it again and again, it may do once beforehand. */
    public const MATCHING = 'IN (SELECT rowid FROM entry_words WHERE entry_words MATCH ?)';

    /** Words with nothing to look for ask nothing and are left out. */
    private TermFinder $all;

    private TermFinder $any;

    private TermFinder $none;

    private function __construct(private Terms $wanted)
    {
        [$this->all, $this->any, $this->none] = array_map(TermFinder::of(...), [$wanted->all, $wanted->any, $wanted->none]);
    }

    public static function key(): string
    {
        return 'said';
    }

    public static function topic(): Topic
    {
        return new Topic('words', 'sift', 'Words, hashtags and length', 'what entries say, or must not say');
    }

    public static function columns(): array
    {
        return ['id'];
    }

    public static function members(): array
    {
        return [
            '/sift/words' => Terms::schema(
                'Words of title and text: whole, folded by Unicode, in any script; a star at the end is any ending; several in a row '
                    .'are looked for in a row. Null for any.',
            ),
        ];
    }

    public static function samples(Samples $site): array
    {
        return ['/sift/words' => $site->terms($site->words)];
    }

    public static function of(Criteria $wanted, SiteContext $site): ?self
    {
        $terms = Terms::read($wanted->part('sift')->object('words'));

        return $terms->isEmpty() ? null : new self($terms);
    }

    public static function flatters(Criteria $wanted, SiteContext $site): ?Flattery
    {
        return self::of($wanted, $site) === null ? null : Flattery::ByWords;
    }

    public static function called(): string
    {
        return 'the words said';
    }

    public static function doubts(Criteria $wanted): array
    {
        return Terms::doubts(
            'words',
            Terms::read($wanted->part('sift')->object('words'))->each(),
            fn (string $word): bool => Term::tryFrom($word) !== null,
        );
    }

    public function phrase(): string
    {
        return $this->wanted->spoken('saying ', 'not saying ');
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
        $asked = [self::asked($this->all, ' AND '), self::asked($this->any, ' OR ')];
        $wanted = implode(' AND ', array_filter($asked, Words::isFilled(...)));
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
        $missing = $this->all->firstMissing($line);
        $unwanted = $missing === null ? $this->none->first($line) : null;

        return match (true) {
            $missing !== null => "It does not say \"$missing\".",
            $unwanted !== null => "It says \"$unwanted\", which is left out here.",
            $this->any->isEmpty(), $this->any->first($line) !== null => null,
            default => 'It says none of '.Terms::listed($this->wanted->any, 'or').'.',
        };
    }

    private static function asked(TermFinder $finder, string $glue): ?string
    {
        $asked = array_map(fn (Term $term): string => $term->query(), $finder->terms);

        return $asked === [] ? null : 'said : ('.implode($glue, $asked).')';
    }
}
