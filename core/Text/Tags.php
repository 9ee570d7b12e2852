<?php

declare(strict_types=1);

namespace Gnomic\Text;

/** Hashtags and labels as they are compared: folded, without the sign, whole. */
final class Tags
{
    /** Null where nothing is left of it. */
    public static function folded(string $tag): ?string
    {
        $folded = trim((string) preg_replace('/[\s|]+/u', ' ', Fold::text(ltrim(trim($tag), '#＃'))));

        return $folded === '' ? null : $folded;
    }

    /**
     * @param  iterable<string>  $tags
     * @return list<string> folded, each once
     */
    public static function each(iterable $tags): array
    {
        $folded = [];
        foreach ($tags as $tag) {
            $one = self::folded($tag);
            if ($one !== null) {
                $folded[$one] = true;
            }
        }

        return array_map(strval(...), array_keys($folded));
    }

    /**
     * Hashtags that stand in a text: the sign, then letters, marks, numbers and low lines, not all of them numbers
     * (UAX #31, section 4.2, in its plain part).
     *
     * @return list<string> as they are written, without the sign
     */
    public static function in(string $text): array
    {
        if (! str_contains($text, '#') && ! str_contains($text, '＃')) {
            return [];
        }
        preg_match_all('/(?<![\p{L}\p{N}\p{M}_&])[#＃]([\p{L}\p{N}\p{M}_]*[\p{L}\p{M}_][\p{L}\p{N}\p{M}_]*)/u', $text, $found);

        return $found[1];
    }
}
