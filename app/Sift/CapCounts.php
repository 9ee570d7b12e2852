<?php

declare(strict_types=1);

namespace App\Sift;

use Gnomic\Brief\MostWanted;
use Gnomic\Sift\Caps;
use Gnomic\Sift\Condition;
use Gnomic\Sift\Tally;
use Illuminate\Database\Query\Builder;

/** How many the caps of a brief leave out, without putting all that pass in their order: only those of authors who have too many. */
final readonly class CapCounts
{
    /** @param  list<string>  $pins */
    public function __construct(private MostWanted $most, private array $pins, private Tally $tally)
    {
    }

    /**
     * @param  Builder  $passing  those that pass, in their order
     * @param  callable(iterable<list<mixed>>): list<list<mixed>>  $turned  the last touch to the order
     * @return array<string, int> by the key of the step
     */
    public function of(Builder $passing, callable $turned): array
    {
        $pinned = $this->pins === [] ? [] : [...Rows::of((clone $passing)->reorder()->whereIn('ref', $this->pins)->select(['ref', 'source', 'author']))];
        $dropped = ['mostOfAuthor' => 0, 'mostOfSource' => 0];
        $bySource = $this->tally->passingBySource();
        if ($this->most->author !== null) {
            foreach ($this->overAuthors($passing, $turned) as $source => $count) {
                $dropped['mostOfAuthor'] += $count;
                $bySource[$source] -= $count;
            }
        }
        foreach ($this->most->source === null ? [] : $bySource as $source => $count) {
            $pins = count(array_filter($pinned, fn (array $row): bool => (string) $row[1] === (string) $source));
            $dropped['mostOfSource'] += $count - min($count, max($this->most->source, $pins));
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
    private function overAuthors(Builder $passing, callable $turned): array
    {
        $most = (int) $this->most->author;
        $heavy = (clone $passing)->reorder()->whereNotNull('author')->groupBy('author')->havingRaw('COUNT(*) > ?', [$most]);
        $dropped = [];
        if ($this->most->source === null) {
            $pins = Condition::oneOf('ref', $this->pins);
            foreach (Rows::of($heavy->selectRaw("MIN(source), COUNT(*) - MAX(?, SUM($pins->sql))", [$most, ...$pins->bindings])) as [$source, $count]) {
                $dropped[(string) $source] = ($dropped[(string) $source] ?? 0) + (int) $count;
            }

            return $dropped;
        }
        $rows = Rows::of((clone $passing)->whereIn('author', $heavy->select('author'))->select(['ref', 'source', 'author']));
        $caps = new Caps(new MostWanted($most, null), $this->pins);
        foreach ($caps->apply($turned($rows), fn (array $row): array => [(string) $row[0], (string) $row[1], (string) $row[2]])['out']['mostOfAuthor'] as $row) {
            $dropped[(string) $row[1]] = ($dropped[(string) $row[1]] ?? 0) + 1;
        }

        return $dropped;
    }
}
