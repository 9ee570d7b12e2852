<?php

declare(strict_types=1);

namespace Gnomic\Dress\Tokens;

use Gnomic\Json\Schema\ObjectSchema;

/** What values of design tokens refer to: "{group.token}", or {"$ref": "#/group/token"} by JSON Pointer (RFC 6901). */
final class References
{
    /** References to references. */
    private const DEEP = 24;

    /**
     * @param  array<array-key, mixed>  $file
     * @param  string|null  $type  null: the one that what is referred to has
     * @return array{mixed, string|null} a value that refers to nothing, and its type; null where there is none at the end
     */
    public static function resolved(array $file, mixed $value, ?string $type): array
    {
        for ($turn = 0; ($names = self::names($value)) !== null; $turn++) {
            if ($turn > self::DEEP) {
                return [null, $type];
            }
            $value = $file;
            foreach ($names as $name) {
                $members = is_array($value) ? $value : ObjectSchema::membersOf($value) ?? [];
                $type ??= self::type($members);
                $value = $members[$name] ?? null;
            }
            $token = ObjectSchema::membersOf($value) ?? [];
            $type ??= self::type($token);
            $value = self::value($token) ?? $value;
        }

        return [$value, $type];
    }

    /** @param  array<array-key, mixed>  $token  @return mixed what it is, or refers to; null where it is no token */
    public static function value(array $token): mixed
    {
        return $token['$value'] ?? (isset($token['$ref']) ? ['$ref' => $token['$ref']] : $token['value'] ?? null);
    }

    /** @param  array<array-key, mixed>  $members */
    private static function type(array $members): ?string
    {
        return is_string($members['$type'] ?? null) ? $members['$type'] : null;
    }

    /** @return list<string>|null the way to what is referred to; null where nothing is */
    private static function names(mixed $value): ?array
    {
        if (is_string($value)) {
            return preg_match('/^\{([^{}]+)\}$/D', trim($value), $found) === 1 ? explode('.', $found[1]) : null;
        }
        $pointer = (ObjectSchema::membersOf($value) ?? [])['$ref'] ?? null;

        if (! is_string($pointer) || ! str_starts_with($pointer, '#/')) {
            return null;
        }
        $name = fn (string $written): string => strtr(rawurldecode($written), ['~1' => '/', '~0' => '~']);

        return array_map($name, explode('/', substr($pointer, 2)));
    }
}
