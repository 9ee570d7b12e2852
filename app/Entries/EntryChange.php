<?php

declare(strict_types=1);

namespace App\Entries;

/** What happened to one stored entry, as far as a brief can see it: what it is now, the store tells. */
final readonly class EntryChange
{
    /** @param  array<string, mixed>|null  $before  columns as StoredFacts reads them; null for a new entry */
    public function __construct(public string $ref, public ?array $before)
    {
    }

    /**
     * As the outbox keeps them.
     *
     * @param  list<self>  $changes
     * @return list<array{ref: string, before: array<string, mixed>|null}>
     */
    public static function kept(array $changes): array
    {
        return array_map(fn (self $change): array => ['ref' => $change->ref, 'before' => $change->before], $changes);
    }
}
