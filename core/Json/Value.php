<?php

declare(strict_types=1);

namespace Gnomic\Json;

use Stringable;

/** Values whose type nobody vouches for (rows of a database, settings, decoded JSON) as one of a known type, as PHP casts them. */
final class Value
{
    /** Empty where it is no scalar and says nothing as a text. */
    public static function text(mixed $value): string
    {
        return is_scalar($value) || $value instanceof Stringable ? (string) $value : '';
    }

    public static function textOrNull(mixed $value): ?string
    {
        return $value === null ? null : self::text($value);
    }

    /** 0 where it is no scalar. */
    public static function whole(mixed $value): int
    {
        return is_scalar($value) ? (int) $value : 0;
    }

    public static function wholeOrNull(mixed $value): ?int
    {
        return $value === null ? null : self::whole($value);
    }

    /** 0 where it is no scalar. */
    public static function number(mixed $value): float
    {
        return is_scalar($value) ? (float) $value : 0.0;
    }

    /** @return array<string, mixed> nothing where it is no list or object; numbered members are named by their number */
    public static function members(mixed $value): array
    {
        $members = [];
        foreach (is_array($value) || is_object($value) ? (array) $value : [] as $name => $member) {
            $members[(string) $name] = $member;
        }

        return $members;
    }

    /** @return list<mixed> */
    public static function list(mixed $value): array
    {
        return is_array($value) ? array_values($value) : [];
    }

    /** @return list<int> */
    public static function wholes(mixed $value): array
    {
        return array_map(self::whole(...), self::list($value));
    }

    /** @return array<string, string> texts by name */
    public static function named(mixed $value): array
    {
        return array_map(self::text(...), self::members($value));
    }

    /** @return list<string> those of a list that are scalars */
    public static function texts(mixed $value): array
    {
        return array_map(self::text(...), array_values(array_filter(self::list($value), is_scalar(...))));
    }
}
