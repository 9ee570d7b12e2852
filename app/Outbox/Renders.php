<?php

declare(strict_types=1);

namespace App\Outbox;

/** Whoever brings editions up to date with what waits in the outbox. */
interface Renders
{
    /** Works off what waits for a site. @return int new editions */
    public function workOff(int $siteId): int;
}
