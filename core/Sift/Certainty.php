<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Standing\WilsonInterval;

/**
 * How sure it is that a rating is what people give there: the lower bound, at 95 in 100, of the share of its source's
 * ratings with the same whole stars (Wilson 1927). One among few is unsure, and so is one that hardly anybody else gave.
 */
final readonly class Certainty
{
    /**
     * @param  array<string, array<int, array{int, int, int}>>  $table  of 1000, how many gave it, of how many; by source and whole stars
     */
    private function __construct(private array $table)
    {
    }

    /** @param  iterable<array{stars: float, count: int, source: string}>  $rated */
    public static function of(iterable $rated): self
    {
        $counts = [];
        foreach ($rated as ['stars' => $stars, 'count' => $count, 'source' => $source]) {
            $counts[$source][self::whole($stars)] = ($counts[$source][self::whole($stars)] ?? 0) + $count;
        }
        $table = [];
        foreach ($counts as $source => $classes) {
            $all = array_sum($classes);
            foreach ($classes as $class => $count) {
                $table[$source][$class] = [(int) (1000 * WilsonInterval::at95Percent($count, $all)->lower), $count, $all];
            }
        }

        return new self($table);
    }

    /** @return int 0 to 1000; 0 where it is not rated */
    public function part(Facts $entry): int
    {
        return $this->found($entry)[0];
    }

    /** "62 of 98 there gave five stars". Null where it is not rated. */
    public function told(Facts $entry): ?string
    {
        [, $count, $all] = $this->found($entry);

        return $entry->stars === null
            ? null
            : "$count of $all there gave ".self::whole($entry->stars).(self::whole($entry->stars) === 1 ? ' star' : ' stars');
    }

    public function sql(): Condition
    {
        $sql = '';
        $bindings = [];
        foreach ($this->table as $source => $classes) {
            $sql .= ' WHEN ? THEN CASE MAX(1, MIN(5, CAST(stars AS INTEGER)))';
            $bindings[] = (string) $source;
            foreach ($classes as $class => [$part]) {
                $sql .= " WHEN $class THEN $part";
            }
            $sql .= ' ELSE 0 END';
        }

        return $sql === ''
            ? new Condition('0')
            : new Condition("(CASE WHEN stars IS NULL THEN 0 ELSE CASE source$sql ELSE 0 END END)", $bindings);
    }

    /** @return array{int, int, int} */
    private function found(Facts $entry): array
    {
        return $entry->stars === null ? [0, 0, 0] : $this->table[$entry->source][self::whole($entry->stars)] ?? [0, 0, 0];
    }

    private static function whole(float $stars): int
    {
        return max(1, min(5, (int) floor($stars)));
    }
}
