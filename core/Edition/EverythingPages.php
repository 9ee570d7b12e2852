<?php

declare(strict_types=1);

namespace Gnomic\Edition;

/**
 * Everything in pages of a hundred. They are counted from the oldest, so that a new entry changes the newest page and leaves the others
 * as they are; the newest is the one that people come to first.
 */
final readonly class EverythingPages
{
    public const SIZE = 100;

    /** Pages that are made; entries beyond are told. */
    public const MOST = 200;

    /**
     * @template T
     *
     * @param  list<T>  $newestFirst
     * @return list<array{name: string, entries: list<T>, newer: string|null, older: string|null}> the newest page first; there is
     *     one, be it
     *     empty. Names of files, and of those that stand before and behind
     */
    public static function of(array $newestFirst): array
    {
        $blocks = array_map(array_reverse(...), array_chunk(array_reverse($newestFirst), self::SIZE));
        $last = max(1, count($blocks));
        $name = fn (int $number): string => $number === $last ? 'all.html' : "all.$number.html";
        $pages = [];
        for ($number = $last; $number > max(0, $last - self::MOST); $number--) {
            $pages[] = [
                'name' => $name($number),
                'entries' => $blocks[$number - 1] ?? [],
                'newer' => $number === $last ? null : $name($number + 1),
                'older' => $number <= max(1, $last - self::MOST + 1) ? null : $name($number - 1),
            ];
        }

        return $pages;
    }
}
