<?php

declare(strict_types=1);

namespace App\Sift;

use App\Models\Entry;
use App\Models\Site;
use Gnomic\Brief\Brief;
use Gnomic\Brief\Sentence;
use Gnomic\Entry\Entry as CoreEntry;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Ranking;
use Gnomic\Sift\Selection;
use Gnomic\Sift\Sieve;
use Gnomic\Sift\Step;
use Gnomic\Sift\Tally;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * A brief's sieve over a site's stored entries, by the database and one covering index: counts by classes of entries,
 * choices by the clauses' own SQL. Held equal to Gnomic\Sift\Sifting by test.
 */
final class SiteSieve
{
    public function selection(Site $site, Brief $brief, string $seed, ?Tally $tally = null): Selection
    {
        $sieve = Sieve::of($brief);
        $steps = ($tally ?? $this->tally($site, $brief))->account($sieve);
        $shown = $this->passing($site, $sieve, $seed, 0, $brief->limit);
        $steps[] = new Step('shown', Sentence::limit($brief), count($shown), $steps[count($steps) - 1]->kept - count($shown));

        return new Selection($shown, $steps);
    }

    /**
     * All that a site collected, counted by what a brief can ask: one walk along the index, in its own order, however
     * many clauses there are. Entries picked by hand are taken out of their classes and stand alone.
     */
    public function tally(Site $site, Brief $brief): Tally
    {
        $counts = [];
        $rows = $this->collected($site)->groupBy('source', 'kind', 'gone', 'hidden', 'told_by', 'stars')
            ->selectRaw('source, kind, gone, hidden, told_by, stars, COUNT(*) AS times, SUM(length > 0) AS worded')->get();
        foreach ($rows as $row) {
            $of = fn (int $length): Facts => new Facts('', (string) $row->source, (string) $row->kind, $row->stars === null ? null : (float) $row->stars,
                $length, null, (bool) $row->gone, (bool) $row->hidden, Entry::sourcesIn($row->told_by));
            $counts[self::classOf($of(1))] = [$of(1), (int) $row->worded];
            $counts[self::classOf($of(0))] = [$of(0), (int) $row->times - (int) $row->worded];
        }
        $picked = [];
        foreach ($this->facts($site, [...$brief->pins, ...$brief->hidden]) as $entry) {
            $counts[self::classOf($entry)][1]--;
            $picked[] = [$entry, 1];
        }

        return new Tally([...array_values($counts), ...$picked]);
    }

    /**
     * The references behind one number of the sieve.
     *
     * @param  string  $step  a step's key
     * @param  bool  $kept  those that the step left, or those that it kept out
     * @return list<string>
     */
    public function behind(Site $site, Brief $brief, string $seed, string $step, bool $kept, int $offset, int $count): array
    {
        $sieve = Sieve::of($brief);
        if ($step === 'shown') {
            return $kept
                ? $this->passing($site, $sieve, $seed, $offset, max(0, min($count, $brief->limit - $offset)))
                : $this->passing($site, $sieve, $seed, $brief->limit + $offset, $count);
        }
        $query = $this->collected($site);
        foreach ($sieve->clauses as $clause) {
            $condition = $sieve->condition($clause);
            $isStep = $clause->key() === $step;
            $condition = $isStep && ! $kept ? $condition->not() : $condition;
            if ($step !== 'collected') {
                $query->whereRaw($condition->sql, $condition->bindings);
            }
            if ($isStep) {
                break;
            }
        }
        if ($step === 'collected' && ! $kept) {
            return [];
        }

        return self::refs($query->orderByRaw('published IS NULL, published DESC, ref')->offset($offset)->limit($count));
    }

    /**
     * @param  list<string>  $refs
     * @return list<CoreEntry> in the order of the references
     */
    public function entries(Site $site, array $refs): array
    {
        $found = Entry::ofRefs($site, $refs);

        return array_values(array_filter(array_map(fn (string $ref): ?CoreEntry => ($found[$ref] ?? null)?->toCore(), $refs)));
    }

    /** @return list<string> */
    private function passing(Site $site, Sieve $sieve, string $seed, int $offset, int $count): array
    {
        if ($count === 0) {
            return [];
        }
        $query = $this->collected($site);
        foreach ($sieve->clauses as $clause) {
            $condition = $sieve->condition($clause);
            $query->whereRaw($condition->sql, $condition->bindings);
        }
        $order = (new Ranking($sieve->brief, $seed))->sql();
        if ($order !== null) {
            return self::refs($query->orderByRaw($order->sql, $order->bindings)->offset($offset)->limit($count));
        }

        return $this->byLot($query, $sieve, $seed, $offset, $count);
    }

    /**
     * Chance is a hash that the database does not know: the references come out and are ordered here.
     *
     * @return list<string>
     */
    private function byLot(Builder $query, Sieve $sieve, string $seed, int $offset, int $count): array
    {
        $pins = array_flip($sieve->brief->pins);
        $places = [];
        foreach (self::refs($query) as $ref) {
            $places[$ref] = isset($pins[$ref]) ? sprintf('!%05d', $pins[$ref]) : Ranking::lot($seed, $ref);
        }
        asort($places, SORT_STRING);

        return array_map(strval(...), array_slice(array_keys($places), $offset, $count));
    }

    /** @return list<string> */
    private static function refs(Builder $query): array
    {
        return array_map(strval(...), $query->pluck('ref')->all());
    }

    private function collected(Site $site): Builder
    {
        return DB::table('entries')->where('site_id', $site->id);
    }

    private static function classOf(Facts $entry): string
    {
        return implode("\n", [$entry->source, $entry->kind, (int) $entry->gone, (int) $entry->hidden, implode('|', $entry->toldBy), $entry->stars ?? '-', (int) ($entry->length > 0)]);
    }

    /**
     * @param  list<string>  $refs
     * @return list<Facts>
     */
    private function facts(Site $site, array $refs): array
    {
        if ($refs === []) {
            return [];
        }
        $rows = $this->collected($site)->whereIn('ref', array_values(array_unique($refs)))
            ->get(['ref', 'source', 'kind', 'stars', 'length', 'published', 'gone', 'hidden', 'told_by']);

        return array_map(fn (object $row): Facts => new Facts((string) $row->ref, (string) $row->source, (string) $row->kind, $row->stars === null ? null : (float) $row->stars,
            (int) $row->length, $row->published === null ? null : (int) $row->published, (bool) $row->gone, (bool) $row->hidden, Entry::sourcesIn($row->told_by)), $rows->all());
    }
}
