<?php

declare(strict_types=1);

namespace Gnomic\Text;

/** Hashtags and labels as they are compared: folded, without the sign, whole. */
final class Tags
{
    /** Bytes before a sign that are looked at for a letter and its marks. */
    private const BEFORE = 64;

    /** Bytes of a sign after its first, as trim understands them. */
    private const LATER_BYTES = "\x80..\xBF";

    /** Stands for a bar within a tag, where tags stand between bars. No tag has it: controls go in folding. */
    private const BAR = "\x1F";

    /** Null where nothing is left of it. */
    public static function folded(string $tag): ?string
    {
        $bare = (string) preg_replace('/^[\s\p{Cc}]*[#＃]+/u', '', mb_scrub($tag, 'UTF-8'));
        $folded = trim((string) preg_replace('/[\s\p{Cc}]+/u', ' ', Fold::text($bare)));

        return $folded === '' ? null : $folded;
    }

    /**
     * Tags in one line, each between bars, as they are searched: "|dome|night sky|"; empty where there are none.
     *
     * @param  array<string>  $folded
     */
    public static function line(array $folded): string
    {
        return $folded === [] ? '' : '|'.implode('|', array_map(self::inLine(...), $folded)).'|';
    }

    /** @return list<string> what line() was made of */
    public static function ofLine(string $line): array
    {
        $parts = array_filter(explode('|', $line), fn (string $tag): bool => $tag !== '');

        return array_values(array_map(fn (string $tag): string => strtr($tag, self::BAR, '|'), $parts));
    }

    /** A folded tag as it stands in a line. */
    public static function inLine(string $folded): string
    {
        return strtr($folded, '|', self::BAR);
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
     * Hashtags that stand in a text: the sign, after no letter, number or low line (marks belong to what they stand on), then
     * letters, numbers and low lines with their marks, not all of them numbers (UAX #31, section 4.2, in its plain part).
     *
     * @return list<string> as they are written, without the sign
     */
    public static function in(string $text): array
    {
        if (! str_contains($text, '#') && ! str_contains($text, '＃')) {
            return [];
        }
        preg_match_all('/[#＃]((?!\p{M})[\p{L}\p{N}\p{M}_]*[\p{L}\p{M}_][\p{L}\p{N}\p{M}_]*)/u', $text, $found, PREG_OFFSET_CAPTURE);
        $tags = [];
        foreach ($found[1] as $index => [$tag]) {
            $at = $found[0][$index][1];
            // The first sign of what is before may be cut through; it is not the one that matters.
            $before = ltrim(substr($text, max(0, $at - self::BEFORE), min($at, self::BEFORE)), self::LATER_BYTES);
            if (preg_match('/[\p{L}\p{N}_]\p{M}*$/uD', $before) === 0) {
                $tags[] = $tag;
            }
        }

        return $tags;
    }
}
