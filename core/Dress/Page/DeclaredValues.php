<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use Gnomic\Dress\Colour\CssColour;
use Gnomic\Dress\Css\CssValues;

/** What declarations set, longhand by longhand: read once for all elements that they hold for. */
final class DeclaredValues
{
    /** Sizes of letters by name, in CSS pixels. */
    public const SIZES = ['xx-small' => 9.0, 'x-small' => 10.0, 'small' => 13.0, 'medium' => 16.0, 'large' => 18.0, 'x-large' => 24.0,
        'xx-large' => 32.0, 'xxx-large' => 48.0];

    /** Declarations that are kept as they were read. */
    private const KEPT = 4_000;

    /** @var array<string, array<string, string|null>> as of() has them */
    private static array $read = [];

    /**
     * What a declaration sets.
     *
     * @param  string|null  $value  with its variables put in; null where that cannot be
     * @param  bool  $isVariable  whether it had some: what turns out wrong only by them is as if it were unset
     * @return array<string, string|null> by longhand; null where it is not understood, "?unset" where it is not and had variables
     */
    public static function of(string $property, ?string $value, bool $isVariable): array
    {
        $key = "$property $isVariable $value";
        if (isset(self::$read[$key])) {
            return self::$read[$key];
        }
        $set = $value === null ? null : Shorthands::of($property, $value);
        if ($set === null && $isVariable) {
            $set = array_fill_keys(array_keys(Shorthands::of($property, '') ?? []), 'unset');
        }
        $read = [];
        foreach ($set ?? [] as $name => $one) {
            if (! isset(BrowserSheet::INHERITED[$name]) && ! isset(BrowserSheet::INITIAL[$name])) {
                continue;
            }
            $one = trim($one);
            $isKnown = self::isValid($name, $one);
            if ($isKnown) {
                $read[$name] = strtolower($one) === 'revert-layer' ? 'revert-layer' : $one;
            } elseif ($isVariable) {
                $read[$name] = str_contains($one, '(') ? '?unset' : 'unset';
            } elseif (str_contains($one, '(')) {
                $read[$name] = null;
            }
        }
        if (count(self::$read) >= self::KEPT) {
            self::$read = [];
        }

        return self::$read[$key] = $read;
    }

    private static function isValid(string $name, string $value): bool
    {
        $length = fn (string $value): ?float => (new Lengths(new Viewport))->pixels($value, 16.0, 100.0);
        if (in_array(strtolower($value), Shorthands::WIDE, true)) {
            return true;
        }

        return match (true) {
            $name === 'color', str_ends_with($name, '-color') => CssColour::read($value) !== null,
            $name === 'font-size' => isset(self::SIZES[strtolower($value)]) || in_array(strtolower($value), ['smaller', 'larger'], true)
                || ($length($value) ?? -1.0) >= 0.0,
            $name === 'font-weight' => preg_match('/^(?:normal|bold|bolder|lighter|\d{1,4}(?:\.\d+)?)$/iD', $value) === 1,
            $name === 'line-height' => strtolower($value) === 'normal' || is_numeric($value) || $length($value) !== null,
            str_ends_with($name, '-radius') => $length(CssValues::words($value)[0] ?? '') !== null,
            str_starts_with($name, 'padding-') => $length($value) !== null,
            str_ends_with($name, '-width') => in_array(
                $value,
                ['thin', 'medium', 'thick'],
                true,
            ) || $length($value) !== null,
            str_ends_with($name, '-gap'), $name === 'letter-spacing' => $value === 'normal' || $length($value) !== null,
            default => $value !== '',
        };
    }
}
