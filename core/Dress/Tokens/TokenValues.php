<?php

declare(strict_types=1);

namespace Gnomic\Dress\Tokens;

use Gnomic\Dress\Colour\CssColour;
use Gnomic\Json\Schema\ObjectSchema;

/** Values of design tokens, in the forms that the format has had: as objects of the module, and as texts of earlier drafts. */
final class TokenValues
{
    /** Names of weights in the format, 8.5. */
    private const WEIGHTS = [
        'thin' => 100, 'hairline' => 100, 'extra-light' => 200, 'ultra-light' => 200, 'light' => 300, 'normal' => 400, 'regular' => 400,
        'book' => 400, 'medium' => 500, 'semi-bold' => 600, 'demi-bold' => 600, 'bold' => 700, 'extra-bold' => 800, 'ultra-bold' => 800,
        'black' => 900, 'heavy' => 900,
    ];

    private const CALLED = ['hsl', 'hwb', 'lab', 'lch', 'oklab', 'oklch'];

    /** @return string|null "#rrggbb", or with two digits more */
    public static function colour(mixed $value): ?string
    {
        $members = ObjectSchema::membersOf($value);
        $colour = is_string($value) ? CssColour::read($value) : null;
        if ($members !== null && is_array($members['components'] ?? null) && is_string($members['colorSpace'] ?? null)) {
            $part = fn (mixed $part): string => is_numeric($part) ? (string) $part : 'none';
            $parts = implode(' ', array_map($part, $members['components']));
            $alpha = is_numeric($members['alpha'] ?? null) ? " / {$members['alpha']}" : '';
            $space = $members['colorSpace'];
            $colour = CssColour::read(in_array($space, self::CALLED, true) ? "$space($parts$alpha)" : "color($space $parts$alpha)");
        }

        return $colour?->toHex();
    }

    /** @return float|null CSS pixels */
    public static function length(mixed $value): ?float
    {
        $members = ObjectSchema::membersOf($value);
        if ($members !== null && is_numeric($members['value'] ?? null)) {
            return (float) $members['value'] * (($members['unit'] ?? 'px') === 'rem' ? 16 : 1);
        }

        return is_string($value) && preg_match('/^(-?[\d.]+)(px|rem|em)?$/D', trim($value), $found) === 1
            ? (float) $found[1] * (in_array($found[2] ?? 'px', ['rem', 'em'], true) ? 16 : 1) : null;
    }

    public static function weight(mixed $value): ?int
    {
        $named = is_string($value) ? self::WEIGHTS[strtolower(str_replace([' ', '_'], '-', $value))] ?? null : null;

        return $named ?? (is_numeric($value) && $value >= 1 && $value <= 1000 ? (int) $value : null);
    }

    /** As CSS writes them. */
    public static function families(mixed $value): ?string
    {
        $all = is_string($value) ? [$value] : (is_array($value) && array_is_list($value) ? array_filter($value, is_string(...)) : []);
        $written = array_map(
            fn (string $family): string => preg_match('/^[\w-]+$|,/', $family) === 1 ? $family : '"'.trim($family, " \"'").'"',
            array_values($all),
        );

        return $written === [] ? null : mb_substr(implode(', ', $written), 0, 200);
    }
}
