<?php

declare(strict_types=1);

namespace App\Entries;

use App\Models\Entry;
use App\Models\Site;
use App\Sift\Around;
use Gnomic\Brief\Brief;
use Gnomic\Sift\Circumstances;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Loosening;
use Gnomic\Sift\Ranking;
use Gnomic\Sift\Sieve;
use Gnomic\Sift\Tally;
use Gnomic\Sift\Term;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\LazyCollection;

/**
 * Entries for the owner's own eyes: chosen by the clauses of a brief in the same words, but with nothing left out that is
 * hidden, held, gone or told again; by a state; and by words.
 */
final readonly class Listing
{
    public const STATES = ['held', 'hidden', 'gone', 'duplicate', 'barred', 'shown'];

    private Circumstances $around;

    /** @param  string|null  $state  of STATES */
    public function __construct(private Site $site, private Brief $wanted, private ?string $state, private string $search)
    {
        $this->around = Around::of($site)->brief($wanted);
    }

    public function count(): int
    {
        return $this->query()->count();
    }

    /** @return list<Entry> */
    public function page(int $from, int $count): array
    {
        $ids = array_map(intval(...), $this->inOrder()->offset($from)->limit($count)->pluck('id')->all());
        /** @var array<int, Entry> $entries */
        $entries = [];
        foreach (Entry::query()->withCount(['revisions', 'told'])->whereIn('id', $ids)->get() as $entry) {
            $entries[$entry->id] = $entry;
        }

        return array_values(array_filter(array_map(fn (int $id): ?Entry => $entries[$id] ?? null, $ids)));
    }

    /** @return list<string> references */
    public function refs(int $most): array
    {
        return array_map(strval(...), $this->inOrder()->limit($most)->pluck('ref')->all());
    }

    /** @return LazyCollection<int, Entry> all of them in their order, a thousand at a time */
    public function each(): LazyCollection
    {
        return LazyCollection::make(function () {
            foreach (array_chunk($this->inOrder()->pluck('id')->all(), 1000) as $ids) {
                $entries = Entry::query()->whereIn('id', $ids)->get()->keyBy('id');
                foreach ($ids as $id) {
                    if (isset($entries[$id])) {
                        yield $entries[$id];
                    }
                }
            }
        });
    }

    /** @return Builder<Entry> */
    private function inOrder(): Builder
    {
        $sieve = Sieve::of($this->wanted, $this->around);
        $order = Ranking::of($this->wanted, $this->around, new Tally($sieve, []))->sql();

        $query = $this->query();
        $query->orderByRaw($order->sql, $order->bindings);

        return $query;
    }

    /** @return Builder<Entry> */
    private function query(): Builder
    {
        $query = Entry::query()->where('site_id', $this->site->id);
        $wishes = array_filter(Sieve::of($this->wanted, $this->around)->clauses, fn (Clause $clause): bool => Loosening::canLeaveOut($clause));
        $conditions = array_map(fn (Clause $clause): Condition => $clause->condition(), $wishes);
        foreach ([...$conditions, ...$this->searched(), ...$this->inState()] as $condition) {
            $query->whereRaw($condition->sql, $condition->bindings);
        }

        return $query;
    }

    /** @return list<Condition> every word that was typed has to begin a word of the entry, or of who wrote it */
    private function searched(): array
    {
        $typed = preg_split('/\s+/u', trim($this->search), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $queries = array_map(fn (string $word): ?string => Term::tryFrom("$word*")?->query(), $typed);
        $queries = array_values(array_unique(array_filter($queries, fn (?string $query): bool => $query !== null)));

        return match (true) {
            $typed === [] => [],
            $queries === [] => [new Condition('0')],
            default => [new Condition('id IN (SELECT rowid FROM entry_words WHERE entry_words MATCH ?)', [implode(' AND ', $queries)])],
        };
    }

    /** @return list<Condition> */
    private function inState(): array
    {
        return match ($this->state) {
            'held' => [new Condition('held = 1')],
            'hidden' => [new Condition('hidden = 1')],
            'gone' => [new Condition('gone_at IS NOT NULL')],
            'duplicate' => [new Condition('told_by IS NOT NULL')],
            'barred' => [new Condition('barred = 1')],
            'shown' => [new Condition('id IN (SELECT entry_id FROM shown)')],
            default => [],
        };
    }
}
