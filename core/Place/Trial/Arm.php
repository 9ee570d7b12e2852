<?php

declare(strict_types=1);

namespace Gnomic\Place\Trial;

/** What one version of a widget has come to: how often it was seen, and how often something was done with it. */
final readonly class Arm
{
    public int $successes;

    /** @param  int  $successes  of the trials; no more than there are count */
    public function __construct(public int $trials, int $successes)
    {
        $this->successes = min($trials, $successes);
    }

    public function rate(): float
    {
        return $this->trials === 0 ? 0.0 : $this->successes / $this->trials;
    }
}
