<?php

declare(strict_types=1);

namespace App\Channels;

use Gnomic\Gather\Matching\Coverage;
use Gnomic\Gather\Reading;

/** What a channel brought back. */
final readonly class Gathered
{
    /** @param  Reading|null  $reading null where the service says that nothing is new */
    public function __construct(public ?Reading $reading, public Coverage $coverage, public Conditions $conditions)
    {
    }
}
