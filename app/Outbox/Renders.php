<?php

declare(strict_types=1);

namespace App\Outbox;

/** Whoever brings editions up to date with what waits in the outbox. */
interface Renders
{
    /**
     * Works off what waits for a site.
     *
     * @param  float|null  $until  a time in seconds since 1970 after which no further widget is begun; null: all of it
     * @return int new editions
     */
    public function workOff(int $siteId, ?float $until = null): int;
}
