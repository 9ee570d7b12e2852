<?php

declare(strict_types=1);

namespace Gnomic\Text;

use Normalizer;

/**
 * Text as it is compared: no case (Unicode case folding), no accents, compatibility forms as their plain ones (UAX #15).
 * Accents are the marks of Latin, Greek and Cyrillic, the points of Hebrew and the vowel signs of Arabic; marks that make
 * another letter, as in Devanagari, Thai or Japanese, stay. What only chooses a glyph (variation selectors) goes.
 */
final class Fold
{
    private const ACCENTS = '/[\x{0300}-\x{036F}\x{0483}-\x{0487}\x{0591}-\x{05BD}\x{05BF}\x{05C1}\x{05C2}\x{05C4}\x{05C5}\x{05C7}'
        .'\x{0610}-\x{061A}\x{064B}-\x{065F}\x{0670}\x{1AB0}-\x{1AFF}\x{1DC0}-\x{1DFF}\x{20D0}-\x{20FF}\x{FE20}-\x{FE2F}'
        .'\x{FE00}-\x{FE0F}\x{E0100}-\x{E01EF}]+/u';

    public static function text(string $text): string
    {
        if (preg_match('/[^\x00-\x7F]/', $text) !== 1) {
            return strtolower($text);
        }
        $apart = Normalizer::normalize(mb_scrub($text, 'UTF-8'), Normalizer::FORM_KD);
        $bare = (string) preg_replace(self::ACCENTS, '', is_string($apart) ? $apart : $text);
        $folded = mb_convert_case($bare, MB_CASE_FOLD, 'UTF-8');
        $whole = Normalizer::normalize($folded, Normalizer::FORM_C);

        return is_string($whole) ? $whole : $folded;
    }
}
