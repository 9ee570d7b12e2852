<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Sift\Clauses\InLanguages;

/**
 * The order of the entries that passed: pins first, in their own order; then, where the brief says so, those in the language
 * of the page; then by the brief's order, with date (newest first, undated last) and identifier (by bytes) between equals.
 * Unrated ones come last when ordered by rating, those without likes last when ordered by likes.
 */
final readonly class Ranking
{
    public function __construct(private Criteria $wanted, private SiteContext $site, public Balance $balance)
    {
    }

    public static function of(Criteria $wanted, SiteContext $site, Tally $tally): self
    {
        return new self($wanted, $site, new Balance($wanted->weights, Certainty::of($tally->rated()), $site->midnight()));
    }

    /** @param  list<Facts>  $entries */
    public function ordered(array $entries): Ordered
    {
        $pins = array_flip($this->wanted->pins);
        $keys = [];
        foreach ($entries as $index => $entry) {
            $pin = $pins[$entry->id] ?? $pins["$entry->source:$entry->id"] ?? PHP_INT_MAX;
            $keys[$index] = [$pin, $this->group($entry), ...$this->key($entry), "=$entry->source"];
        }
        uksort($entries, fn (int $a, int $b): int => $keys[$a] <=> $keys[$b]);

        return $this->inTurns(array_values($entries));
    }

    /**
     * The balanced order's choosing among the first of those ordered by base; any other order stays as it is.
     *
     * @param  list<Facts>  $entries
     */
    public function inTurns(array $entries): Ordered
    {
        if ($this->wanted->order !== Order::Balanced) {
            return new Ordered($entries);
        }
        $pinned = count(array_filter($entries, fn (Facts $entry): bool => $entry->isAmong($this->wanted->pins)));
        $limit = $this->wanted->limits->most;
        $pool = array_slice($entries, $pinned, Balance::pool($limit));
        $chosen = $this->balance->chosen(array_slice($entries, 0, $pinned), $pool, $limit, $this->group(...));
        $variety = array_combine(array_map(fn (array $one): string => $one[0]->key(), $chosen), array_column($chosen, 1));

        return new Ordered([
            ...array_slice($entries, 0, $pinned),
            ...array_column($chosen, 0),
            ...array_values(array_filter($pool, fn (Facts $entry): bool => ! isset($variety[$entry->key()]))),
            ...array_slice($entries, $pinned + count($pool)),
        ], $variety);
    }

    /** 0 for those in the language of the page, where they come first. */
    private function group(Facts $entry): int
    {
        $language = $this->pageLanguage();

        return $language === null || ($entry->language !== null && strtok($entry->language, '-') === $language) ? 0 : 1;
    }

    private function pageLanguage(): ?string
    {
        $language = InLanguages::pageFirst($this->wanted) ? strtok(strtolower((string) $this->site->language), '-') : false;

        return $language === false ? null : $language;
    }

    /** @return list<int|float|string> */
    private function key(Facts $entry): array
    {
        $newest = [$entry->published === null ? 1 : 0, -($entry->published ?? 0), "=$entry->id"];
        $unrated = $entry->stars === null ? 1 : 0;

        return match ($this->wanted->order) {
            Order::Newest => $newest,
            Order::Oldest => [$newest[0], -$newest[1], "=$entry->id"],
            Order::Highest => [$unrated, -($entry->stars ?? 0.0), ...$newest],
            Order::Lowest => [$unrated, $entry->stars ?? 0.0, ...$newest],
            Order::Liked => [-($entry->likes ?? -1), ...$newest],
            Order::Longest => [-$entry->length, ...$newest],
            Order::Shuffled => [$this->shuffleKey()->place($entry->shuffleKey()), "=$entry->id"],
            Order::Balanced => [-$this->balance->base($entry), ...$newest],
        };
    }

    /** What chance is drawn from: the day at the site, one of the orders made ahead, or ever the same. */
    public function shuffleKey(): ShuffleKey
    {
        return ShuffleKey::drawnFrom(match ($this->wanted->shuffle) {
            Shuffle::Day => $this->site->day(),
            Shuffle::Visit => 'visit '.$this->site->visit,
            Shuffle::Fixed => 'fixed',
        });
    }

    /** Whether some come before others by their language. */
    public function hasPageLanguage(): bool
    {
        return $this->pageLanguage() !== null;
    }

    /** The order of all but pins in SQL; the choosing of the balanced one comes after. */
    public function sql(): Condition
    {
        // Where an order descends, SQLite puts what is not known last.
        $newest = 'published DESC, ref';
        $order = match ($this->wanted->order) {
            Order::Newest => new Condition($newest),
            Order::Oldest => new Condition('published IS NULL, published, ref'),
            Order::Highest => new Condition("stars DESC, $newest"),
            Order::Lowest => new Condition("stars IS NULL, stars, $newest"),
            Order::Liked => new Condition("COALESCE(likes, -1) DESC, $newest"),
            Order::Longest => new Condition("length DESC, $newest"),
            Order::Shuffled => new Condition($this->shuffleKey()->sql().', ref'),
            Order::Balanced => new Condition($this->balance->sql()->sql." DESC, $newest", $this->balance->sql()->bindings),
        };
        $language = $this->pageLanguage();
        if ($language !== null) {
            $order = new Condition(
                '(CASE WHEN language = ? OR SUBSTR(language, 1, ?) = ? THEN 0 ELSE 1 END), '.$order->sql,
                [$language, strlen($language) + 1, "$language-", ...$order->bindings],
            );
        }

        return $order;
    }
}
