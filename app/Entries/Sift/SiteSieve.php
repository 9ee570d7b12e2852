<?php

declare(strict_types=1);

namespace App\Entries\Sift;

use App\Models\EntryRecord;
use App\Models\Site;
use Gnomic\Entry\Entry;
use Gnomic\Json\Value;
use Gnomic\Sift\Caps;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Ranking;
use Gnomic\Sift\Reasons;
use Gnomic\Sift\Selection;
use Gnomic\Sift\Sieve;
use Gnomic\Sift\Sifted;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Tally;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * A brief's sieve over a site's stored entries, by the database and one covering index: one walk counts what each clause
 * makes of every entry, another chooses. Held equal to Gnomic\Sift\Sifting by test.
 */
final readonly class SiteSieve implements Sifted
{
    private Sieve $sieve;

    private Tally $tally;

    private Ranking $ranking;

    private Caps $caps;

    private WordMatches $matches;

    private PassingQuery $passing;

    private Selector $selector;

    private function __construct(private Site $site, private Criteria $wanted, SiteContext $context, private SiteTally $counts)
    {
        $this->sieve = Sieve::of($wanted, $context);
        $this->matches = $counts->matches;
        $this->tally = $counts->tally;
        $this->ranking = Ranking::of($wanted, $context, $this->tally);
        $this->caps = Caps::of($wanted);
        $this->passing = new PassingQuery($site, $this->sieve, $this->ranking, $this->matches, $counts->passing(), $counts->orders);
        $this->selector = new Selector($site, $wanted, $this->ranking, $this->tally, $this->passing);
    }

    public static function of(Site $site, Criteria $wanted, ?SiteContext $context = null): self
    {
        $context ??= SiteContexts::of($site)->for($wanted);

        return new self($site, $wanted, $context, new SiteTally($site, Sieve::of($wanted, $context)));
    }

    public function context(): SiteContext
    {
        return $this->sieve->site;
    }

    /** The same counts in another order: on a page of another language, or at another visit. */
    public function at(?string $language, int $visit): self
    {
        return new self($this->site, $this->wanted, $this->sieve->site->at($language, $this->sieve->site->page, $visit), $this->counts);
    }

    /** Another choice of the same entries, at the same moment. */
    public function alongside(Criteria $wanted): self
    {
        return new self($this->site, $wanted, $this->sieve->site, $this->counts->by(Sieve::of($wanted, $this->sieve->site)));
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
        [$shown, $out] = $this->selector->shown();

        return new Selection($shown, $this->tally->steps($out, count($shown)));
    }

    /** @return list<string> references of the first that pass every clause, in their order */
    public function passing(int $most): array
    {
        return $this->selector->page(0, $most)[0];
    }

    /**
     * The entries behind one number of the sieve, each with its reason.
     *
     * @param  string  $step  a step's key
     * @param  bool  $kept  those that the step left, or those that it kept out
     * @return list<array{EntryRecord, string}>
     */
    public function behind(string $step, bool $kept, int $offset, int $count): array
    {
        $limit = $this->wanted->limits->most;
        $variety = [];
        if ($step === 'shown' && $this->wanted->most->asksNothing()) {
            [$refs, $variety] = $kept
                ? $this->selector->page($offset, max(0, min($count, $limit - $offset)))
                : $this->selector->page($limit + $offset, $count);
        } elseif ($step === 'shown' || str_starts_with($step, 'mostOf')) {
            [$refs, $variety] = $this->selector->behindCaps($step, $kept, $offset, $count);
        } else {
            $refs = $this->behindClause($step, $kept, $offset, $count);
        }
        $entries = EntryRecord::ofRefs($this->site, $refs);
        $reasons = new Reasons($this->wanted, $this->sieve->site, $this->ranking, $variety);
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
                    default => 'It meets every condition.',
                }];
            }
        }

        return $rows;
    }

    /**
     * What becomes of one entry: its place among those shown, or why it is not. What is collected is counted only where no
     * clause says it at once.
     *
     * @return array{place: int|null, step: string, reason: string}
     */
    public static function verdict(Site $site, Criteria $wanted, SiteContext $context, EntryRecord $entry): array
    {
        $facts = $entry->facts();
        $stopped = Sieve::of($wanted, $context)->stoppedBy($facts);

        return $stopped === null
            ? self::of($site, $wanted, $context)->placeOf($facts)
            : ['place' => null, 'step' => $stopped::key(), 'reason' => $stopped->reason($facts)];
    }

    /** @return array{place: int|null, step: string, reason: string} of an entry that passes every clause */
    private function placeOf(Facts $facts): array
    {
        ['kept' => $kept, 'out' => $out, 'variety' => $variety] = $this->selector->reckoned();
        $reasons = new Reasons($this->wanted, $this->sieve->site, $this->ranking, $variety);
        $place = array_search($facts->id, array_slice($kept, 0, $this->wanted->limits->most), true);
        foreach ($out as $step => $refs) {
            if (in_array($facts->id, $refs, true)) {
                return ['place' => null, 'step' => $step, 'reason' => $this->caps->reason($step)];
            }
        }

        return [
            'place' => $place === false ? null : $place + 1,
            'step' => 'shown',
            'reason' => $place === false ? $reasons->waits($facts) : $reasons->shown($facts, $place + 1),
        ];
    }

    /** @return list<string> primary subtags of the languages that pass, the most frequent first */
    public function languages(): array
    {
        $query = $this->passing->others()->whereNotNull('language')->selectRaw(
            "CASE WHEN INSTR(language, '-') > 0 THEN SUBSTR(language, 1, INSTR(language, '-') - 1) ELSE language END AS spoken",
        )
            ->groupBy('spoken')->orderByRaw('COUNT(*) DESC, spoken');

        return Value::texts($query->pluck('spoken')->all());
    }

    /**
     * @param  list<string>  $refs
     * @return list<Entry> in the order of the references
     */
    public static function entries(Site $site, array $refs): array
    {
        $found = EntryRecord::ofRefs($site, $refs);

        return array_values(array_filter(array_map(fn (string $ref): ?Entry => ($found[$ref] ?? null)?->toCore(), $refs)));
    }

    /** @return list<string> */
    private function behindClause(string $step, bool $kept, int $offset, int $count): array
    {
        $query = $this->collected();
        foreach ($step === 'collected' ? [] : $this->sieve->clauses as $clause) {
            $condition = $this->matches->prepared($this->sieve->condition($clause));
            $isStep = $clause::key() === $step;
            $condition = $isStep && ! $kept ? $condition->not() : $condition;
            $query->whereRaw($condition->sql, $condition->bindings);
            if ($isStep) {
                break;
            }
        }
        if ($step === 'collected' && ! $kept) {
            return [];
        }

        return self::refs($query->orderByRaw('published DESC, ref')->offset($offset)->limit($count));
    }

    /** @return list<string> */
    private static function refs(Builder $query): array
    {
        return Value::texts($query->pluck('ref')->all());
    }

    private function collected(): Builder
    {
        return DB::table(DB::raw('entries INDEXED BY entries_facts'))->where('site_id', $this->site->id);
    }
}
