<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Brief\Brief;
use Gnomic\Brief\Order;

/**
 * The order of the entries that passed: pins first, in their own order; then by the brief's order, with date (newest
 * first, undated last) and identifier (by bytes) between equals. Unrated ones come last when ordered by rating.
 */
final readonly class Ranking
{
    /** @param  string  $seed of the day, for an order by chance */
    public function __construct(private Brief $brief, private string $seed)
    {
    }

    /**
     * @param  list<Facts>  $entries
     * @return list<Facts>
     */
    public function ordered(array $entries): array
    {
        $pins = array_flip($this->brief->pins);
        $keys = [];
        foreach ($entries as $index => $entry) {
            $keys[$index] = [$pins[$entry->id] ?? PHP_INT_MAX, ...$this->key($entry)];
        }
        uksort($entries, fn (int $a, int $b): int => $keys[$a] <=> $keys[$b]);

        return array_values($entries);
    }

    /** @return list<int|float|string> */
    private function key(Facts $entry): array
    {
        $newest = [$entry->published === null ? 1 : 0, -($entry->published ?? 0)];
        $unrated = $entry->stars === null ? 1 : 0;

        return match ($this->brief->order) {
            Order::Newest => [...$newest, "=$entry->id"],
            Order::Oldest => [$newest[0], -$newest[1], "=$entry->id"],
            Order::Highest => [$unrated, -($entry->stars ?? 0.0), ...$newest, "=$entry->id"],
            Order::Lowest => [$unrated, $entry->stars ?? 0.0, ...$newest, "=$entry->id"],
            Order::Shuffled => [self::lot($this->seed, $entry->id)],
        };
    }

    /** The place that chance gives an entry on a day: a hash, so that it needs no memory and no entry moves another. */
    public static function lot(string $seed, string $id): string
    {
        return hash('xxh128', "$seed\n$id");
    }

    /** The same order in SQL; null where only lot() can tell. The pins' part has their identifiers bound. */
    public function sql(): ?Condition
    {
        $newest = 'published IS NULL, published DESC';
        $rest = match ($this->brief->order) {
            Order::Newest => "$newest, ref",
            Order::Oldest => 'published IS NULL, published, ref',
            Order::Highest => "stars IS NULL, stars DESC, $newest, ref",
            Order::Lowest => "stars IS NULL, stars, $newest, ref",
            Order::Shuffled => null,
        };
        if ($rest === null) {
            return null;
        }
        $cases = '';
        foreach (array_keys($this->brief->pins) as $place) {
            $cases .= " WHEN ? THEN $place";
        }

        return new Condition($cases === '' ? $rest : 'CASE ref'.$cases.' ELSE '.PHP_INT_MAX." END, $rest", $this->brief->pins);
    }
}
