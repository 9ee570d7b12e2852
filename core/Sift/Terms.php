<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\ListSchema;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Json\Schema\Schema;
use Gnomic\Json\Schema\TextSchema;
use Gnomic\Text\Numbers;
use Gnomic\Text\Words;

/** Words, hashtags or labels: all of some, any of others, none of a third kind. A star at the end of one is any ending. */
final readonly class Terms
{
    /** Of each list. */
    public const MOST = 5000;

    /** Words beyond which a list is told to be long. */
    private const MANY = 500;

    /** Words that a sentence tells. */
    private const TOLD = 3;

    /**
     * @param  list<string>  $all  as they were written
     * @param  list<string>  $any
     * @param  list<string>  $none
     */
    public function __construct(public array $all, public array $any, public array $none)
    {
    }

    /** @return array<string, Schema> the three lists, as members */
    public static function lists(): array
    {
        return array_fill_keys(['all', 'any', 'none'], ListSchema::of(TextSchema::of(1, 100), self::MOST));
    }

    public static function schema(string $about): ObjectSchema
    {
        return ObjectSchema::orNull(self::lists(), $about);
    }

    public static function read(Members $terms): self
    {
        return new self($terms->strings('all'), $terms->strings('any'), $terms->strings('none'));
    }

    public function isEmpty(): bool
    {
        return $this->all === [] && $this->any === [] && $this->none === [];
    }

    /** @return list<string> */
    public function each(): array
    {
        return [...$this->all, ...$this->any, ...$this->none];
    }

    /** 'saying "dome" and "rings", not saying "rain"'. */
    public function spoken(string $with, string $without): string
    {
        return implode(', ', array_filter([
            $this->all === [] ? null : $with.self::listed($this->all, 'and'),
            $this->any === [] ? null : $with.self::listed($this->any, 'or'),
            $this->none === [] ? null : $without.self::listed($this->none, 'or'),
        ], Words::isFilled(...)));
    }

    /** @param  list<string>  $words */
    public static function listed(array $words, string $glue): string
    {
        if (count($words) > self::TOLD) {
            return ($glue === 'and' ? 'all' : 'any').' of '.Numbers::spoken(count($words));
        }
        $quoted = array_map(fn (string $word): string => "\"$word\"", $words);
        $last = array_pop($quoted);

        return $quoted === [] ? (string) $last : implode(', ', $quoted)." $glue $last";
    }

    /**
     * What among some words is hardly meant, and what it is taken for.
     *
     * @param  list<string>  $terms
     * @param  callable(string): bool  $isSomething
     * @return list<string>
     */
    public static function doubts(string $noun, array $terms, callable $isSomething): array
    {
        $doubts = [];
        $empty = array_values(array_filter($terms, fn (string $term): bool => ! $isSomething($term)));
        if ($empty !== []) {
            $doubts[] = 'One of the '.$noun.', "'.$empty[0].'"'.(
                count($empty) > 1
                    ? ' (and '.Numbers::spoken(count($empty) - 1).' more)'
                    : ''
            ).', is without a letter or a number. It is skipped.';
        }
        $patterns = array_values(array_filter($terms, self::looksLikeAPattern(...)));
        if ($patterns !== []) {
            $doubts[] = "\"$patterns[0]\" looks like a regular expression. Only plain words are matched: its letters and numbers, one "
                .'after the other; a star counts at the end of a word.';
        }
        if (count($terms) > self::MANY) {
            $doubts[] = number_format(count($terms)).' '.$noun
                .' are a long list. They are all looked for, and kept in every edition. Words that no widget may show are better kept '
                .'once for the whole site, under Rules in Entries.';
        }

        return $doubts;
    }

    private static function looksLikeAPattern(string $word): bool
    {
        return preg_match(
            '~^/.+/[a-z]*$|\\\\[bdswBDSW]|\.[*+]|\(\?|\[[^\]]+\]|\([^)]*\|[^)]*\)|[^\s]\*[^\s]|^\^|\$$|\w\|\w~u',
            $word,
        ) === 1;
    }
}
