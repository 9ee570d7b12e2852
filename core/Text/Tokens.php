<?php

declare(strict_types=1);

namespace Gnomic\Text;

/**
 * The words of a text as they are looked for: folded (no case, no accents), letters, marks and numbers together, all else
 * between them. In scripts that put no blanks between words every character stands alone, so that a word is found
 * wherever its characters follow each other.
 */
final class Tokens
{
    private const ALONE = '[\p{Han}\p{Hiragana}\p{Katakana}\p{Thai}\p{Lao}\p{Khmer}\p{Myanmar}]';

    /** @return list<string> */
    public static function of(string $text): array
    {
        $folded = Fold::text($text);
        $letter = '[\p{L}\p{N}\p{M}]';
        $pattern = preg_match('/[^\x00-\x7F]/', $folded) === 1
            ? '/(?='.$letter.')'.self::ALONE.'\p{M}*|(?:(?!'.self::ALONE.')'.$letter.')+/u'
            : '/[a-z0-9]+/';
        preg_match_all($pattern, $folded, $found);

        return $found[0];
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
