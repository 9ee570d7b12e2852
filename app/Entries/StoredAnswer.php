<?php

declare(strict_types=1);

namespace App\Entries;

use Gnomic\Gather\Matching\Matched;

/** What the store made of an answer: how it matched, and what changed by it. */
final readonly class StoredAnswer
{
    /** @param  list<EntryChange>  $changes  final: after subjects, duplicates and rules; none where the answer is held */
    public function __construct(public Matched $matched, public array $changes)
    {
    }
}
