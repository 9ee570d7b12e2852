<?php

declare(strict_types=1);

namespace App\Editions;

/** Where style sheets ask for custom properties: var(--name), and what holds where there is none of that name. */
final class StyleReferences
{
    private const REFERENCE = '/var\(--([\w-]+)(?:,((?:[^()]++|\((?2)\))*+))?\)/';

    /** @return list<array{string, string|null}> names, and what holds without; those in what holds without are not looked for */
    public static function in(string $css): array
    {
        if (! str_contains($css, 'var(')) {
            return [];
        }
        preg_match_all(self::REFERENCE, $css, $found, PREG_SET_ORDER);

        return array_map(fn (array $one): array => [$one[1], $one[2] ?? null], $found);
    }

    /** @param  callable(string, string|null): string  $by  what stands for a name, and what holds without */
    public static function replaced(string $css, callable $by): string
    {
        return ! str_contains($css, 'var(') ? $css : (string) preg_replace_callback(
            self::REFERENCE,
            fn (array $one): string => $by($one[1], $one[2] ?? null),
            $css,
        );
    }
}
