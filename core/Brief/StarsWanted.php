<?php

declare(strict_types=1);

namespace Gnomic\Brief;

/** Stars from–to, both included, as numbers: 4.6 stars lie between 4 and 5, and not between 1 and 4. */
final readonly class StarsWanted
{
    /** @param  bool  $keepUnrated whether entries with no rating pass */
    public function __construct(public float $from, public float $to, public bool $keepUnrated)
    {
    }
}
