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
use Gnomic\Sift\Clause;
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

    private Passing $passing;

    private Once $turns;

    private function __construct(private Site $site, private Brief $brief, Circumstances $around, private SiteTally $counts)
    {
        $this->sieve = Sieve::of($brief, $around);
        $this->matches = $counts->matches;
        $this->tally = $counts->tally;
        $this->ranking = Ranking::of($brief, $around, $this->tally);
        $this->caps = new Caps($brief->most, $brief->pins);
        $this->passing = new Passing($site, $this->sieve, $this->ranking, $this->matches, $counts->passing());
        $this->turns = new Once;
    }

    public static function of(Site $site, Brief $brief, ?Circumstances $around = null): self
    {
        $around ??= Around::of($site)->brief($brief);

        return new self($site, $brief, $around, new SiteTally($site, Sieve::of($brief, $around)));
    }

    public function around(): Circumstances
    {
        return $this->sieve->around;
    }

    /** The same counts in another order: on a page of another language, or at another visit. */
    public function at(?string $language, int $visit): self
    {
        return new self($this->site, $this->brief, $this->sieve->around->at($language, $this->sieve->around->page, $visit), $this->counts);
    }

    /** @return list<Clause> */
    public function clauses(): array
    {
        return $this->sieve->clauses;
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
        $query = $this->passing->others()->whereNotNull('language')->selectRaw("CASE WHEN INSTR(language, '-') > 0 THEN SUBSTR(language, 1, INSTR(language, '-') - 1) ELSE language END AS spoken")
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
        $out = (new CapCounts($this->site, $this->brief->most, $this->brief->pins, $this->tally, $this->passing))->of(fn (iterable $rows): array => $this->turned($rows)[0]);
        // The first of them, as many as fill the widget behind the caps; the rest is only counted.
        $wanted = min($limit, $this->tally->passing() - array_sum($out));
        $kept = $rows = [];
        for ($chunk = Balance::pool($limit); count($kept) < $wanted; $chunk *= 4) {
            $more = $this->passingRows(count($rows), $chunk);
            array_push($rows, ...$more);
            $kept = $this->caps->apply($rows, fn (array $row): array => $row)['kept'];
            if (count($more) < $chunk) {
                break; // some of those counted have gone meanwhile
            }
        }

        return [array_slice(array_column($kept, 0), 0, $limit), $out];
    }

    /** @return list<array{string, string, string|null}> reference, source and author of those that pass, in their order */
    private function passingRows(int $offset, int $count): array
    {
        if ($this->brief->order !== Order::Balanced) {
            return $this->passing->rows($offset, $count);
        }
        $head = array_map(fn (Facts $entry): array => [$entry->id, $entry->source, $entry->author], array_slice($this->inTurns()->entries, $offset, $count));
        $more = $count - count($head);

        return $more <= 0 ? $head : [...$head, ...$this->passing->rows($offset + count($head), $more)];
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
        return [$count === 0 ? [] : array_column($this->passingRows($offset, $count), 0), $this->brief->order === Order::Balanced && $count > 0 ? $this->inTurns()->variety : []];
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
        return $this->turns->of(function (): Ordered {
            $refs = array_column($this->passing->rows(0, count($this->passing->pinned) + Balance::pool($this->brief->limits->most)), 0);

            return $this->ranking->inTurns($this->facts($refs));
        });
    }

    /** @return array{kept: list<string>, out: array<string, list<string>>, variety: array<string, int>} references of those that pass every clause, by what the caps make of them */
    private function capped(): array
    {
        [$rows, $variety] = $this->turned($this->passing->all());
        ['kept' => $kept, 'out' => $out] = $this->caps->apply(Passing::typed($rows), fn (array $row): array => $row);

        return ['kept' => array_column($kept, 0), 'out' => array_map(fn (array $rows): array => array_column($rows, 0), $out), 'variety' => $variety];
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
