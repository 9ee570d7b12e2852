<?php

declare(strict_types=1);

namespace Gnomic\Text;

use Normalizer;

/**
 * The words of a text as they are looked for: runs of letters, marks and numbers, then folded (no case, no accents), so that
 * "gnome™" has the word "gnome". Marks that follow no letter and no number, such as what is left of an emoji, are no word. In
 * scripts that put no blanks between words every character stands alone, marks too, so that a word is found wherever its
 * characters follow each other.
 */
final class Tokens
{
    private const ALONE = '[\p{sc:Han}\p{sc:Hiragana}\p{sc:Katakana}\p{sc:Thai}\p{sc:Lao}\p{sc:Khmer}\p{sc:Myanmar}ー]';

    private const WORD = '/(?=[\p{L}\p{N}\p{M}])'.self::ALONE.'|(?!'.self::ALONE.')[\p{L}\p{N}](?:(?!'.self::ALONE
        .')[\p{L}\p{N}\p{M}])*/u';

    /** Katakana of half width: a letter and its voicing mark are two characters there, and one everywhere else. */
    private const HALF_WIDTH = '/[\x{FF66}-\x{FF9F}]+/u';

    /** @return list<string> */
    public static function of(string $text): array
    {
        if (preg_match('/[^\x00-\x7F]/', $text) === 0) {
            preg_match_all('/[a-z0-9]+/', strtolower($text), $found);

            return $found[0];
        }
        $text = self::normal(mb_scrub($text, 'UTF-8'), Normalizer::FORM_C);
        $text = (string) preg_replace_callback(
            self::HALF_WIDTH,
            fn (array $half): string => self::normal($half[0], Normalizer::FORM_KC),
            $text,
        );
        preg_match_all(self::WORD, $text, $found);
        // Folding can split a word again: a half is "1⁄2".
        preg_match_all(self::WORD, Fold::text(implode(' ', $found[0])), $folded);

        return $folded[0];
    }

    private static function normal(string $text, int $form): string
    {
        $normal = Normalizer::normalize($text, $form);

        return is_string($normal) ? $normal : $text;
    }

    /** All of them in one line, each between blanks: a sequence of words is found in it as " one two ". */
    public static function line(string $text): string
    {
        return ' '.implode(' ', self::of($text)).' ';
    }

    /**
     * Tokens in letters that every index keeps as they are: a–z, 0–9, and any other character as its number between low
     * lines, which leaves beginnings beginnings.
     */
    public static function inAscii(string $tokens): string
    {
        return preg_match('/[^\x00-\x7F]/', $tokens) === 0 ? $tokens
            : (string) preg_replace_callback(
                '/[^\x00-\x7F]/u',
                fn (array $found): string => '_'.dechex((int) mb_ord($found[0], 'UTF-8')).'_',
                $tokens,
            );
    }

    /** What inAscii() was made of. */
    public static function fromAscii(string $ascii): string
    {
        return ! str_contains($ascii, '_') ? $ascii
            : (string) preg_replace_callback(
                '/_([0-9a-f]+)_/',
                fn (array $found): string => (string) mb_chr((int) hexdec($found[1]), 'UTF-8'),
                $ascii,
            );
    }
}
