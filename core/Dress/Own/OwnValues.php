<?php

declare(strict_types=1);

namespace Gnomic\Dress\Own;

use Gnomic\Dress\Colour\CssColour;
use Gnomic\Dress\Css\CssValues;

/**
 * Values of own rules, by kind: each is read whole and written out anew; what is not understood is refused, and nothing of it goes out.
 *
 * @internal
 */
final class OwnValues
{
    private const COLOURS = ['--ink', '--quiet', '--line', '--accent', '--rating', '--link', '--control', '--surface', '--back'];

    private const COLOUR_CALLS = ['rgb', 'rgba', 'hsl', 'hsla', 'hwb', 'lab', 'lch', 'oklab', 'oklch', 'color', 'color-mix', 'light-dark'];

    private const LINES = ['none', 'solid', 'dashed', 'dotted', 'double'];

    private const GRADIENT = '/^(?:repeating-)?(?:linear|radial|conic)-gradient$/D';

    /** Of words and glyphs, how much of a colour has to be there. */
    private const SEEN = 0.6;

    /** @param  bool  $isSeen  whether something is drawn in it that has to be seen @throws ValueIsRefused */
    public static function colour(string $value, bool $isSeen = false): string
    {
        $lower = strtolower($value);
        if (preg_match('/^var\(\s*(--[\w-]+)\s*\)$/D', $lower, $found) === 1) {
            return in_array($found[1], self::COLOURS, true) ? "var($found[1])"
                : throw new ValueIsRefused("$found[1] is not a custom property of widgets that is a colour");
        }
        if (in_array($lower, ['currentcolor', 'inherit'], true)) {
            return $lower;
        }
        $call = CssValues::call($lower);
        if ($call !== null && ! in_array($call[0], self::COLOUR_CALLS, true)) {
            throw new ValueIsRefused("\"$call[0]()\" is not taken: it may load something, or is no colour");
        }
        foreach ([false, true] as $isDark) {
            $colour = strlen($value) > 200 ? null : CssColour::read($lower, null, $isDark);
            if ($colour === null) {
                throw new ValueIsRefused('"'.mb_strimwidth($value, 0, 40, '…').'" is not taken: it is no colour');
            }
            if ($isSeen && $colour->alpha < self::SEEN) {
                throw new ValueIsRefused('it hides what has to be seen');
            }
        }

        return $lower;
    }

    /** Colours and gradients, one on another. @throws ValueIsRefused */
    public static function background(string $value): string
    {
        $layers = array_map(function (string $layer): string {
            $call = CssValues::call($layer);
            if ($call === null || preg_match(self::GRADIENT, $call[0]) !== 1) {
                return strtolower($layer) === 'none' ? 'none' : self::colour($layer);
            }
            $stops = array_map(
                fn (string $stop): string => implode(' ', array_map(self::ofGradient(...), CssValues::words($stop))),
                CssValues::listed($call[1]),
            );

            return "$call[0](".implode(',', $stops).')';
        }, CssValues::listed($value));
        if (count($layers) > 4) {
            throw new ValueIsRefused('it has more than four layers');
        }

        return implode(',', $layers);
    }

    /** @throws ValueIsRefused */
    private static function ofGradient(string $word): string
    {
        $part = '/^(?:to|top|bottom|left|right|circle|ellipse|at|center|from|in|srgb|oklab|oklch'
            .'|(?:closest|farthest)-(?:side|corner)|-?\d{1,4}(?:\.\d{1,4})?(?:%|px|em|deg|turn)|0)$/iD';

        return preg_match($part, $word) === 1 ? strtolower($word) : self::colour($word);
    }

    /** A line around something: width, kind and colour, in any order. @throws ValueIsRefused */
    public static function line(string $value, float $most): string
    {
        $words = CssValues::words($value);
        if ($words === [] || count($words) > 3) {
            throw new ValueIsRefused('a line has a width, a kind and a colour');
        }

        return implode(' ', array_map(fn (string $word): string => match (true) {
            in_array(strtolower($word), self::LINES, true) => strtolower($word),
            preg_match('/^[\d.+-]|^(?:calc|min|max|clamp)\(|^var\(\s*--(?:rule|edge|picture-edge)/i', $word) === 1 => OwnLength::taken(
                $word,
                0,
                $most,
            ),
            default => self::colour($word),
        }, $words));
    }

    /** @param  list<array{float, float}>  $bounds  of the lengths, in their order @throws ValueIsRefused */
    public static function shadow(string $value, array $bounds): string
    {
        if (strtolower($value) === 'none') {
            return 'none';
        }
        $shadows = CssValues::listed($value);
        if (count($shadows) > 4) {
            throw new ValueIsRefused('it has more than four shadows');
        }

        return implode(',', array_map(function (string $shadow) use ($bounds): string {
            $written = [];
            $at = 0;
            foreach (CssValues::words($shadow) as $word) {
                $isLength = preg_match('/^[\d.+-]|^(?:calc|min|max|clamp)\(/i', $word) === 1;
                [$least, $most] = $bounds[$at] ?? [0.0, 0.0];
                if ($isLength && ! isset($bounds[$at])) {
                    throw new ValueIsRefused('a shadow has no so many lengths here');
                }
                $at += $isLength ? 1 : 0;
                $written[] = match (true) {
                    $isLength => OwnLength::taken($word, $least, $most),
                    strtolower($word) === 'inset' && count($bounds) === 4 => 'inset',
                    default => self::colour($word),
                };
            }

            return $at < 2 ? throw new ValueIsRefused('a shadow has at least two lengths') : implode(' ', $written);
        }, $shadows));
    }

