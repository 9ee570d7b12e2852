<?php

declare(strict_types=1);

namespace Gnomic\Dress\Own;

use Gnomic\Dress\Css\Calc;
use Gnomic\Dress\Css\CssValues;

/**
 * Lengths of own rules, within bounds: what is in pixels alone is reckoned and compared; what depends on the page or on what stands around
 * it (em, %, var()) is written with its bounds around it, so that the browser keeps them.
 *
 * @internal
 */
final class OwnLength
{
    private const RELATIVE = ['em', 'rem', 'ch', 'ex', 'lh', 'cqi', '%'];

    /** Of custom properties, those that are lengths. */
    private const PROPERTIES = ['--corner', '--inset', '--rule', '--edge', '--picture-corner', '--picture-edge'];

    /** Characters of a sum: longer ones nobody wrote. */
    private const LONGEST = 120;

    /** @throws ValueIsRefused */
    public static function taken(string $value, float $least, float $most): string
    {
        if (strlen($value) > self::LONGEST) {
            throw new ValueIsRefused('that is no length that somebody wrote');
        }
        if (preg_match('/^var\(\s*(--[\w-]+)\s*\)$/D', $value, $found) === 1) {
            if (! in_array($found[1], self::PROPERTIES, true)) {
                throw new ValueIsRefused("$found[1] is not a custom property of widgets that is a length");
            }

            return self::clamped("var($found[1])", $least, $most);
        }
        $isRelative = false;
        $pixels = Calc::of($value, function (string $number) use (&$isRelative): ?float {
            if (preg_match('/^([+-]?(?:\d+\.?\d*|\.\d+))(px|em|rem|ch|ex|lh|cqi|%)?$/iD', $number, $found) !== 1) {
                return null;
            }
            $unit = strtolower($found[2] ?? '');
            $isRelative = $isRelative || in_array($unit, self::RELATIVE, true);

            return (float) $found[1] * (in_array($unit, self::RELATIVE, true) ? 16 : 1);
        });
        $isBare = preg_match('/^[+-]?[\d.]+$/D', $value) === 1 && (float) $value !== 0.0;
        if ($pixels === null || $isBare) {
            throw new ValueIsRefused('"'.mb_strimwidth($value, 0, 40, '…').'" is not taken: it is no length in px, em, rem, ch or %');
        }
        if (! $isRelative) {
            if ($pixels < $least || $pixels > $most) {
                throw new ValueIsRefused(
                    $least >= 0 && $pixels < 0 ? 'a negative length covers what is next to it'
                        : '"'.mb_strimwidth($value, 0, 40, '…').'" is '.($pixels > $most ? 'too much' : 'too little').': '
                            .self::number($least).'px to '.self::number($most).'px are taken',
                );
            }

            return self::number($pixels).($pixels === 0.0 ? '' : 'px');
        }
        if ($least >= 0 && $pixels < 0 && ! str_contains($value, '(')) {
            throw new ValueIsRefused('a negative length covers what is next to it');
        }
        if (abs($pixels) > 100_000) {
            throw new ValueIsRefused('"'.mb_strimwidth($value, 0, 40, '…').'" is too much');
        }

        return self::clamped((string) preg_replace('/\s+/', ' ', strtolower($value)), $least, $most);
    }

    /** Several, as paddings have them. @throws ValueIsRefused */
    public static function several(string $value, int $count, float $least, float $most): string
    {
        $words = CssValues::words($value);
        if ($words === [] || count($words) > $count) {
            throw new ValueIsRefused("it has no or more than $count lengths");
        }

        return implode(' ', array_map(fn (string $word): string => self::taken($word, $least, $most), $words));
    }

    private static function clamped(string $value, float $least, float $most): string
    {
        return 'clamp('.self::number($least)."px,$value,".self::number($most).'px)';
    }

    private static function number(float $number): string
    {
        $written = rtrim(rtrim(number_format($number, 3, '.', ''), '0'), '.');

        return $written === '-0' || $written === '' ? '0' : $written;
    }
}
