<?php

declare(strict_types=1);

namespace Gnomic\Dress\Css;

/** Pieces of a CSS value: what stands between commas or spaces, outside of brackets and strings (CSS Syntax 3, 5.4). */
final class CssValues
{
    /** @return list<string> trimmed; empty ones between commas are kept */
    public static function listed(string $value): array
    {
        return array_map(trim(...), self::split($value, ','));
    }

    /** @return list<string> none of them empty */
    public static function words(string $value): array
    {
        return array_values(array_filter(self::split(strtr($value, "\t\n\r\f", '    '), ' '), fn (string $word): bool => $word !== ''));
    }

    /**
     * What stands before and after the first of a sign that is in no brackets.
     *
     * @return array{string, string|null}
     */
    public static function parted(string $value, string $sign): array
    {
        $parts = self::split($value, $sign);
        $first = array_shift($parts) ?? '';

        return [trim($first), $parts === [] ? null : trim(implode($sign, $parts))];
    }

    /** @return array{string, string}|null name in lower case and what stands in its brackets; null where it is no one function */
    public static function call(string $value): ?array
    {
        if (preg_match('/^(-?[a-z][\w-]*)\((.*)\)$/isD', trim($value), $found) !== 1 || self::closes($found[2])) {
            return null;
        }

        return [strtolower($found[1]), trim($found[2])];
    }

    /** @param  int  $at  place behind a bracket that opens @return int place of the one that closes it; the end where none does */
    public static function closing(string $value, int $at): int
    {
        $depth = 1;
        $length = strlen($value);
        for (; $at < $length; $at++) {
            $depth += match ($value[$at]) {
                '(' => 1,
                ')' => -1,
                default => 0,
            };
            if ($depth === 0) {
                return $at;
            }
        }

        return $length;
    }

    /** Whether a bracket is closed in it that it did not open. */
    private static function closes(string $inside): bool
    {
        $depth = 0;
        foreach (self::marks($inside) as [$mark]) {
            $depth += match ($mark) {
                '(' => 1,
                ')' => -1,
                default => 0,
            };
            if ($depth < 0) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> */
    public static function split(string $value, string $sign): array
    {
        if (! str_contains($value, $sign)) {
            return [$value];
        }
        $parts = [];
        $depth = $from = 0;
        foreach (self::marks($value, $sign) as [$mark, $place]) {
            if ($mark === $sign && $depth === 0) {
                $parts[] = substr($value, $from, $place - $from);
                $from = $place + 1;
            } elseif ($mark !== $sign) {
                $depth = max(0, $depth + (in_array($mark, ['(', '[', '{'], true) ? 1 : -1));
            }
        }
        $parts[] = substr($value, $from);

        return $parts;
    }

    /** @return list<array{string, int}> brackets, and the sign, each with its place; not those in strings */
    private static function marks(string $value, string $sign = ''): array
    {
        $marks = [];
        $pattern = '/"(?:[^"\\\\]|\\\\.)*"?|\'(?:[^\'\\\\]|\\\\.)*\'?|\\\\.|[()\[\]{}'.preg_quote($sign, '/').']/s';
        preg_match_all($pattern, $value, $found, PREG_OFFSET_CAPTURE);
        foreach ($found[0] as [$mark, $place]) {
            if (strlen($mark) === 1) {
                $marks[] = [$mark, $place];
            }
        }

        return $marks;
    }
}
