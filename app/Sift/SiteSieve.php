<?php

declare(strict_types=1);

namespace App\Sift;

use App\Models\Entry;
use App\Models\Site;
use Gnomic\Brief\Brief;
use Gnomic\Brief\Order;
use Gnomic\Entry\Entry as CoreEntry;
use Gnomic\Sift\Balance;
use Gnomic\Sift\Caps;
use Gnomic\Sift\Circumstances;
use Gnomic\Sift\Counted;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Ordered;
use Gnomic\Sift\Ranking;
use Gnomic\Sift\Reasons;
use Gnomic\Sift\Selection;
use Gnomic\Sift\Sieve;
use Gnomic\Sift\Tally;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use PDO;

/**
 * A brief's sieve over a site's stored entries, by the database and one covering index: one walk counts what each clause
 * makes of every entry, another chooses. Held equal to Gnomic\Sift\Sifting by test.
 */
final readonly class SiteSieve
{
    private Sieve $sieve;

    private Tally $tally;

    private Ranking $ranking;

    private Caps $caps;

    private function __construct(private Site $site, private Brief $brief, Circumstances $around, ?Tally $tally)
    {
        $this->sieve = Sieve::of($brief, $around);
        $this->tally = $tally ?? $this->counted();
        $this->ranking = Ranking::of($brief, $around, $this->tally);
        $this->caps = new Caps($brief->most, $brief->pins);
    }

    public static function of(Site $site, Brief $brief, ?Circumstances $around = null): self
    {
        return new self($site, $brief, $around ?? Around::of($site)->brief($brief), null);
    }

    public function around(): Circumstances
    {
        return $this->sieve->around;
    }

    /** The same counts in another order: on a page of another language, or at another visit. */
    public function at(?string $language, int $visit): self
    {
        return new self($this->site, $this->brief, $this->sieve->around->at($language, $this->sieve->around->page, $visit), $this->tally);
    }

    public function tally(): Tally
    {
        return $this->tally;
    }

    public function selection(): Selection
    {
        [$shown, $out] = $this->reckoned();

        return new Selection($shown, $this->tally->steps(array_map(count(...), $out), count($shown)));
    }

    /**
     * The entries behind one number of the sieve, each with its reason.
     *
     * @param  string  $step  a step's key
     * @param  bool  $kept  those that the step left, or those that it kept out
     * @return list<array{Entry, string}>
     */
    public function behind(string $step, bool $kept, int $offset, int $count): array
    {
        $limit = $this->brief->limits->most;
        $variety = [];
        if ($step === 'shown' && $this->brief->most === null) {
            [$refs, $variety] = $kept ? $this->passing($offset, max(0, min($count, $limit - $offset))) : $this->passing($limit + $offset, $count);
        } elseif ($step === 'shown' || str_starts_with($step, 'mostOf')) {
            [$refs, $variety] = $this->behindCaps($step, $kept, $offset, $count);
        } else {
            $refs = $this->behindClause($step, $kept, $offset, $count);
        }
        $entries = Entry::ofRefs($this->site, $refs);
        $reasons = new Reasons($this->brief, $this->ranking, $variety);
        $rows = [];
        foreach ($refs as $index => $ref) {
            if (isset($entries[$ref])) {
                $facts = $entries[$ref]->facts();
                $stopped = $this->sieve->stoppedBy($facts);
                $rows[] = [$entries[$ref], match (true) {
                    $stopped !== null => $stopped->reason($facts),
                    $step === 'shown' && $kept => $reasons->shown($facts, $offset + $index + 1),
                    $step === 'shown' => $reasons->waits($facts),
                    str_starts_with($step, 'mostOf') && ! $kept => $this->caps->reason($step),
                    default => 'It passes every clause.',
                }];
            }
        }

        return $rows;
    }

    /**
     * The same without counting all that is collected, where a clause says it at once.
     *
     * @return array{place: int|null, step: string, reason: string}
     */
    public static function verdictOn(Site $site, Brief $brief, Circumstances $around, Entry $entry): array
    {
        $facts = $entry->facts();
        $stopped = Sieve::of($brief, $around)->stoppedBy($facts);

        return $stopped === null ? self::of($site, $brief, $around)->verdict($entry) : ['place' => null, 'step' => $stopped->key(), 'reason' => $stopped->reason($facts)];
    }

    /**
     * What becomes of one entry: its place among those shown, or why it is not.
     *
     * @return array{place: int|null, step: string, reason: string}
     */
    public function verdict(Entry $entry): array
    {
        $facts = $entry->facts();
        $stopped = $this->sieve->stoppedBy($facts);
        if ($stopped !== null) {
            return ['place' => null, 'step' => $stopped->key(), 'reason' => $stopped->reason($facts)];
        }
        [$shown, $out, $variety] = $this->reckoned();
        $reasons = new Reasons($this->brief, $this->ranking, $variety);
        $place = array_search($entry->ref, $shown, true);
        foreach ($out as $step => $refs) {
            if (in_array($entry->ref, $refs, true)) {
                return ['place' => null, 'step' => $step, 'reason' => $this->caps->reason($step)];
            }
        }

        return ['place' => $place === false ? null : $place + 1, 'step' => 'shown', 'reason' => $place === false ? $reasons->waits($facts) : $reasons->shown($facts, $place + 1)];
    }

    /** @return list<string> primary subtags of the languages that pass, the most frequent first */
    public function languages(): array
    {
        $query = $this->ordered()->reorder()->whereNotNull('language')->selectRaw("CASE WHEN INSTR(language, '-') > 0 THEN SUBSTR(language, 1, INSTR(language, '-') - 1) ELSE language END AS spoken")
            ->groupBy('spoken')->orderByRaw('COUNT(*) DESC, spoken');

        return array_map(strval(...), $query->pluck('spoken')->all());
    }

    /**
     * @param  list<string>  $refs
     * @return list<CoreEntry> in the order of the references
     */
    public static function entries(Site $site, array $refs): array
    {
        $found = Entry::ofRefs($site, $refs);

        return array_values(array_filter(array_map(fn (string $ref): ?CoreEntry => ($found[$ref] ?? null)?->toCore(), $refs)));
    }

    /** All that a site collected, counted by what each clause makes of it: one walk, however many clauses there are. */
    private function counted(): Tally
    {
        $failures = $this->sieve->failuresInSql();
        $counts = $this->sieve->countsInSql();
        $rows = $this->rows($this->collected()->selectRaw("$failures->sql AS failures, $counts->sql AS counts, source, stars, length > 0 AS worded, COUNT(*) AS times, MIN(published) AS oldest",
            [...$failures->bindings, ...$counts->bindings])->groupByRaw('1, 2, 3, 4, 5'));
        $counted = [];
        foreach ($rows as [$failed, $isCounted, $source, $stars, $worded, $times, $oldest]) {
            $counted[] = new Counted((int) $failed, (bool) $isCounted, (string) $source, $stars === null ? null : (float) $stars, (bool) $worded, (int) $times, $oldest === null ? null : (int) $oldest);
        }

        return new Tally($this->sieve, $counted);
    }

    /** @return list<string> */
    private function behindClause(string $step, bool $kept, int $offset, int $count): array
    {
        $query = $this->collected();
        foreach ($step === 'collected' ? [] : $this->sieve->clauses as $clause) {
            $condition = $this->sieve->condition($clause);
            $isStep = $clause->key() === $step;
            $condition = $isStep && ! $kept ? $condition->not() : $condition;
            $query->whereRaw($condition->sql, $condition->bindings);
            if ($isStep) {
                break;
            }
        }
        if ($step === 'collected' && ! $kept) {
            return [];
        }

        return self::refs($query->orderByRaw('published IS NULL, published DESC, ref')->offset($offset)->limit($count));
    }

    /** @return array{list<string>, array<string, list<string>>, array<string, int>} what is shown, what is beyond a cap, and the variety of those that the balanced order chose */
    private function reckoned(): array
    {
        if ($this->brief->most === null) {
            [$shown, $variety] = $this->passing(0, $this->brief->limits->most);

            return [$shown, [], $variety];
        }
        ['kept' => $kept, 'out' => $out, 'variety' => $variety] = $this->capped();

        return [array_slice($kept, 0, $this->brief->limits->most), $out, $variety];
    }

    /** @return array{list<string>, array<string, int>} */
    private function behindCaps(string $step, bool $kept, int $offset, int $count): array
    {
        ['kept' => $all, 'out' => $out, 'variety' => $variety] = $this->capped();
        $limit = $this->brief->limits->most;

        return [array_slice(match (true) {
            $step === 'shown' && $kept => array_slice($all, 0, $limit),
            $step === 'shown' => array_slice($all, $limit),
            ! $kept => $out[$step] ?? [],
            $step === 'mostOfAuthor' => [...$all, ...$out['mostOfSource'] ?? []],
            default => $all,
        }, $offset, $count), $variety];
    }

    /**
     * Those that pass every clause, in their order, from one place on.
     *
     * @return array{list<string>, array<string, int>} references, and the variety of those that the balanced order chose
     */
    private function passing(int $offset, int $count): array
    {
        if ($count === 0 || $this->brief->order !== Order::Balanced) {
            return [$count === 0 ? [] : self::refs($this->ordered()->offset($offset)->limit($count)), []];
        }
        $head = $this->inTurns();
        $refs = array_map(fn (Facts $entry): string => $entry->id, array_slice($head->entries, $offset, $count));
        $from = max($offset, count($head->entries));
        $more = $offset + $count - $from;

        return [[...$refs, ...($more > 0 ? self::refs($this->ordered()->offset($from)->limit($more)) : [])], $head->variety];
    }

    /** The first of the balanced order: the pins, and the pool that is chosen from. */
    private function inTurns(): Ordered
    {
        $refs = self::refs($this->ordered()->limit(count($this->brief->pins) + Balance::pool($this->brief->limits->most)));
        $head = $this->ranking->inTurns($this->facts($refs));

        return new Ordered($head->entries, $head->variety);
    }

    /** @return array{kept: list<string>, out: array<string, list<string>>, variety: array<string, int>} references of those that pass every clause, by what the caps make of them */
    private function capped(): array
    {
        $rows = $this->rows($this->ordered()->select(['ref', 'source', 'author']));
        $variety = [];
        if ($this->brief->order === Order::Balanced) {
            [$rows, $variety] = $this->turned($rows);
        }
        ['kept' => $kept, 'out' => $out] = $this->caps->apply($rows, fn (array $row): array => [(string) $row[0], (string) $row[1], $row[2] === null ? null : (string) $row[2]]);

        return ['kept' => array_map(strval(...), array_column($kept, 0)), 'out' => array_map(fn (array $rows): array => array_map(strval(...), array_column($rows, 0)), $out), 'variety' => $variety];
    }

    /**
     * @param  iterable<list<mixed>>  $rows  by base
     * @return array{list<list<mixed>>, array<string, int>} the first of them in turns, and the variety of those chosen
     */
    private function turned(iterable $rows): array
    {
        $byRef = [];
        foreach ($rows as $row) {
            $byRef[(string) $row[0]] = $row;
        }
        $turns = $this->inTurns();
        $head = [];
        foreach ($turns->entries as $entry) {
            $head[$entry->id] = $byRef[$entry->id];
        }

        return [array_values($head + $byRef), $turns->variety];
    }

    private function ordered(): Builder
    {
        $query = $this->collected();
        foreach ($this->sieve->clauses as $clause) {
            $condition = $this->sieve->condition($clause);
            $query->whereRaw($condition->sql, $condition->bindings);
        }
        $order = $this->ranking->sql();

        return $query->orderByRaw($order->sql, $order->bindings);
    }

    /**
     * @param  list<string>  $refs
     * @return list<Facts> in the order of the references
     */
    private function facts(array $refs): array
    {
        $found = Entry::ofRefs($this->site, $refs);

        return array_values(array_filter(array_map(fn (string $ref): ?Facts => ($found[$ref] ?? null)?->facts(), $refs)));
    }

    /** @return list<string> */
    private static function refs(Builder $query): array
    {
        return array_map(strval(...), $query->pluck('ref')->all());
    }

    /** @return iterable<list<mixed>> as the database gives them, one by one: objects would cost more than the walk */
    private function rows(Builder $query): iterable
    {
        $statement = DB::connection()->getPdo()->prepare($query->toSql());
        foreach ($query->getBindings() as $index => $value) {
            $statement->bindValue($index + 1, $value, is_int($value) ? PDO::PARAM_INT : PDO::PARAM_STR);
        }
        $statement->execute();
        while (is_array($row = $statement->fetch(PDO::FETCH_NUM))) {
            yield array_values($row);
        }
    }

    private function collected(): Builder
    {
        return DB::table('entries')->where('site_id', $this->site->id);
    }
}
