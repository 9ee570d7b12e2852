<?php

declare(strict_types=1);

namespace Gnomic\Gather\Matching;

use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;

/**
 * Tells whether two readings of an entry are the same. A digest is of the members that its version lists, so that entries stored
 * before the common form had another member are not taken for edited. A list is never changed: a new member needs a new version,
 * under which stored entries are read again once, without a revision.
 */
final class Digest
{
    /** Each member of the first version, null or not; those that have members of their own, with these. */
    private const FIRST = [
        'id' => [], 'kind' => [], 'source' => [], 'subject' => [], 'url' => [], 'author' => ['name', 'role', 'place', 'url', 'image'],
        'rating' => ['value', 'best', 'worst', 'stars'], 'title' => [], 'text' => [], 'html' => [], 'language' => [], 'published' => [],
        'updated' => [], 'reply' => ['text', 'published'], 'media' => ['type', 'url', 'width', 'height', 'alt'], 'tags' => [],
        'likes' => [], 'comments' => [],
    ];

    /** With what sources say of having made sure, of other languages, and of what was said under it. */
    private const THIRD = ['media' => ['type', 'url', 'width', 'height', 'alt', 'seconds']] + self::FIRST + [
        'verified' => [], 'translation' => ['text', 'language'], 'said' => ['author', 'text', 'published'],
    ];

    /** @var array<int, array<string, list<string>>> what each version speaks of; from the second on, defaults are left out */
    private const VERSIONS = [1 => self::FIRST, 2 => self::FIRST, 3 => self::THIRD];

    private const NEWEST = 3;

    /** Members that are lists of objects. */
    private const LISTS = ['media', 'said'];

    /** By the newest version: "3." and 32 hexadecimal digits. */
    public static function of(Entry $entry): string
    {
        return self::version(self::NEWEST, EntryJson::write($entry));
    }

    /** Whether a stored digest, of whatever version, is of this reading. */
    public static function agrees(string $stored, Entry $entry): bool
    {
        return self::version(self::versionOf($stored), EntryJson::write($entry)) === $stored;
    }

    public static function isNewest(string $stored): bool
    {
        return self::versionOf($stored) === self::NEWEST;
    }

    /** @return list<string> what the newest version speaks of, as "author.name" */
    public static function members(): array
    {
        $members = [];
        foreach (self::VERSIONS[self::NEWEST] as $name => $inner) {
            $members = [...$members, ...($inner === [] ? [$name] : array_map(fn (string $one): string => "$name.$one", $inner))];
        }

        return $members;
    }

    /** Digests of the first version have no number before them. */
    private static function versionOf(string $stored): int
    {
        $version = (int) strstr($stored, '.', true);

        return isset(self::VERSIONS[$version]) ? $version : 1;
    }

    /** @param  array<string, mixed>  $written */
    private static function version(int $version, array $written): string
    {
        $of = [];
        foreach (self::VERSIONS[$version] as $name => $inner) {
            $value = $written[$name] ?? null;
            if ($inner !== [] && is_array($value)) {
                $value = in_array($name, self::LISTS, true)
                    ? array_map(fn (mixed $one): array => self::only($inner, is_array($one) ? $one : []), $value)
                    : self::only($inner, $value);
            }
            $of[$name] = $value;
        }
        $isSaid = fn (mixed $value): bool => $value !== null && $value !== '' && $value !== [] && $value !== false;
        $json = json_encode($version === 1 ? $of : array_filter($of, $isSaid), JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE);

        return ($version === 1 ? '' : "$version.").hash('xxh128', $json);
    }

    /**
     * @param  list<string>  $members
     * @param  array<array-key, mixed>  $of
     * @return array<string, mixed> in the order of the list
     */
    private static function only(array $members, array $of): array
    {
        $only = [];
        foreach ($members as $name) {
            $only[$name] = $of[$name] ?? null;
        }

        return $only;
    }
}
