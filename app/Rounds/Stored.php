<?php

declare(strict_types=1);

namespace App\Rounds;

use App\Models\Entry;
use App\Models\Source;
use Gnomic\Gather\Matching\Known;
use Gnomic\Gather\Matching\Matched;
use Gnomic\Sift\Facts;
use Illuminate\Support\Facades\DB;

/** The entries of a source in the database: what matching needs of them, and how its outcome is written. */
final class Stored
{
    /** @return array<array-key, Known> by identifier at the source */
    public function known(Source $source): array
    {
        $known = [];
        foreach (DB::table('entries')->where('source_id', $source->id)->select('native', 'digest', 'gone', 'published')->cursor() as $row) {
            $known[(string) $row->native] = new Known((string) $row->digest, (bool) $row->gone, $row->published === null ? null : (int) $row->published);
        }

        return $known;
    }

    /**
     * Within the caller's transaction.
     *
     * @return list<Change>
     */
    public function apply(Source $source, Matched $matched): array
    {
        $changes = [];
        $now = now();
        foreach (array_chunk($matched->new, 100) as $chunk) {
            $rows = array_map(fn ($entry): array => Entry::columnsOf($entry, $source) + ['created_at' => $now, 'updated_at' => $now], $chunk);
            DB::table('entries')->insert($rows);
            foreach ($chunk as $entry) {
                $changes[] = new Change(null, Facts::of($entry->from($source->key, Entry::refOf($source, $entry->id))));
            }
        }
        foreach ($matched->changed as $entry) {
            $stored = Entry::query()->where('source_id', $source->id)->where('native', $entry->id)->firstOrFail();
            $before = $stored->facts();
            $columns = Entry::columnsOf($entry, $source);
            if ($columns['digest'] !== $stored->digest) {
                $stored->revisions()->create(['payload' => $stored->payload, 'replaced_at' => $now]);
            }
            DB::table('entries')->where('id', $stored->id)->update($columns + ['gone' => false, 'gone_at' => null, 'updated_at' => $now]);
            $changes[] = new Change($before, $stored->refresh()->facts());
        }
        foreach ($matched->gone as $native) {
            $stored = Entry::query()->where('source_id', $source->id)->where('native', $native)->firstOrFail();
            $before = $stored->facts();
            $stored->update(['gone' => true, 'gone_at' => $now]);
            $changes[] = new Change($before, $stored->facts());
        }

        return $changes;
    }
}
