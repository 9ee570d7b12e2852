<?php

declare(strict_types=1);

namespace Gnomic\Shape\Packing;

use Gnomic\Shape\Area;

/**
 * Tiles of one cell and of two by two in a grid without holes: each takes the first place that it fits in, reading from the top left,
 * and what is left free at the end is given to a neighbour. First fit: Coffman, Garey, Johnson and Tarjan, Performance Bounds for
 * Level-Oriented Two-Dimensional Packing Algorithms, SIAM Journal on Computing 9, 1980, 808-826.
 */
final class Tiles
{
    /**
     * @param  list<bool>  $large  of each tile, whether it gets more room
     * @param  int  $columns  1 or more
     * @return list<Area> one a tile; together they fill every row
     */
    public static function areas(array $large, int $columns): array
    {
        /** @var array<int, array<int, int>> $cells the tile of each, by row and column from 0 */
        $cells = [];
        $areas = [];
        $first = 0;
        foreach ($large as $index => $isLarge) {
            $side = $isLarge && $columns > 1 ? 2 : 1;
            [$row, $column] = self::first($cells, $first, $columns, $side);
            for ($down = 0; $down < $side; $down++) {
                for ($right = 0; $right < $side; $right++) {
                    $cells[$row + $down][$column + $right] = $index;
                }
            }
            $areas[] = new Area($column + 1, $row + 1, $side, $side);
            while (count($cells[$first] ?? []) === $columns) {
                $first++;
            }
        }

        return self::filled($cells, $areas, $columns);
    }

    /**
     * @param  array<int, array<int, int>>  $cells
     * @return array{int, int} row and column of the first square that is free, from a row on
     */
    private static function first(array $cells, int $row, int $columns, int $side): array
    {
        for (; ; $row++) {
            $column = self::free($cells, $row, $columns, $side);
            if ($column !== null) {
                return [$row, $column];
            }
        }
    }

    /**
     * @param  array<int, array<int, int>>  $cells
     * @return int|null the first column from which a square is free in a row and those below
     */
    private static function free(array $cells, int $row, int $columns, int $side): ?int
    {
        for ($column = 0; $column + $side <= $columns; $column++) {
            $isFree = true;
            for ($down = 0; $down < $side && $isFree; $down++) {
                for ($right = 0; $right < $side && $isFree; $right++) {
                    $isFree = ! isset($cells[$row + $down][$column + $right]);
                }
            }
            if ($isFree) {
                return $column;
            }
        }

        return null;
    }

    /**
     * Gives free cells to the tile beside or above them, where the whole edge of it is free.
     *
     * @param  array<int, array<int, int>>  $cells
     * @param  list<Area>  $areas
     * @return list<Area>
     */
    private static function filled(array $cells, array $areas, int $columns): array
    {
        $rows = $cells === [] ? 0 : max(array_keys($cells)) + 1;
        for ($again = true; $again;) {
            $again = false;
            foreach ($areas as $index => $area) {
                foreach ([[1, 0], [-1, 0], [0, 1]] as [$right, $down]) {
                    $grown = self::grown($area, $right, $down);
                    if (self::fits($cells, $area, $grown, $columns, $rows)) {
                        $areas[$index] = $area = $grown;
                        for ($row = 0; $row < $grown->rows; $row++) {
                            for ($column = 0; $column < $grown->columns; $column++) {
                                $cells[$grown->row - 1 + $row][$grown->column - 1 + $column] = $index;
                            }
                        }
                        $again = true;
                    }
                }
            }
        }

        return array_values($areas);
    }

    private static function grown(Area $area, int $right, int $down): Area
    {
        return new Area($area->column + min(0, $right), $area->row, $area->columns + abs($right), $area->rows + $down);
    }

    /** @param  array<int, array<int, int>>  $cells */
    private static function fits(array $cells, Area $area, Area $grown, int $columns, int $rows): bool
    {
        if ($grown->column < 1 || $grown->column - 1 + $grown->columns > $columns || $grown->row - 1 + $grown->rows > $rows) {
            return false;
        }
        for ($row = $grown->row - 1; $row < $grown->row - 1 + $grown->rows; $row++) {
            for ($column = $grown->column - 1; $column < $grown->column - 1 + $grown->columns; $column++) {
                $isOwn = $row >= $area->row - 1 && $row < $area->row - 1 + $area->rows
                    && $column >= $area->column - 1 && $column < $area->column - 1 + $area->columns;
                if (! $isOwn && isset($cells[$row][$column])) {
                    return false;
                }
            }
        }

        return true;
    }
}
