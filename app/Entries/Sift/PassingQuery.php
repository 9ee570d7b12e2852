<?php

declare(strict_types=1);

namespace App\Entries\Sift;

use App\Models\Site;
use Gnomic\Json\Value;
use Gnomic\Memo;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Order;
use Gnomic\Sift\Ranking;
use Gnomic\Sift\ShuffleKey;
use Gnomic\Sift\Sieve;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * The entries that pass every clause of a brief, in its order: pins first, then those of the classes that pass. Only these
 * are walked, and where a class is in the order itself, only the first of each.
 */
final readonly class PassingQuery
{
    /** First ones of classes that are worth fetching to save a walk. */
    private const FIRST = 4000;

    /** Of an order by chance, the first that are reckoned here, and entries of which it is done. */
    private const BY_CHANCE = 400;

    private const DRAWN = 400_000;

    /** @var list<Facts> pins that pass, in their order */
    public array $pinned;

    /** @param  list<string>  $classes  of alike entries that pass the clauses which are asked of classes */
    public function __construct(
        private Site $site,
        private Sieve $sieve,
        private Ranking $ranking,
        private WordMatches $matches,
        private array $classes,
        private Memo $orders,
    ) {
        $pins = StoredFacts::of($site, $sieve->wanted->pins);
        $found = array_map(fn (string $pin): ?Facts => $pins[$pin] ?? null, $sieve->wanted->pins);
        $this->pinned = array_values(array_filter($found, fn (?Facts $pin): bool => $pin !== null && $sieve->failures($pin) === 0));
    }

    /** All but the pins, in no order. @param  string  $index  along which they are sought */
    public function others(string $index = 'entries_alike'): Builder
    {
        $few = $this->few();
        $from = $few === null ? "entries INDEXED BY $index" : "temp.$few CROSS JOIN entries ON entries.id = entry";
        $query = DB::table(DB::raw($from))->where('site_id', $this->site->id)
            ->whereRaw(
                'alike IN (SELECT value FROM json_each(?))',
                [json_encode($this->classes, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)],
            );
        foreach ($few === null ? $this->sieve->own() : [] as $index) {
            $condition = $this->matches->prepared($this->sieve->clauses[$index]->condition());
            $query->whereRaw($condition->sql, $condition->bindings);
        }
        $picked = $this->picked();
        if ($picked !== null) {
            $query->whereRaw("NOT $picked->sql", $picked->bindings);
        }

        return $query;
    }

    /** All but the pins, in their order. */
    public function othersInOrder(string $index = 'entries_alike'): Builder
    {
        $order = $this->ranking->sql();

        return $this->others($index)->orderByRaw($order->sql, $order->bindings);
    }

    /** @return list<array{string, string, string|null}> reference, source and author, from one place on */
    public function rows(int $offset, int $count): array
    {
        $pins = array_map(fn (Facts $pin): array => [$pin->id, $pin->source, $pin->author], array_slice($this->pinned, $offset, $count));
        $from = max(0, $offset - count($this->pinned));
        $more = $count - count($pins);

        return $more <= 0
            ? $pins
            : [
                ...$pins,
                ...self::typed(
                    $this->firstByChance($from, $more) ?? $this->firstOfEach($from, $more)
                        ?? RawRows::of($this->othersInOrder()->select(['ref', 'source', 'author'])->offset($from)->limit($more)),
                ),
            ];
    }

    /** @return list<array{string, string, string|null}> all of them */
    public function all(): array
    {
        return $this->rows(0, PHP_INT_MAX);
    }

    /**
     * @param  iterable<list<mixed>>  $rows
     * @return list<array{string, string, string|null}>
     */
    public static function typed(iterable $rows): array
    {
        $typed = [];
        foreach ($rows as [$ref, $source, $author]) {
            $typed[] = [Value::text($ref), Value::text($source), Value::textOrNull($author)];
        }

        return $typed;
    }

    /**
     * Where entries of one class follow each other by date alone, the first of each class are all that can be shown.
     *
     * @return iterable<list<mixed>>|null null where that does not hold, or is no less work
     */
    private function firstOfEach(int $offset, int $count): ?iterable
    {
        $first = $offset + $count;
        if ($this->few() !== null || $this->ranking->hasPageLanguage() || ! in_array(
            $this->sieve->wanted->order,
            [Order::Newest, Order::Highest, Order::Lowest],
            true,
        )
            || $count > self::FIRST || $first * count($this->classes) > self::FIRST) {
            return null;
        }
        $picked = $this->picked() ?? new Condition('0');
        $order = $this->ranking->sql();
        $own = array_map(
            fn (int $index): Condition => $this->matches->prepared($this->sieve->clauses[$index]->condition()),
            $this->sieve->own(),
        );
        $wanted = implode('', array_map(fn (Condition $one): string => " AND $one->sql", $own));
        $bindings = array_merge(...array_map(fn (Condition $one): array => $one->bindings, $own));

        return RawRows::asked("SELECT ref, source, author FROM json_each(?) AS classes JOIN entries ON entries.id IN
            (SELECT id FROM entries AS one INDEXED BY entries_alike
                WHERE site_id = ? AND alike = classes.value AND NOT $picked->sql$wanted ORDER BY published DESC, ref LIMIT ?)
            ORDER BY $order->sql LIMIT ? OFFSET ?",
            [
                json_encode($this->classes, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                $this->site->id,
                ...$picked->bindings,
                ...$bindings,
                $first,
                ...$order->bindings,
                $count,
                $offset,
            ]);
    }

    /**
     * The first of an order by chance. Of many orders of the same entries, all have the same numbers to begin with: they are fetched once,
     * and where each falls is reckoned here; only those that fall among the first are looked up.
     *
     * @return iterable<list<mixed>>|null null where another order is wanted, or it is no less work
     */
    private function firstByChance(int $offset, int $count): ?iterable
    {
        $wanted = $offset + $count;
        if ($this->sieve->wanted->order !== Order::Shuffled || $this->ranking->hasPageLanguage() || $wanted > self::BY_CHANCE) {
            return null;
        }
        /** @var array{list<int>, list<int>} $drawn */
        $drawn = $this->orders->of('by chance', fn (): array => $this->drawn());
        [$ids, $keys] = $drawn;
        if ($ids === []) {
            return null;
        }
        $place = $this->ranking->shuffleKey();
        // They fall evenly: about so many are below this, and more than are wanted nearly always.
        $below = (int) min(ShuffleKey::PRIME, ShuffleKey::PRIME / count($ids) * (4 * $wanted + 60));
        $first = [];
        foreach ($place->below($keys, $below) as $index => $at) {
            $first[$ids[$index]] = $at;
        }
        if (count($first) < min($wanted, count($ids))) {
            return null;
        }
        $rows = [];
        foreach (RawRows::of(DB::table('entries')->whereIn('id', array_keys($first))->select(['ref', 'source', 'author', 'id'])) as $row) {
            $rows[] = [$first[Value::whole($row[3])], Value::text($row[0]), $row];
        }
        usort($rows, fn (array $one, array $other): int => [$one[0], $one[1]] <=> [$other[0], $other[1]]);

        return array_slice(array_map(fn (array $row): array => array_slice($row[2], 0, 3), $rows), $offset, $count);
    }

    /**
     * @return array{list<int>, list<int>} identifiers of those that pass, and the numbers from which chance draws; none where they are too
     *     many
     */
    private function drawn(): array
    {
        $ids = $keys = [];
        foreach (RawRows::of($this->others()->select(['id', 'shuffle_key'])->limit(self::DRAWN + 1)) as $row) {
            $ids[] = Value::whole($row[0]);
            $keys[] = Value::whole($row[1]);
        }

        return count($ids) > self::DRAWN ? [[], []] : [$ids, $keys];
    }

    /** The table of those that have the words wanted, where that is all that is asked entry by entry, and they are few. */
    private function few(): ?string
    {
        $own = $this->sieve->own();
        $found = count($own) === 1 ? $this->matches->alone($this->sieve->clauses[$own[0]]->condition()) : null;

        return $found === null || $found['count'] > SiteTally::FEW ? null : $found['table'];
    }

    /** Those that are judged one by one: of them only pins can pass. */
    private function picked(): ?Condition
    {
        $picked = $this->sieve->picked();

        return $picked === [] ? null : Condition::oneOf('ref', $picked);
    }
}
