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
use Gnomic\Sift\Facts;
use Gnomic\Sift\Ordered;
use Gnomic\Sift\Ranking;
use Gnomic\Sift\Reasons;
use Gnomic\Sift\Selection;
use Gnomic\Sift\Sieve;
use Gnomic\Sift\Tally;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

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

    private Matches $matches;

    private function __construct(private Site $site, private Brief $brief, Circumstances $around, ?Tally $tally)
    {
        $this->sieve = Sieve::of($brief, $around);
        $this->matches = new Matches;
        $this->tally = $tally ?? (new SiteTally($site, $this->sieve, $this->matches))->counted();
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

        return new Selection($shown, $this->tally->steps($out, count($shown)));
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
        ['kept' => $kept, 'out' => $out, 'variety' => $variety] = $this->brief->most === null ? $this->first() : $this->capped();
        $reasons = new Reasons($this->brief, $this->ranking, $variety);
        $place = array_search($entry->ref, array_slice($kept, 0, $this->brief->limits->most), true);
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

    /** @return list<string> */
    private function behindClause(string $step, bool $kept, int $offset, int $count): array
    {
        $query = $this->collected();
        foreach ($step === 'collected' ? [] : $this->sieve->clauses as $clause) {
            $condition = $this->matches->prepared($this->sieve->condition($clause));
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

    /** @return array{list<string>, array<string, int>} what is shown, and how many are beyond a cap, by the key of the step */
    private function reckoned(): array
    {
        $limit = $this->brief->limits->most;
        if ($this->brief->most === null) {
            return [$this->passing(0, $limit)[0], []];
        }
        $out = (new CapCounts($this->brief->most, $this->brief->pins, $this->tally))->of($this->ordered(), fn (iterable $rows): array => $this->turned($rows)[0]);
        // The first of them, as many as fill the widget behind the caps; the rest is only counted.
        $wanted = min($limit, $this->tally->passing() - array_sum($out));
        $kept = $rows = [];
        for ($chunk = Balance::pool($limit); count($kept) < $wanted; $chunk *= 4) {
            array_push($rows, ...$this->passingRows(count($rows), $chunk));
            $kept = $this->caps->apply($rows, fn (array $row): array => [(string) $row[0], (string) $row[1], $row[2] === null ? null : (string) $row[2]])['kept'];
        }

        return [array_map(strval(...), array_slice(array_column($kept, 0), 0, $limit)), $out];
    }

    /** @return list<list<mixed>> reference, source and author of those that pass, in their order */
    private function passingRows(int $offset, int $count): array
    {
        if ($this->brief->order !== Order::Balanced) {
            return [...Rows::of($this->ordered()->select(['ref', 'source', 'author'])->offset($offset)->limit($count))];
        }

        return array_map(fn (Facts $entry): array => [$entry->id, $entry->source, $entry->author], $this->facts($this->passing($offset, $count)[0]));
    }

    /** @return array{list<string>, array<string, int>} references, and the variety of those that the balanced order chose */
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

    /** @return array{kept: list<string>, out: array<string, list<string>>, variety: array<string, int>} those shown, where nothing is capped */
    private function first(): array
    {
        [$shown, $variety] = $this->passing(0, $this->brief->limits->most);

        return ['kept' => $shown, 'out' => [], 'variety' => $variety];
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
        [$rows, $variety] = $this->turned(Rows::of($this->ordered()->select(['ref', 'source', 'author'])));
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
        if ($this->brief->order !== Order::Balanced) {
            return [array_values($byRef), []];
        }
        $turns = $this->inTurns();
        $head = [];
        foreach ($turns->entries as $entry) {
            if (isset($byRef[$entry->id])) {
                $head[$entry->id] = $byRef[$entry->id];
            }
        }

        return [array_values($head + $byRef), $turns->variety];
    }

    private function ordered(): Builder
    {
        $query = $this->collected();
        foreach ($this->sieve->clauses as $clause) {
            $condition = $this->matches->prepared($this->sieve->condition($clause));
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
        $found = StoredFacts::of($this->site, $refs);

        return array_values(array_filter(array_map(fn (string $ref): ?Facts => $found[$ref] ?? null, $refs)));
    }

    /** @return list<string> */
    private static function refs(Builder $query): array
    {
        return array_map(strval(...), $query->pluck('ref')->all());
    }

    private function collected(): Builder
    {
        return DB::table(DB::raw('entries INDEXED BY entries_facts'))->where('site_id', $this->site->id);
    }
}
