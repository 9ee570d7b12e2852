<?php

declare(strict_types=1);

namespace Gnomic\Gather\Likeness;

use Gnomic\Text\Fold;

/**
 * A text as a set of overlapping pieces (Broder, On the resemblance and containment of documents, 1997): three words
 * each, folded, without punctuation and emoji; in scripts that put no blanks between words, three characters each.
 */
final class Shingles
{
    private const SIZE = 3;

    /** Words that are looked at: what is alike so far is alike. */
    private const MOST = 400;

    /** @return list<int> distinct hashes of 32 bits; empty where there are no words */
    public static function of(string $text): array
    {
        return self::ofWords(self::words($text));
    }

    /**
     * @param  list<string>  $words
     * @return list<int>
     */
    public static function ofWords(array $words): array
    {
        $count = count($words);
        if ($count === 0) {
            return [];
        }
        if ($count < self::SIZE) {
            return [crc32(implode(' ', $words))];
        }
        $hashes = [];
        for ($at = 0; $at <= $count - self::SIZE; $at++) {
            $hashes[crc32($words[$at].' '.$words[$at + 1].' '.$words[$at + 2])] = true;
        }

        return array_keys($hashes);
    }

    /** @return list<string> */
    public static function words(string $text): array
    {
        $folded = Fold::text($text);
        // Scripts without blanks; their punctuation counts as theirs, and is no letter.
        $alone = '(?=\p{L})[\p{Han}\p{Hiragana}\p{Katakana}\p{Thai}\p{Lao}\p{Khmer}\p{Myanmar}]';
        $pattern = preg_match('/[^\x00-\x7F]/', $folded) === 1 ? "/$alone|(?:(?!$alone)[\\p{L}\\p{N}])+/u" : '/[a-z0-9]+/';
        preg_match_all($pattern, str_replace(["'", '’'], '', $folded), $found);

        return array_slice($found[0], 0, self::MOST);
    }

    /**
     * The share of pieces that two texts have in common (Jaccard).
     *
     * @param  list<int>  $one
     * @param  list<int>  $other
     * @return float 0 to 1; 0 where either has none
     */
    public static function resemblance(array $one, array $other): float
    {
        if ($one === [] || $other === []) {
            return 0.0;
        }
        $common = count(array_intersect_key(array_flip($one), array_flip($other)));

        return $common / (count($one) + count($other) - $common);
    }
}
