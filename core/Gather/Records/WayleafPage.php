<?php

declare(strict_types=1);

namespace Gnomic\Gather\Records;

use Gnomic\Gather\Reading;

/** One page of a place's reviews, and the cursor of the next. */
final readonly class WayleafPage
{
    public function __construct(public Reading $reading, public ?string $next)
    {
    }
}
