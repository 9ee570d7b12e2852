<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

use Gnomic\Brief\Brief;
use Gnomic\Edition\Advice\Honesty;

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
     * Entries that the pages offer of all there are: whole hundreds fall off at the old end, so that a new entry moves none of the
     * others to another page.
     *
     * @param  int  $all  entries in all, 0 or more
     */
    public static function offered(int $all): int
    {
        return $all - max(0, intdiv($all + self::SIZE - 1, self::SIZE) - self::MOST) * self::SIZE;
    }

    /**
     * The brief of one of the pages. The figures stand on the newest alone, so that a new rating leaves the others as they are.
     *
     * @param  Brief  $everything  of Honesty::everything()
     */
    public static function brief(Brief $everything, bool $isNewest): Brief
    {
        return $isNewest ? $everything : $everything->with(shape: $everything->shape->with(['head' => []]));
    }

    /**
     * @template T
     *
     * @param  list<T>  $newestFirst  at least as many as are offered of all
     * @param  int|null  $all  entries in all; as many as are given where null
     * @return list<array{name: string, entries: list<T>, newer: string|null, older: string|null}> the newest page first; there is
     *     one, be it empty. Names of files, and of those that stand before and behind
     */
    public static function of(array $newestFirst, ?int $all = null): array
    {
        $all ??= count($newestFirst);
        $offered = self::offered($all);
        $oldestFirst = array_reverse(array_slice($newestFirst, 0, $offered));
        $before = intdiv($all - $offered, self::SIZE);
        $blocks = $oldestFirst === [] ? [[]] : array_map(array_reverse(...), array_chunk($oldestFirst, self::SIZE));
        $last = $before + count($blocks);
        $name = fn (int $number): string => $number === $last ? 'all.html' : "all.$number.html";
        $pages = [];
        foreach (array_reverse($blocks, true) as $index => $entries) {
            $number = $before + $index + 1;
            $pages[] = [
                'name' => $name($number),
                'entries' => $entries,
                'newer' => $number === $last ? null : $name($number + 1),
                'older' => $index === 0 ? null : $name($number - 1),
            ];
        }

        return $pages;
    }
}
