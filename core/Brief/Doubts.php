<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Gather\Text\Tags;
use Gnomic\Sift\Term;

/** What a brief says that is hardly meant. It is kept as it is and does no harm; each doubt says what it is taken for. */
final class Doubts
{
    /** Words beyond which a list is told to be long. */
    private const MANY = 500;

    /** @return list<array{key: string, text: string}> with the phrase of the sentence that mends it */
    public static function about(Brief $brief): array
    {
        $doubts = [];
        if ($brief->stars !== null && $brief->stars->from > $brief->stars->to) {
            $doubts[] = ['key' => 'stars', 'text' => 'Stars go from '.Numbers::plain($brief->stars->from).' to '.Numbers::plain($brief->stars->to).'. It is taken the other way round: from '.Numbers::plain($brief->stars->to).' to '.Numbers::plain($brief->stars->from).'.'];
        }
        if ($brief->length !== null && $brief->length->to !== null && ($brief->length->from ?? 0) > $brief->length->to) {
            $doubts[] = ['key' => 'stars', 'text' => "The length goes from {$brief->length->from} to {$brief->length->to} characters. It is taken the other way round."];
        }
        if ($brief->when?->from !== null && $brief->when->to !== null && $brief->when->from > $brief->when->to) {
            $doubts[] = ['key' => 'when', 'text' => "The days go from {$brief->when->from} to {$brief->when->to}, backwards. It is taken the other way round."];
        }

        return [...$doubts,
            ...self::aboutTerms('words', 'words', $brief->words?->each() ?? [], fn (string $word): bool => Term::tryFrom($word) !== null),
            ...self::aboutTerms('words', 'hashtags', $brief->hashtags?->each() ?? [], fn (string $tag): bool => Tags::folded(rtrim($tag, '* ')) !== null),
            ...self::aboutTerms('labels', 'labels', $brief->labels?->usual->each() ?? [], fn (string $tag): bool => Tags::folded(rtrim($tag, '* ')) !== null),
        ];
    }

    /**
     * @param  list<string>  $terms
     * @param  callable(string): bool  $isSomething
     * @return list<array{key: string, text: string}>
     */
    public static function aboutTerms(string $key, string $noun, array $terms, callable $isSomething): array
    {
        $doubts = [];
        $empty = array_values(array_filter($terms, fn (string $term): bool => ! $isSomething($term)));
        if ($empty !== []) {
            $doubts[] = ['key' => $key, 'text' => 'Among the '.$noun.' stands "'.$empty[0].'"'.(count($empty) > 1 ? ' and '.Numbers::spoken(count($empty) - 1).' more' : '').' without a letter or a number. It is passed over.'];
        }
        $patterns = array_values(array_filter($terms, self::looksLikeAPattern(...)));
        if ($patterns !== []) {
            $doubts[] = ['key' => $key, 'text' => "\"$patterns[0]\" looks like a regular expression. Words are meant here: only its letters and numbers are looked for, one after the other, and a star counts at the end of a word."];
        }
        if (count($terms) > self::MANY) {
            $doubts[] = ['key' => $key, 'text' => number_format(count($terms)).' '.$noun.' are a long list. They are all looked for, and kept in every edition; words that no widget may show have a list of their own for the whole site, in Entries.'];
        }

        return $doubts;
    }

    private static function looksLikeAPattern(string $word): bool
    {
        return preg_match('~^/.+/[a-z]*$|\\\\[bdswBDSW]|\.[*+]|\(\?|\[[^\]]+\]|\([^)]*\|[^)]*\)|[^\s]\*[^\s]|^\^|\$$|\w\|\w~u', $word) === 1;
    }
}
