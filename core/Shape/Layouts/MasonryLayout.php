<?php

declare(strict_types=1);

namespace Gnomic\Shape\Layouts;

use Gnomic\Json\Members;
use Gnomic\Shape\Area;
use Gnomic\Shape\Arrangement;
use Gnomic\Shape\Columns;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Packing\Balanced;
use Gnomic\Shape\Purpose;
use Gnomic\Shape\Space;
use Gnomic\Shape\Tile;

/** Columns of cards, each as high as what is on it. */
final readonly class MasonryLayout extends Layout
{
    /** Pixels: edges of cards that are nearer than this to each other become one line of the grid. */
    private const NEAR = 6;

    /** How much longer a column becomes by its neighbours, at most about. */
    private const STRETCHED = 1.03;

    private function __construct(private Columns $columns)
    {
    }

    public static function name(): string
    {
        return 'masonry';
    }

    public static function label(): string
    {
        return 'Masonry';
    }

    public static function madeFor(): array
    {
        return [Purpose::Reading, Purpose::Pictures];
    }

    public static function settings(): array
    {
        return Columns::settings();
    }

    public static function of(Members $settings): self
    {
        return new self(Columns::read($settings));
    }

    public function phrase(): string
    {
        return $this->columns->phrase().' in masonry';
    }

    public function acrossAt(Space $space): int
    {
        return $this->columns->at($space);
    }

    public function why(Space $space): string
    {
        return $this->columns->why($space);
    }

    public static function isFine(): bool
    {
        return true;
    }

    /** Rows of the grid lie at the edges of cards, so that each column is as close as its own cards are. */
    public function arranged(Space $space, Space $narrow, array $tiles): Arrangement
    {
        $columns = $this->columnsAt($space, count($tiles));
        if ($columns === 1) {
            return new Arrangement(1, count($tiles));
        }
        $width = $space->column($columns);
        $heights = array_map(fn (Tile $tile): float => $tile->heightAt($width), $tiles);
        $stacks = Balanced::columns($heights, $columns);
        $edges = [];
        foreach ($stacks as $stack) {
            $edge = 0.0;
            foreach (array_slice($stack, 0, -1) as $card) {
                $edges[] = $edge += $heights[$card];
            }
        }
        $sums = array_map(fn (array $stack): float => (float) array_sum(array_intersect_key($heights, array_flip($stack))), $stacks);
        $tallest = max(0.0, ...$sums);
        $lines = self::lines([...$edges, $tallest]);
        $areas = [];
        foreach ($stacks as $column => $stack) {
            $edge = 0.0;
            $from = 0;
            foreach ($stack as $place => $card) {
                $edge += $heights[$card];
                $isLast = $place === count($stack) - 1;
                $to = $isLast ? count($lines) : max($from + 1, self::line($lines, $edge));
                $areas[$card] = new Area($column + 1, $from + 1, 1, max(1, $to - $from));
                $from = $to;
            }
        }
        ksort($areas);

        return new Arrangement(
            $columns,
            count($tiles),
            array_values($areas),
            self::between($lines),
            $this->narrow($areas, $narrow->column($columns), $tiles),
        );
    }

    /**
     * Words take more room where it is narrower, and make it themselves; pictures take less.
     *
     * @param  array<int, Area>  $areas  in the order of their cards
     * @param  list<Tile>  $tiles
     * @return list<float>|null
     */
    private function narrow(array $areas, float $width, array $tiles): ?array
    {
        return array_filter($tiles, fn (Tile $tile): bool => $tile->isPictured) === [] ? null
            : self::between(self::ends($areas, array_map(fn (Tile $tile): float => $tile->heightAt($width), $tiles)));
    }

    /**
     * Where the rows of a grid end that cards already stand in, were they so high.
     *
     * @param  array<int, Area>  $areas  in the order of their cards
     * @param  list<float>  $heights
     * @return list<float>
     */
    private static function ends(array $areas, array $heights): array
    {
        $edges = $ends = [];
        foreach ($areas as $card => $area) {
            $edge = $edges[$area->column] = ($edges[$area->column] ?? 0.0) + $heights[$card];
            $row = $area->row + $area->rows - 2;
            $ends[$row] = max($ends[$row] ?? 0.0, $edge);
        }
        $lines = [];
        for ($row = 0, $all = $ends === [] ? 0 : max(array_keys($ends)) + 1; $row < $all; $row++) {
            $lines[] = max($lines[$row - 1] ?? 0.0, $ends[$row] ?? 0.0);
        }

        return $lines;
    }

    /**
     * @param  list<float>  $lines
     * @return list<float> from each to the next
     */
    private static function between(array $lines): array
    {
        return array_map(fn (float $line, int $at): float => $line - ($lines[$at - 1] ?? 0.0), $lines, array_keys($lines));
    }

    /**
     * @param  list<float>  $edges
     * @return non-empty-list<float> lines of the grid, without the one at the top
     */
    private static function lines(array $edges): array
    {
        sort($edges);
        $lines = [];
        foreach ($edges as $edge) {
            if ($lines === [] || $edge - $lines[count($lines) - 1] >= self::NEAR) {
                $lines[] = $edge;
            }
        }

        return $lines === [] ? [0.0] : $lines;
    }

    /** @param  list<float>  $lines @return int how many rows lie above an edge */
    private static function line(array $lines, float $edge): int
    {
        [$low, $high] = [0, count($lines) - 1];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            [$low, $high] = $lines[$middle] < $edge ? [$middle + 1, $high] : [$low, $middle];
        }
        $best = $low > 0 && $edge - $lines[$low - 1] < abs($lines[$low] - $edge) ? $low - 1 : $low;

        return $best + 1;
    }

    public function parts(): array
    {
        return ['row'];
    }

    public function isLevel(): bool
    {
        return false;
    }

    /** The longest column, and a little for where the edges of its neighbours stretch it. */
    public function stacked(Space $space, Arrangement $arrangement, array $heights): float
    {
        if ($arrangement->areas === null) {
            return parent::stacked($space, $arrangement, $heights);
        }
        $sums = [];
        foreach ($arrangement->areas as $place => $area) {
            $sums[$area->column] = ($sums[$area->column] ?? 0.0) + ($heights[$place] ?? 0.0);
        }

        return self::STRETCHED * max(0.0, ...array_values($sums)) + 1;
    }
}
