<?php

declare(strict_types=1);

namespace Tests;

/** How much is drawn by chance, or killed: little at each change, and all of it in `./gnomic test long`. */
final class Effort
{
    public static function of(int $usual, int $long): int
    {
        return getenv('GNOMIC_LONG') === false ? $usual : $long;
    }
}
