<?php

declare(strict_types=1);

namespace Gnomic\Shape\Layouts;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\ChoiceSchema;
use Gnomic\Shape\Area;
use Gnomic\Shape\Arrangement;
use Gnomic\Shape\Columns;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Packing\Tiles;
use Gnomic\Shape\Purpose;
use Gnomic\Shape\Space;
use Gnomic\Shape\Tile;

/** A grid in which some entries get more room. */
final readonly class MosaicLayout extends Layout
{
    private const BY = [
        'pattern' => 'by a repeating pattern',
        'likes' => 'the most liked',
        'rating' => 'the best rated',
        'pins' => 'those you pinned',
    ];

    /** CSS pixels of all cards together from which two stand side by side, whatever width they are to have. */
    private const TWO_FROM = 270;

    /** CSS pixels that a row is high at most, so that the largest are no higher than twice that. */
    private const ROW = 236.0;

    /** Where not the pattern says it, one of so many gets more room. */
    private const ONE_OF = 5;

    /** What repeats, where it is a pattern. */
    private const PATTERNS = [
        'turning' => 'now at the left, now at the right',
        'left' => 'always at the left',
        'first' => 'the first alone',
        'alike' => 'all alike',
    ];

    private function __construct(private Columns $columns, private string $large, private string $pattern)
    {
    }

    public static function name(): string
    {
        return 'mosaic';
    }

    public static function label(): string
    {
        return 'Mosaic';
    }

    public static function madeFor(): array
    {
        return [Purpose::Pictures, Purpose::Reading];
    }

    public static function settings(): array
    {
        return Columns::settings(4, 200) + ['large' => ChoiceSchema::said(
            self::BY,
            'pattern',
            'Which get more room.',
        ), 'pattern' => ChoiceSchema::said(self::PATTERNS, 'turning', 'Where the pattern puts the larger ones.')];
    }

    public static function of(Members $settings): self
    {
        return new self(Columns::read($settings), $settings->string('large'), $settings->string('pattern'));
    }

    public function phrase(): string
    {
        return 'in a mosaic'.match ($this->large) {
            'likes' => ', the most liked larger',
            'rating' => ', the best rated larger',
            'pins' => ', pinned ones larger',
            default => '',
        };
    }

    public static function isOfPictures(): bool
    {
        return true;
    }

    public function usualLines(): int
    {
        return 4;
    }

    /** Two of them on phones, too: one below the other, pictures are a long way down. */
    public function acrossAt(Space $space): int
    {
        return max($this->columns->at($space), min($this->columns->most, $space->inner >= self::TWO_FROM ? 2 : 1));
    }

    public function why(Space $space): string
    {
        return $this->columns->why($space);
    }

    /** Where tiles of two by two would leave a hole that no neighbour can take, the last of them stays small. */
    public function arranged(Space $space, Space $narrow, array $tiles): Arrangement
    {
        $columns = $this->columnsAt($space, count($tiles));
        if ($columns === 1 || count($tiles) < 3) {
            return new Arrangement($columns, count($tiles));
        }
        $large = $this->large($tiles, $columns);
        do {
            $areas = Tiles::areas(array_map(fn (int $place): bool => in_array($place, $large, true), array_keys($tiles)), $columns);
            $cells = array_sum(array_map(fn (Area $area): int => $area->columns * $area->rows, $areas));
        } while ($cells % $columns !== 0 && array_pop($large) !== null);

        return new Arrangement($columns, count($tiles), $areas);
    }

    /**
     * @param  list<Tile>  $tiles
     * @return list<int> places of those that get more room
     */
    private function large(array $tiles, int $columns): array
    {
        $places = array_keys($tiles);
        if ($this->large === 'pins') {
            return array_values(array_filter($places, fn (int $place): bool => $tiles[$place]->isPinned));
        }
        if ($this->large === 'pattern') {
            return $this->repeating($tiles, $columns);
        }
        $weight = fn (int $place): float => $this->large === 'likes' ? $tiles[$place]->likes : $tiles[$place]->stars;
        $weighed = array_values(array_filter($places, fn (int $place): bool => $weight($place) > 0));
        usort($weighed, fn (int $one, int $other): int => [$weight($other), $one] <=> [$weight($one), $other]);

        return array_slice($weighed, 0, max(1, intdiv(count($tiles), self::ONE_OF)));
    }

    /**
     * One for every two rows, of those with pictures: a few words in much room look lost.
     *
     * @param  list<Tile>  $tiles
     * @return list<int>
     */
    private function repeating(array $tiles, int $columns): array
    {
        $step = max(3, 2 * $columns - 3);
        $pictured = array_keys(array_filter($tiles, fn (Tile $tile): bool => $tile->isPictured));
        $large = [];
        foreach (array_keys($tiles) as $place) {
            $isDue = match ($this->pattern) {
                'left' => $place % $step === 0,
                'first' => $place === 0,
                'alike' => false,
                default => in_array($place % (2 * $step), [0, $step + 1], true),
            };
            if ($isDue) {
                // The next one, before another is due.
                $near = array_filter($pictured, fn (int $one): bool => $one >= $place && $one < $place + $step - 1);
                array_push($large, ...array_slice($near, 0, 1));
            }
        }

        return array_values(array_unique($large));
    }

    /** Rows are as high as a cell is wide, or as the words of a tile that stands in one row. */
    public function stacked(Space $space, Arrangement $arrangement, array $heights): float
    {
        $cell = min(self::ROW, $space->column($arrangement->columns));
        if ($arrangement->columns === 1) {
            $cell = $space->column(1);
            $heights = array_map(fn (float $height): float => $height === 0.0 ? $cell : $height, $heights);

            return array_sum($heights) + $space->gap * max(0, count($heights) - 1);
        }
        $rows = [];
        $across = max(1, $arrangement->columns);
        $inTurn = fn (int $at): Area => new Area(1 + $at % $across, 1 + intdiv($at, $across));
        foreach ($arrangement->areas ?? array_map($inTurn, array_keys($heights)) as $index => $area) {
            for ($row = $area->row; $row < $area->row + $area->rows; $row++) {
                $rows[$row] = max($rows[$row] ?? $cell, $area->rows === 1 ? $heights[$index] ?? 0.0 : 0.0);
            }
        }

        return array_sum($rows) + $space->gap * max(0, count($rows) - 1);
    }
}
