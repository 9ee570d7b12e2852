<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/** One step of the sieve's account. */
final readonly class Step
{
    /**
     * @param  string  $key  "collected", a clause's key, or "shown"
     * @param  int  $kept  entries left behind this step
     * @param  int  $dropped  entries that this step kept out, of those the steps before it let through
     */
    public function __construct(public string $key, public string $phrase, public int $kept, public int $dropped)
    {
    }
}
