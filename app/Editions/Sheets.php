<?php

declare(strict_types=1);

namespace App\Editions;

/** Style sheets of a widget, in their order: most of them stay as they are whatever comes into it. */
final readonly class Sheets
{
    /**
     * @param  list<string>  $usual  of its look, its parts and its layouts
     * @param  string  $ofEntries  of what stands in it, and of nothing else
     * @param  string  $own  of the owner
     */
    public function __construct(public array $usual, public string $ofEntries = '', public string $own = '')
    {
    }
}
