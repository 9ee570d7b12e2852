<?php

declare(strict_types=1);

namespace App\Entries\Sift;

use App\Models\Site;
use Gnomic\Json\Value;
use Gnomic\Sift\Caps;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Most;
use Gnomic\Sift\Tally;
use Illuminate\Support\Facades\DB;

/** How many the caps of a brief leave out, without putting all that pass in their order: only those of authors who have too many. */
final readonly class CapCounts
{
    /** @param  list<string>  $pins */
    public function __construct(
        private Site $site,
        private Most $most,
        private array $pins,
        private Tally $tally,
        private PassingQuery $passing,
    ) {
    }

    /**
     * @param  callable(iterable<list<mixed>>): list<list<mixed>>  $turned  the last touch to the order
     * @return array<string, int> by the key of the step
     */
    public function of(callable $turned): array
    {
        $dropped = ['mostOfAuthor' => 0, 'mostOfSource' => 0];
        $bySource = $this->tally->passingBySource();
        foreach ($this->most->author === null ? [] : $this->overAuthors($turned) as $source => $count) {
            $dropped['mostOfAuthor'] += $count;
            $bySource[$source] -= $count;
        }
        $most = $this->most->source;
        foreach ($most === null ? [] : $bySource as $source => $count) {
            $pins = count(array_filter($this->passing->pinned, fn (Facts $pin): bool => $pin->source === (string) $source));
            $dropped['mostOfSource'] += $count - min($count, max((int) $most, $pins));
        }

        return $dropped;
    }

    /**
     * How many the most from one author leaves out of each source. Only where the source matters too does it depend on the
     * order which ones they are.
     *
     * @param  callable(iterable<list<mixed>>): list<list<mixed>>  $turned
     * @return array<string, int>
     */
    private function overAuthors(callable $turned): array
    {
        $most = (int) $this->most->author;
        $pins = array_map(fn (Facts $pin): array => [$pin->id, $pin->source, $pin->author], $this->passing->pinned);
        [$room, $bindings] = $this->room($most);
        // Who has said so much at all is soon found along an index; only their entries are looked at.
        $talkative = DB::table(DB::raw('entries INDEXED BY entries_authors'))->where('site_id', $this->site->id)
            ->whereNotNull('author')
            ->groupBy('author')
            ->havingRaw('COUNT(*) > ?', [$pins === [] ? $most : 0])
            ->select('author');
        $heavy = $this->passing->others('entries_authors')
            ->whereIn('author', $talkative)
            ->groupBy('author')
            ->havingRaw("COUNT(*) > $room", $bindings);
        $dropped = [];
        if ($this->most->source === null) {
            foreach (RawRows::of($heavy->selectRaw("MIN(source), COUNT(*) - $room", $bindings)) as [$source, $count]) {
                $dropped[Value::text($source)] = ($dropped[Value::text($source)] ?? 0) + Value::whole($count);
            }

            return $dropped;
        }
        $rows = $turned(
            RawRows::of(
                $this->passing->othersInOrder('entries_authors')
                    ->whereIn('author', $heavy->select('author'))
                    ->select(['ref', 'source', 'author']),
            ),
        );
        $caps = new Caps(new Most($most, null), $this->pins);
        foreach ($caps->apply(
            [...$pins, ...$rows],
            fn (array $row): array => [Value::text($row[0]), Value::text($row[1]), Value::textOrNull($row[2])],
        )['out']['mostOfAuthor'] as $row) {
            $dropped[Value::text($row[1])] = ($dropped[Value::text($row[1])] ?? 0) + 1;
        }

        return $dropped;
    }

    /**
     * How many more of an author are kept behind the pins.
     *
     * @return array{string, list<string>} an expression over the column author, and its bindings
     */
    private function room(int $most): array
    {
        $pins = array_count_values(array_filter(
            array_map(fn (Facts $pin): ?string => $pin->author, $this->passing->pinned),
            fn (?string $author): bool => $author !== null,
        ));
        $cases = implode('', array_map(fn (int $count): string => ' WHEN ? THEN '.max(0, $most - $count), $pins));

        return $pins === [] ? [(string) $most, []] : ["(CASE author$cases ELSE $most END)", array_map(strval(...), array_keys($pins))];
    }
}
