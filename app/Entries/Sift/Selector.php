<?php

declare(strict_types=1);

namespace App\Entries\Sift;

use App\Models\Site;
use Gnomic\Json\Value;
use Gnomic\Memo;
use Gnomic\Sift\Balance;
use Gnomic\Sift\Caps;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Order;
use Gnomic\Sift\Ordered;
use Gnomic\Sift\Ranking;
use Gnomic\Sift\Tally;

/** What is chosen of the entries that pass: in their order, in turns where it is balanced, within the caps, as far as the limit. */
final readonly class Selector
{
    private Caps $caps;

    private Memo $turns;

    public function __construct(
        private Site $site,
        private Criteria $wanted,
        private Ranking $ranking,
        private Tally $tally,
        private PassingQuery $passing,
    ) {
        $this->caps = Caps::of($wanted);
        $this->turns = new Memo;
    }

    /** @return array{list<string>, array<string, int>} what is shown, and how many are beyond a cap, by the key of the step */
    public function shown(): array
    {
        $limit = $this->wanted->limits->most;
        if ($this->wanted->most->asksNothing()) {
            return [$this->page(0, $limit)[0], []];
        }
        $out = (new CapCounts(
            $this->site,
            $this->wanted->most,
            $this->wanted->pins,
            $this->tally,
            $this->passing,
        ))->of(fn (iterable $rows): array => $this->turned($rows)[0]);
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

    /**
     * Those that pass every clause, in their order, from one place on.
     *
     * @return array{list<string>, array<string, int>} references, and the variety of those that the balanced order chose
     */
    public function page(int $offset, int $count): array
    {
        return [
            $count === 0 ? [] : array_column($this->passingRows($offset, $count), 0),
            $this->wanted->order === Order::Balanced && $count > 0 ? $this->inTurns()->variety : [],
        ];
    }

    /** @return array{list<string>, array<string, int>} references, and the variety of those that the balanced order chose */
    public function behindCaps(string $step, bool $kept, int $offset, int $count): array
    {
        ['kept' => $all, 'out' => $out, 'variety' => $variety] = $this->capped();
        $limit = $this->wanted->limits->most;

        return [array_slice(match (true) {
            $step === 'shown' && $kept => array_slice($all, 0, $limit),
            $step === 'shown' => array_slice($all, $limit),
            ! $kept => $out[$step] ?? [],
            $step === 'mostOfAuthor' => [...$all, ...$out['mostOfSource'] ?? []],
            default => $all,
        }, $offset, $count), $variety];
    }

    /**
     * @return array{kept: list<string>, out: array<string, list<string>>, variety: array<string, int>} references by what happens to
     *     them; where nothing is capped, those shown alone
     */
    public function reckoned(): array
    {
        if (! $this->wanted->most->asksNothing()) {
            return $this->capped();
        }
        [$shown, $variety] = $this->page(0, $this->wanted->limits->most);

        return ['kept' => $shown, 'out' => [], 'variety' => $variety];
    }

    /** @return list<array{string, string, string|null}> reference, source and author of those that pass, in their order */
    private function passingRows(int $offset, int $count): array
    {
        if ($this->wanted->order !== Order::Balanced) {
            return $this->passing->rows($offset, $count);
        }
        $head = array_map(
            fn (Facts $entry): array => [$entry->id, $entry->source, $entry->author],
            array_slice($this->inTurns()->entries, $offset, $count),
        );
        $more = $count - count($head);

        return $more <= 0 ? $head : [...$head, ...$this->passing->rows($offset + count($head), $more)];
    }

    /** The first of the balanced order: the pins, and the pool that is chosen from. */
    private function inTurns(): Ordered
    {
        return $this->turns->of('turns', function (): Ordered {
            $refs = array_column($this->passing->rows(0, count($this->passing->pinned) + Balance::pool($this->wanted->limits->most)), 0);

            return $this->ranking->inTurns($this->facts($refs));
        });
    }

    /**
     * @return array{kept: list<string>, out: array<string, list<string>>, variety: array<string, int>} references of those that pass
     *     every clause, by what the caps make of them
     */
    private function capped(): array
    {
        [$rows, $variety] = $this->turned($this->passing->all());
        ['kept' => $kept, 'out' => $out] = $this->caps->apply(PassingQuery::typed($rows), fn (array $row): array => $row);

        return [
            'kept' => array_column($kept, 0),
            'out' => array_map(fn (array $rows): array => array_column($rows, 0), $out),
            'variety' => $variety,
        ];
    }

    /**
     * @param  iterable<list<mixed>>  $rows  by base
     * @return array{list<list<mixed>>, array<string, int>} the first of them in turns, and the variety of those chosen
     */
    private function turned(iterable $rows): array
    {
        $byRef = [];
        foreach ($rows as $row) {
            $byRef[Value::text($row[0])] = $row;
        }
        if ($this->wanted->order !== Order::Balanced) {
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
}
