<?php

declare(strict_types=1);

namespace Gnomic\Gather\Tables;

use Gnomic\Entry\Entry;

/** What one row of a table gave: an entry, or what is wrong with it. */
final readonly class EntryRow
{
    /**
     * @param  list<string>  $wrong  why the row cannot be taken, each with the remedy; empty where it can
     * @param  list<string>  $notes  what was left out of a row that can
     */
    public function __construct(public int $number, public ?Entry $entry, public array $wrong, public array $notes = [])
    {
    }
}
