<?php

declare(strict_types=1);

namespace App\Sift;

use App\Models\Entry;
use App\Models\Site;
use Gnomic\Brief\Brief;
use Gnomic\Brief\Sentence;
use Gnomic\Entry\Entry as CoreEntry;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Ranking;
use Gnomic\Sift\Selection;
use Gnomic\Sift\Sieve;
use Gnomic\Sift\Step;
use Gnomic\Standing\Overall;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * A brief's sieve over a site's stored entries, by the database: the clauses' own SQL over one covering index. Held equal
 * to Gnomic\Sift\Sifting by test.
 */
final class SiteSieve
{
    public function selection(Site $site, Brief $brief, string $seed): Selection
    {
        $sieve = Sieve::of($brief);
        $query = $this->collected($site)->selectRaw('COUNT(*) AS c0');
        $passed = new Condition('1');
        foreach ($sieve->clauses as $index => $clause) {
            $passed = self::and($passed, $sieve->condition($clause));
            $query->selectRaw("COALESCE(SUM($passed->sql), 0) AS c".($index + 1), $passed->bindings);
        }
        $counts = (array) $query->first();
        $left = (int) $counts['c0'];
        $steps = [new Step('collected', 'collected', $left, 0)];
        foreach ($sieve->clauses as $index => $clause) {
            $kept = (int) $counts['c'.($index + 1)];
            $steps[] = new Step($clause->key(), $clause->phrase(), $kept, $left - $kept);
            $left = $kept;
        }
        $shown = $this->passing($site, $sieve, $seed, 0, $brief->limit);
        $steps[] = new Step('shown', Sentence::limit($brief), count($shown), $left - count($shown));

        return new Selection($shown, $steps);
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

    /** Over everything collected from the brief's sources: what the stars, the words or a hand keep out counts too. */
    public function overall(Site $site, Brief $brief): Overall
    {
        $query = $this->collected($site)->where('gone', 0)->whereNotNull('stars');
        if ($brief->sources !== null) {
            $query->whereIn('source', $brief->sources);
        }
        $rows = $query->selectRaw('source, stars, COUNT(*) AS times')->groupBy('source', 'stars')->get();

        return Overall::ofTally($rows->map(fn (object $row): array => ['stars' => (float) $row->stars, 'count' => (int) $row->times, 'source' => (string) $row->source]));
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

    private static function and(Condition $one, Condition $two): Condition
    {
        return new Condition("($one->sql AND $two->sql)", [...$one->bindings, ...$two->bindings]);
    }

    public static function clauseOf(Brief $brief, string $key): ?Clause
    {
        foreach (Sieve::of($brief)->clauses as $clause) {
            if ($clause->key() === $key) {
                return $clause;
            }
        }

        return null;
    }
}
