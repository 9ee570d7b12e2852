<?php

declare(strict_types=1);

namespace Gnomic\Text;

use Normalizer;

/** Plain text as it is kept. */
final class Words
{
    /**
     * Tidies what nobody sees: composed characters (NFC), one kind of line break, no control characters, no blanks at
     * the ends of lines, one empty line at the most. The joiners that emoji and several scripts need stay.
     */
    public static function tidy(string $text): string
    {
        $text = mb_scrub($text, 'UTF-8');
        $composed = Normalizer::normalize($text, Normalizer::FORM_C);
        $text = is_string($composed) ? $composed : $text;
        $text = strtr($text, ["\r\n" => "\n", "\r" => "\n", "\u{2028}" => "\n", "\u{2029}" => "\n\n"]);
        // Controls, the byte order mark, zero width space, and the overrides that can turn a line around.
        $text = (string) preg_replace('/[\x00-\x08\x0B-\x1F\x7F-\x9F\x{FEFF}\x{200B}\x{202A}-\x{202E}\x{2066}-\x{2069}]/u', '', $text);
        $text = (string) preg_replace('/[^\S\n]+/u', ' ', $text);
        $text = (string) preg_replace('/ ?\n ?/', "\n", $text);

        return trim((string) preg_replace('/\n{3,}/', "\n\n", $text));
    }

    /** Tidied onto one line; null where nothing is left. For names and titles. */
    public static function line(?string $text): ?string
    {
        $line = trim((string) preg_replace('/\s+/u', ' ', self::tidy((string) $text)));

        return $line === '' ? null : $line;
    }

    /** The text; null where it is empty. */
    public static function filled(string $text): ?string
    {
        return $text === '' ? null : $text;
    }

    /** Whether anything is there: for lists from which the empty ones go. */
    public static function isFilled(?string $text): bool
    {
        return $text !== null && $text !== '';
    }
}
