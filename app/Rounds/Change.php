<?php

declare(strict_types=1);

namespace App\Rounds;

use Gnomic\Sift\Facts;

/** What a round did to one entry, as far as a brief can see it. */
final readonly class Change
{
    /** @param  Facts|null  $before null for a new entry */
    public function __construct(public ?Facts $before, public Facts $after)
    {
    }
}
