<?php

declare(strict_types=1);

namespace Gnomic\Dress;

use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\Tokens\TokenValues;
use Gnomic\Json\Schema\ObjectSchema;
use InvalidArgumentException;

/**
 * A look in the form of the Design Tokens Community Group of the W3C (format and colour modules, 2025.10): groups of tokens, each with
 * "$value" and "$type". Reading is patient: colours may be hexadecimal texts as in earlier drafts, and what is not known is told.
 */
final class DesignTokens
{
    private const EXTENSION = 'example.gnomic';

    private const DIMENSIONS = ['corner', 'rule', 'edge', 'gap', 'inset', 'pictureCorner', 'pictureEdge'];

    private const FAMILIES = ['text', 'headings'];

    /** In hundredths here, and a number there. */
    private const HUNDREDTHS = ['size', 'leading', 'glyphSize'];

    /** References to references: longer chains go in a circle. */
    private const DEEP = 20;

    /** @return array<string, mixed> JSON */
    public static function written(Look $look): array
    {
        $tokens = [];
        foreach ($look->tokens->toArray() as $name => $value) {
            if ($value !== null) {
                $tokens[$name] = self::token($name, $value);
            }
        }

        return [
            '$description' => "$look->name. $look->about",
            '$extensions' => [self::EXTENSION => ['name' => $look->name, 'about' => $look->about, 'composition' => $look->composition,
                'scheme' => $look->scheme->value]],
            'light' => ['$type' => 'color'] + self::colours($look->light),
            'dark' => ['$type' => 'color'] + self::colours($look->dark),
            'tokens' => $tokens,
        ];
    }

