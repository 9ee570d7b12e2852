<?php

declare(strict_types=1);

namespace Gnomic\Gather\Tables;

use Gnomic\Gather\Language\CommonWords;

/**
 * Which of some columns holds names of people, and which titles, by what stands in them: names are one to four words with capitals, or
 * of a script without; they have none of a language's common words and no sign that ends a sentence; and one name comes more than once
 * sooner than one title does.
 */
final class Naming
{
    private const WORD = '[\p{Lu}\p{Lt}\p{Lo}][\p{L}\p{M}.\'’-]*';

    /** "Ann van der Hill", "Mira", "Dr. Li Wei", "高橋". */
    private const NAME = '/^(?:dr|mr|mrs|ms|prof|herr|frau|mme|sr|sra)?\.?\s*'.self::WORD
        .'(?:\s(?:'.self::WORD.'|v[ao]n|de[rnl]?|d[aiuo]s?|l[ae]|ten|bin|al|y|e|&)){0,3}$/u';

    /** Of columns that have names above others, only what is plainly a name is taken for one. */
    private const PLAIN = 0.7;

    private const LIKELY = 0.5;

    /**
     * The column that holds names; null where none does.
     *
     * @param  array<int, non-empty-list<string>>  $columns  cells by the index of the column
     * @param  bool  $isStrict  whether more than one word each is asked for
     */
    public static function column(array $columns, bool $isStrict): ?int
    {
        $likely = [];
        foreach ($columns as $index => $cells) {
            $whole = fn (string $cell): bool => self::isName($cell) && (! $isStrict || str_contains($cell, ' '));
            $share = count(array_filter($cells, $whole)) / count($cells);
            if ($share >= ($isStrict ? self::PLAIN : self::LIKELY)) {
                // Of two that look alike, the one whose values come again, and are shorter.
                $repeated = 1 - count(array_unique($cells)) / count($cells);
                $likely[$index] = $share + 0.3 * $repeated - 0.05 * min(4.0, self::words($cells));
            }
        }
        arsort($likely);

        return array_key_first($likely) ?? ($isStrict ? null : self::only($columns));
    }

    /**
     * The column that holds titles: a few words each, hardly one twice, and no names.
     *
     * @param  array<int, non-empty-list<string>>  $columns
     */
    public static function titles(array $columns): ?int
    {
        $likely = [];
        foreach ($columns as $index => $cells) {
            $names = count(array_filter($cells, self::isName(...))) / count($cells);
            if (
                self::areWorded($cells) && self::words($cells) >= 1.5 && $names < 0.8
                    && count(array_unique($cells)) >= 0.8 * count($cells)
            ) {
                $likely[$index] = self::words($cells);
            }
        }
        arsort($likely);

        return array_key_first($likely);
    }

    /**
     * Where nobody writes names with capitals: the one column of short words that there is, or the one with the fewest words.
     *
     * @param  array<int, non-empty-list<string>>  $columns
     */
    private static function only(array $columns): ?int
    {
        $likely = [];
        foreach ($columns as $index => $cells) {
            $width = array_sum(array_map(mb_strwidth(...), $cells)) / count($cells);
            $common = count(array_filter($cells, self::isCommon(...))) / count($cells);
            if (self::areWorded($cells) && $width < 40 && $common < self::LIKELY) {
                $likely[$index] = self::words($cells);
            }
        }
        asort($likely);

        return array_key_first($likely);
    }

    private static function isName(string $cell): bool
    {
        return mb_strlen($cell) <= 60 && preg_match(self::NAME, self::capital($cell)) === 1 && ! self::isCommon($cell);
    }

    /** A form of address in small letters counts as in large ones. */
    private static function capital(string $cell): string
    {
        return (string) preg_replace_callback(
            '/^(?:Dr|Mr|Mrs|Ms|Prof|Herr|Frau|Mme|Sr|Sra)(?=[.\s])/u',
            fn (array $of): string => strtolower($of[0]),
            $cell,
        );
    }

    /** Whether words of it are common ones: of a name, at most a particle is. */
    private static function isCommon(string $cell): bool
    {
        if (preg_match('/[!?,;:…]|\p{L}\.$/u', $cell) === 1 && preg_match('/\b\p{Lu}\.$/u', $cell) !== 1) {
            return true;
        }
        $words = preg_split('/\s+/u', $cell, -1, PREG_SPLIT_NO_EMPTY);
        $words = $words === false ? [] : $words;
        // Jo, Al and Will are names, too: short words count where they are in small letters.
        $common = count(array_filter(
            $words,
            fn (string $word): bool => (mb_strlen($word) > 3 || $word === mb_strtolower($word)) && CommonWords::has(mb_strtolower($word)),
        ));
        $hasParticle = preg_match('/^\S+\s(?:v[ao]n|de[rnl]?|d[aiuo]s?|l[ae])\s/iu', $cell) === 1;

        return $common > 0 && 2 * $common >= count($words) - 1 && ! $hasParticle;
    }

    /** @param  non-empty-list<string>  $cells */
    private static function areWorded(array $cells): bool
    {
        $isWorded = fn (string $cell): bool => preg_match('/^\P{N}*\p{L}\P{N}*$/u', $cell) === 1;

        return count(array_filter($cells, $isWorded)) > 0.8 * count($cells);
    }

    /** @param  non-empty-list<string>  $cells */
    private static function words(array $cells): float
    {
        return array_sum(array_map(fn (string $cell): int => substr_count(trim($cell), ' ') + 1, $cells)) / count($cells);
    }
}
