<?php

declare(strict_types=1);

namespace Gnomic\Shape;

/** A rectangle of a grid, by its first lines and how many columns and rows it takes; counted from 1, as CSS does. */
final readonly class Area
{
    public function __construct(public int $column, public int $row, public int $columns = 1, public int $rows = 1)
    {
    }
}