    /** Whether a file says by our own names what a look is, so that nobody has to be asked which token is which. @param  mixed  $json */
    public static function isOwn(mixed $json): bool
    {
        $file = self::members($json) ?? [];
        foreach (['light', 'dark'] as $group) {
            $members = self::members($file[$group] ?? null) ?? [];
            if (array_diff(Palette::OVER, array_keys($members)) === []) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  mixed  $json  decoded
     * @return array{Look, list<string>} and what was not understood, in words
     *
     * @throws InvalidArgumentException where it is no such file, or a token cannot be so, naming it
     */
    public static function read(string $key, mixed $json): array
    {
        $file = self::members($json) ?? throw new InvalidArgumentException(
            'This is not a design token file: it must be a JSON object.',
        );
        $extension = self::members((self::members($file['$extensions'] ?? null) ?? [])[self::EXTENSION] ?? null) ?? [];
        $said = fn (string $name, string $else): string => is_string($extension[$name] ?? null) ? $extension[$name] : $else;
        $ignored = array_map(
            fn (string|int $name): string => "\"$name\" is not known here and was left out.",
            array_keys(array_diff_key($file, array_flip(['light', 'dark', 'tokens', '$description', '$extensions', '$schema']))),
        );
        $groups = [];
        foreach (['light' => Palette::TOKENS, 'dark' => Palette::TOKENS, 'tokens' => LookTokens::usual()->toArray()] as $group => $known) {
            $members = self::members($file[$group] ?? null);
            if ($members === null) {
                continue;
            }
            $groups[$group] = [];
            foreach ($members as $name => $token) {
                if (str_starts_with((string) $name, '$')) {
                    continue;
                }
                if (! array_key_exists($name, $known)) {
                    $ignored[] = "\"$group.$name\" is not known here and was left out.";

                    continue;
                }
                $groups[$group][$name] = self::value("$group.$name", self::resolved($file, $token, 0), $group !== 'tokens');
            }
        }
        if (! isset($groups['light']) && ! isset($groups['dark'])) {
            throw new InvalidArgumentException('These design tokens have no colours for a widget: a group "light" or "dark" is missing.');
        }

        return [Look::read($key, array_filter($groups) + [
            'name' => mb_substr($said('name', 'Imported look'), 0, 60),
            'about' => mb_substr($said('about', 'From a file of design tokens'), 0, 160),
            'composition' => $said('composition', Look::USUAL),
            'scheme' => $said('scheme', isset($groups['light']) ? 'light' : 'dark'),
        ]), $ignored];
    }

    /** @return array<string, array<string, mixed>> */
    private static function colours(Palette $palette): array
    {
        $colours = [];
        foreach (Palette::TOKENS as $name => $for) {
            $colour = $palette->colour($name);
            if ($colour !== null) {
                $round = fn (float $channel): float => round($channel, 5);
                $colours[$name] = ['$value' => [
                    'colorSpace' => 'srgb',
                    'components' => array_map($round, [$colour->red, $colour->green, $colour->blue]),
                    'alpha' => $round($colour->alpha),
                    'hex' => substr($colour->toHex(), 0, 7),
                ], '$description' => ucfirst($for)];
            }
        }

        return $colours;
    }

    /** @return array<string, mixed> */
    private static function token(string $name, mixed $value): array
    {
        return match (true) {
            in_array($name, self::DIMENSIONS, true) => ['$type' => 'dimension', '$value' => ['value' => $value, 'unit' => 'px']],
            in_array($name, self::FAMILIES, true) && is_string($value) => [
                '$type' => 'fontFamily',
                '$value' => array_map(fn (string $family): string => trim($family, " \"'"), explode(',', $value)),
            ],
            in_array($name, self::HUNDREDTHS, true) && is_int($value) => ['$type' => 'number', '$value' => $value / 100],
            $name === 'weight' => ['$type' => 'fontWeight', '$value' => $value],
            is_int($value) => ['$type' => 'number', '$value' => $value],
            default => ['$type' => 'string', '$value' => $value],
        };
    }

    /**
     * A token, or what it refers to as "{group.token}".
     *
     * @param  array<array-key, mixed>  $file
     */
    private static function resolved(array $file, mixed $token, int $depth): mixed
    {
        $value = self::members($token)['$value'] ?? throw new InvalidArgumentException('A token has no "$value".');
        if (! is_string($value) || preg_match('/^\{([^{}]+)\}$/D', $value, $found) !== 1) {
            return $value;
        }
        if ($depth > self::DEEP) {
            throw new InvalidArgumentException("The reference $value is circular.");
        }
        $at = $file;
        foreach (explode('.', $found[1]) as $name) {
            $at = (self::members($at) ?? [])[$name] ?? throw new InvalidArgumentException("The reference $value does not exist.");
        }

        return self::resolved($file, $at, $depth + 1);
    }

    private static function value(string $name, mixed $value, bool $isColour): mixed
    {
        $own = substr((string) strstr($name, '.'), 1);
        if ($isColour) {
            return self::colour($name, $value);
        }
        $members = self::members($value);
        if ($members !== null && isset($members['value'])) {
            $number = is_numeric($members['value']) ? (float) $members['value'] : 0.0;
            $value = (int) round(($members['unit'] ?? 'px') === 'rem' ? 16 * $number : $number);
        }
        if (is_string($value) && in_array($own, self::DIMENSIONS, true) && preg_match('/^([\d.]+)(px|rem)$/D', $value, $found) === 1) {
            $value = (int) round($found[2] === 'rem' ? 16 * (float) $found[1] : (float) $found[1]);
        }
        if (is_array($value) && array_is_list($value)) {
            $value = implode(', ', array_map(
                fn (mixed $family): string => is_string($family) ? (str_contains($family, ' ') ? "\"$family\"" : $family) : '',
                $value,
            ));
        }

        return in_array($own, self::HUNDREDTHS, true) && is_numeric($value) ? (int) round(100 * (float) $value) : $value;
    }

    private static function colour(string $name, mixed $value): string
    {
        return TokenValues::colour($value)
            ?? throw new InvalidArgumentException("The token \"$name\" is not a colour that Gnomic understands.");
    }

    /** @return array<array-key, mixed>|null */
    private static function members(mixed $value): ?array
    {
        return ObjectSchema::membersOf($value);
    }
}
