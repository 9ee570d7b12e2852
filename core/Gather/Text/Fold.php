<?php

declare(strict_types=1);

namespace Gnomic\Gather\Text;

use Normalizer;

/** Text as it is compared: no case, no accents, compatibility forms as their plain ones (UAX #15, Unicode case folding). */
final class Fold
{
    public static function text(string $text): string
    {
        if (! preg_match('/[^\x00-\x7F]/', $text)) {
            return strtolower($text);
        }
        $apart = Normalizer::normalize(mb_scrub($text, 'UTF-8'), Normalizer::FORM_KD);
        $bare = preg_replace('/\p{Mn}+/u', '', is_string($apart) ? $apart : $text);

        return mb_convert_case((string) $bare, MB_CASE_FOLD, 'UTF-8');
    }
}
