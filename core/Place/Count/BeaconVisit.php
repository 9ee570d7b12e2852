<?php

declare(strict_types=1);

namespace Gnomic\Place\Count;

/** What a beacon says of one widget of a page. */
final readonly class BeaconVisit
{
    /**
     * @param  int  $width  of the widget, in CSS pixels
     * @param  'hidden'|'narrow'|'pictures'|null  $fault  why nobody can see it, or that its pictures did not come
     * @param  array<string, list<int>>  $entries  openings, reads and clicks by what names the entry on the page
     */
    public function __construct(public string $key, public int $width, public Counts $counts, public ?string $fault, public array $entries)
    {
    }
}
