<?php

declare(strict_types=1);

namespace Gnomic\Dress\Tokens;

use Gnomic\Json\Schema\ObjectSchema;
use InvalidArgumentException;

/**
 * A file of design tokens made elsewhere (Design Tokens Community Group of the W3C, format and colour modules, 2025.10): groups as deep as
 * they are, types that groups pass on, references, composite types part by part, and modes by the names of groups or in extensions. What a
 * group takes over from another is not read.
 */
final readonly class ForeignTokens
{
    /** Tokens, and groups in groups. */
    private const MOST = 4_000;

    private const DEEP = 24;

    /** Words of groups that say for which of two schemes they are. */
    private const MODES = ['dark' => 'dark', 'night' => 'dark', 'light' => 'light', 'day' => 'light'];

    /**
     * @param  list<ForeignToken>  $tokens
     * @param  list<string>  $left  what of the file can be of no use, in words
     */
    private function __construct(public array $tokens, public array $left)
    {
    }

    /**
     * @param  mixed  $json  decoded
     *
     * @throws InvalidArgumentException where it is no such file, or has nothing that a look can use
     */
    public static function read(mixed $json): self
    {
        $file = self::members($json) ?? throw new InvalidArgumentException('This is not a design token file: it must be a JSON object.');
        [$tokens, $left] = [[], []];
        self::group($file, $file, '', null, null, 0, $tokens, $left);
        if ($tokens === []) {
            throw new InvalidArgumentException(
                'This file has no design tokens that a look can use: no "$value" of a colour, a size or a font.',
            );
        }

        return new self($tokens, array_values($left));
    }

    /**
     * @param  array<array-key, mixed>  $file
     * @param  array<array-key, mixed>  $group
     * @param  list<ForeignToken>  $tokens
     * @param  array<array-key, string>  $left
     */
    private static function group(
        array $file,
        array $group,
        string $path,
        ?string $type,
        ?string $mode,
        int $depth,
        array &$tokens,
        array &$left,
    ): void {
        if ($depth > self::DEEP || count($tokens) >= self::MOST) {
            $left['most'] = 'What comes after '.number_format(self::MOST).' tokens, or is in more than '
                .self::DEEP.' groups, was left out.';

            return;
        }
        $own = $group['$type'] ?? $group['type'] ?? null;
        $type = is_string($own) ? $own : $type;
        $isEarlier = isset($group['value']) && self::members($group['value']) === null;
        if (array_key_exists('$value', $group) || isset($group['$ref']) || $isEarlier) {
            self::token($file, $group, $path, $type, $mode, $tokens, $left);

            return;
        }
        if (isset($group['$extends'])) {
            $left[] = "\"$path\" has what it has of its own: what it takes over from another group was left out.";
        }
        foreach ($group as $name => $inner) {
            $name = (string) $name;
            // The one token that a group is by itself.
            $members = str_starts_with($name, '$') && $name !== '$root' ? null : self::members($inner);
            if ($members !== null) {
                self::group(
                    $file,
                    $members,
                    ltrim("$path.$name", '.'),
                    $type,
                    self::MODES[mb_strtolower($name)] ?? $mode,
                    $depth + 1,
                    $tokens,
                    $left,
                );
            }
        }
    }

    /**
     * @param  array<array-key, mixed>  $file
     * @param  array<array-key, mixed>  $token
     * @param  list<ForeignToken>  $tokens
     * @param  array<array-key, string>  $left
     */
    private static function token(
        array $file,
        array $token,
        string $path,
        ?string $type,
        ?string $mode,
        array &$tokens,
        array &$left,
    ): void {
        $values = [[$mode, References::value($token)]];
        foreach (self::modes($token) as $name => $value) {
            $known = self::MODES[mb_strtolower($name)] ?? null;
            if ($known === null) {
                $left[] = "\"$path\" in the mode \"$name\" was left out: only light and dark are known here.";
            } else {
                $values[] = [$known, $value];
            }
        }
        foreach ($values as [$in, $value]) {
            $found = self::values($file, $path, $type, $value, 0);
            if ($found === []) {
                $left[] = "\"$path\" was left out: ".($type === null ? 'it says no type' : "a look has nothing of the type \"$type\"").'.';
            }
            foreach ($found as [$name, $kind, $one]) {
                $tokens[] = new ForeignToken($name, $kind, $one, $in);
            }
        }
    }

    /**
     * Values by mode, as extensions have them.
     *
     * @param  array<array-key, mixed>  $token
     * @return array<string, mixed>
     */
    private static function modes(array $token): array
    {
        $modes = [];
        foreach (self::members($token['$extensions'] ?? null) ?? [] as $name => $extension) {
            $members = self::members($extension);
            $isOne = in_array($name, ['mode', 'modes'], true);
            $inner = $members === null || $isOne ? $members : self::members($members['modes'] ?? null);
            foreach ($inner ?? [] as $mode => $value) {
                $modes[(string) $mode] = self::members($value)['$value'] ?? $value;
            }
        }

        return $modes;
    }

    /**
     * @param  array<array-key, mixed>  $file
     * @return list<array{string, 'colour'|'length'|'number'|'weight'|'family'|'shadow', string|float}>
     */
    private static function values(array $file, string $path, ?string $type, mixed $value, int $depth): array
    {
        [$value, $type] = References::resolved($file, $value, $type);
        if ($depth > 2 || $value === null) {
            return [];
        }
        $part = fn (string $name, string $of): array => self::values(
            $file,
            "$path.$name",
            $of,
            (self::members($value) ?? [])[$name] ?? null,
            $depth + 1,
        );

        return match (strtolower((string) $type)) {
            'typography' => [...$part('fontFamily', 'fontFamily'), ...$part('fontSize', 'dimension'), ...$part('fontWeight', 'fontWeight'),
                ...$part('lineHeight', 'number'), ...$part('letterSpacing', 'dimension')],
            'border' => [...$part('color', 'color'), ...$part('width', 'dimension')],
            'gradient' => self::gradient($file, $path, $value, $depth),
            'shadow' => self::shadow($file, $path, $value, $depth),
            default => self::plain($path, (string) $type, $value),
        };
    }

    /** @return list<array{string, 'colour'|'length'|'number'|'weight'|'family'|'shadow', string|float}> */
    private static function plain(string $path, string $type, mixed $value): array
    {
        $colour = in_array($type, ['color', ''], true) ? TokenValues::colour($value) : null;
        $length = TokenValues::length($value);

        return match (true) {
            $colour !== null => [[$path, 'colour', $colour]],
            $type === 'fontFamily' && TokenValues::families($value) !== null => [[$path, 'family', TokenValues::families($value)]],
            $type === 'fontWeight' && TokenValues::weight($value) !== null => [[$path, 'weight', (float) TokenValues::weight($value)]],
            $type === 'number' && is_numeric($value) => [[$path, 'number', (float) $value]],
            in_array($type, ['dimension', ''], true) && $length !== null => [[$path, 'length', $length]],
            default => [],
        };
    }

    /**
     * @param  array<array-key, mixed>  $file
     * @return list<array{string, 'colour'|'length'|'number'|'weight'|'family'|'shadow', string|float}>
     */
    private static function gradient(array $file, string $path, mixed $value, int $depth): array
    {
        $stops = is_array($value) ? array_values($value) : [];
        $colour = fn (mixed $stop): mixed => (self::members($stop) ?? [])['color'] ?? null;

        return count($stops) < 2 ? [] : [
            ...self::values($file, "$path.from", 'color', $colour($stops[0]), $depth + 1),
            ...self::values($file, "$path.to", 'color', $colour($stops[count($stops) - 1]), $depth + 1),
        ];
    }

    /**
     * @param  array<array-key, mixed>  $file
     * @return list<array{string, 'colour'|'length'|'number'|'weight'|'family'|'shadow', string|float}>
     */
    private static function shadow(array $file, string $path, mixed $value, int $depth): array
    {
        $most = null;
        foreach (is_array($value) && array_is_list($value) ? $value : [$value] as $one) {
            $blur = self::values($file, $path, 'dimension', (self::members($one) ?? [])['blur'] ?? null, $depth + 1);
            $most = $blur === [] ? $most : max((float) $blur[0][2], $most ?? 0.0);
        }

        return $most === null ? [] : [[$path, 'shadow', $most]];
    }

    /** @return array<array-key, mixed>|null */
    private static function members(mixed $value): ?array
    {
        return ObjectSchema::membersOf($value);
    }
}
