<?php

declare(strict_types=1);

namespace App\Entries\Listing;

use App\Entries\Sift\SiteContexts;
use App\Entries\Sift\WordMatches;
use App\Models\EntryRecord;
use App\Models\Site;
use Gnomic\Json\Value;
use Gnomic\Memo;
use Gnomic\Sift\Clause;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Loosening;
use Gnomic\Sift\Order;
use Gnomic\Sift\Ranking;
use Gnomic\Sift\Sieve;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Tally;
use Gnomic\Sift\Term;
use Gnomic\Text\Pieces;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\LazyCollection;

/**
 * Entries for the owner's own eyes: chosen by the clauses of a brief in the same words, but with nothing left out that is
 * hidden, held, gone or told again; by a state; and by words.
 */
final readonly class Listing
{
    public const STATES = ['held', 'hidden', 'gone', 'duplicate', 'barred', 'shown'];

    /** Entries that have the words, beyond which it is sooner walked past the others. */
    private const MANY = 2000;

    private SiteContext $context;

    private Memo $counted;

    /** @param  string|null  $state  of STATES */
    public function __construct(private Site $site, private Criteria $wanted, private ?string $state, private string $search)
    {
        $this->context = SiteContexts::of($site)->for($wanted);
        $this->counted = new Memo;
    }

    public function count(): int
    {
        return $this->counted->of('count', function (): int {
            $query = $this->onlyWords();

            return $query === null
                ? $this->query()->count()
                : Value::whole(DB::scalar('SELECT COUNT(*) FROM entry_words WHERE entry_words MATCH ?', [$query]));
        });
    }

    /** @return list<EntryRecord> */
    public function page(int $from, int $count): array
    {
        $ids = Value::wholes($this->inOrder()->offset($from)->limit($count)->pluck('id')->all());
        $entries = [];
        foreach (EntryRecord::query()->withCount(['revisions', 'told'])->whereIn('id', $ids)->get() as $entry) {
            if ($entry instanceof EntryRecord) {
                $entries[$entry->id] = $entry;
            }
        }

        return array_values(array_filter(array_map(fn (int $id): ?EntryRecord => $entries[$id] ?? null, $ids)));
    }

    /** @return list<string> references */
    public function refs(int $most): array
    {
        return Value::texts($this->inOrder()->limit($most)->pluck('ref')->all());
    }

    /** @return LazyCollection<int, EntryRecord> all of them in their order, a thousand at a time */
    public function each(): LazyCollection
    {
        return LazyCollection::make(function () {
            foreach (array_chunk($this->inOrder()->pluck('id')->all(), 1000) as $ids) {
                $entries = EntryRecord::query()->whereIn('id', $ids)->get()->keyBy('id');
                foreach ($ids as $id) {
                    if (isset($entries[$id])) {
                        yield $entries[$id];
                    }
                }
            }
        });
    }

    /** @return Builder<EntryRecord> */
    private function inOrder(): Builder
    {
        $sieve = Sieve::of($this->wanted, $this->context);
        $order = Ranking::of($this->wanted, $this->context, new Tally($sieve, []))->sql();

        $query = $this->query();
        $query->orderByRaw($order->sql, $order->bindings);
        if ($this->onlyWords() !== null && $this->wanted->order === Order::Newest) {
            // Where many have the words, the newest of them are met soon on a walk from the newest of all.
            $query->fromRaw('entries INDEXED BY '.($this->count() > self::MANY ? 'entries_site_id_published_index' : 'entries_by_id'));
        }

        return $query;
    }

    /** @return Builder<EntryRecord> */
    private function query(): Builder
    {
        $query = EntryRecord::query()->where('site_id', $this->site->id);
        foreach ([...$this->wishes(), ...$this->searched(), ...$this->inState()] as $condition) {
            $query->whereRaw($condition->sql, $condition->bindings);
        }

        return $query;
    }

    /** @return list<Condition> what the brief asks */
    private function wishes(): array
    {
        $clauses = array_filter(
            Sieve::of($this->wanted, $this->context)->clauses,
            fn (Clause $clause): bool => Loosening::canLeaveOut($clause::key()),
        );

        return array_values(array_map(fn (Clause $clause): Condition => $clause->condition(), $clauses));
    }

    /** What the index of words is asked, where nothing else is asked of entries; null where there is more, or nothing. */
    private function onlyWords(): ?string
    {
        $searched = $this->searched();

        return count($searched) === 1 && $searched[0]->bindings !== [] && $this->inState() === [] && $this->wishes() === []
            ? (string) $searched[0]->bindings[0]
            : null;
    }

    /** @return list<Condition> every word that was typed has to begin a word of the entry, or of who wrote it */
    private function searched(): array
    {
        $typed = Pieces::of($this->search, '/\s+/u');
        $queries = array_map(fn (string $word): ?string => Term::tryFrom("$word*")?->query(), $typed);
        $queries = array_values(array_unique(array_filter($queries, fn (?string $query): bool => $query !== null)));

        return match (true) {
            $typed === [] => [],
            $queries === [] => [new Condition('0')],
            default => [
                new Condition('id IN (SELECT rowid FROM entry_words WHERE entry_words MATCH ?)', [
                    WordMatches::at($this->site->id, '{author said} : ('.implode(' AND ', $queries).')'),
                ]),
            ],
        };
    }

    /** @return list<Condition> */
    private function inState(): array
    {
        return match ($this->state) {
            'held' => [new Condition('held = 1')],
            'hidden' => [new Condition('hidden = 1')],
            'gone' => [new Condition('gone_at IS NOT NULL')],
            'duplicate' => [new Condition('duplicate_of IS NOT NULL')],
            'barred' => [new Condition('barred = 1')],
            'shown' => [new Condition('id IN (SELECT entry_id FROM shown)')],
            default => [],
        };
    }
}
