<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/** Entries in their order, and what the balanced order saw in those it chose. */
final readonly class Ordered
{
    /**
     * @param  list<Facts>  $entries
     * @param  array<string, int>  $variety  0 to 1000 by identifier
     */
    public function __construct(public array $entries, public array $variety = [])
    {
    }
}