    /** @throws ValueIsRefused */
    public static function number(string $value, float $least, float $most): string
    {
        if (preg_match('/^(?:\d{1,4}(?:\.\d{1,4})?|\.\d{1,4})%?$/D', $value) !== 1) {
            throw new ValueIsRefused('"'.mb_strimwidth($value, 0, 40, '…').'" is not taken: it is no plain number');
        }
        $number = (float) $value / (str_ends_with($value, '%') ? 100 : 1);

        return $number < $least || $number > $most ? throw new ValueIsRefused(
            "\"$value\" is too ".($number < $least ? 'little' : 'much').": $least to $most is taken",
        )
            : $value;
    }

    /** @throws ValueIsRefused */
    public static function font(string $value): string
    {
        return implode(',', array_map(fn (string $family): string => match (true) {
            preg_match('/^var\(\s*--(?:text|heads)\s*\)$/D', $family) === 1 => $family,
            preg_match('/^"[\w .+\'-]{1,60}"$|^\'[\w .+-]{1,60}\'$/uD', $family) === 1 => '"'.substr($family, 1, -1).'"',
            preg_match('/^-?[a-z][\w -]{0,60}$/iD', $family) === 1 => $family,
            default => throw new ValueIsRefused('that is no name of a font'),
        }, CssValues::listed($value)));
    }

    /** What changes colours a little, and hides nothing. @throws ValueIsRefused */
    public static function filter(string $value): string
    {
        if (strtolower($value) === 'none') {
            return 'none';
        }
        $bounds = ['grayscale' => [0, 1], 'sepia' => [0, 1], 'saturate' => [0, 3], 'brightness' => [0.7, 1.3], 'contrast' => [0.8, 1.5]];

        return implode(' ', array_map(function (string $one) use ($bounds): string {
            [$name, $inside] = CssValues::call($one) ?? ['', ''];
            if ($name === 'hue-rotate' && preg_match('/^-?\d{1,4}(?:\.\d+)?deg$/D', $inside) === 1) {
                return "hue-rotate($inside)";
            }
            [$least, $most] = $bounds[$name] ?? throw new ValueIsRefused(
                "\"$name()\" is not taken: it may hide something, or reach beyond the widget",
            );

            return "$name(".self::number($inside, $least, $most).')';
        }, CssValues::words($value)));
    }

    /** @throws ValueIsRefused */
    public static function transition(string $value): string
    {
        $easing = '/^(?:cubic-bezier\((?:\s*-?[\d.]{1,6}\s*,){3}\s*-?[\d.]{1,6}\s*\)'
            .'|steps\(\s*\d{1,2}\s*(?:,\s*(?:start|end|jump-\w{3,5})\s*)?\))$/iD';

        return implode(',', array_map(fn (string $one): string => implode(' ', array_map(fn (string $word): string => match (true) {
            preg_match('/^[a-z-]{1,40}$/iD', $word) === 1, preg_match($easing, $word) === 1 => strtolower($word),
            preg_match('/^(\d{0,4}(?:\.\d{1,3})?)(m?s)$/iD', $word, $found) === 1
                && (float) $found[1] * (strtolower($found[2]) === 's' ? 1_000 : 1) <= 3_000 => strtolower($word),
            default => throw new ValueIsRefused('"'.mb_strimwidth($word, 0, 40, '…').'" is not taken: times are of three seconds at most'),
        }, CssValues::words($one))), CssValues::listed($value)));
    }

    /** @param  list<string>  $words @throws ValueIsRefused */
    public static function word(string $value, array $words): string
    {
        $value = strtolower((string) preg_replace('/\s+/', ' ', $value));

        return in_array($value, $words, true) ? $value
            : throw new ValueIsRefused('"'.mb_strimwidth($value, 0, 40, '…').'" is not taken: '.implode(', ', $words).' are');
    }

    /**
     * Of several words, each from a list.
     *
     * @param  list<string>  $words
     *
     * @throws ValueIsRefused
     */
    public static function words(string $value, array $words): string
    {
        return implode(' ', array_map(fn (string $word): string => self::word($word, $words), CssValues::words($value)));
    }

    /** @param  bool  $isOwn  whether words may stand there that the owner writes; else marks alone @throws ValueIsRefused */
    public static function content(string $value, bool $isOwn): string
    {
        if (in_array(strtolower($value), ['none', 'normal', 'open-quote', 'close-quote'], true)) {
            return strtolower($value);
        }
        if (preg_match('/^"([^"\n]{0,80})"$|^\'([^\'\n]{0,80})\'$/uD', $value) !== 1) {
            throw new ValueIsRefused('only text is allowed');
        }
        $text = substr($value, 1, -1);
        if (! $isOwn && preg_match('/^[\p{Pi}\p{Pf}\p{Pd}"\'„‚·•|\/\s]*$/uD', $text) !== 1) {
            throw new ValueIsRefused('here only marks such as » are taken: words or figures would pass for what was said');
        }

        return "\"$text\"";
    }
}
