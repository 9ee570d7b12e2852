<?php

declare(strict_types=1);

namespace App\Rounds;

use App\Entries\Rules;
use App\Likeness\Duplicates;
use App\Models\Entry;
use App\Models\Source;
use App\Pictures\Pictures;
use Gnomic\Entry\Entry as CoreEntry;
use Gnomic\Gather\Language\Languages;
use Gnomic\Gather\Matching\Digest;
use Gnomic\Gather\Matching\Known;
use Gnomic\Gather\Matching\Matched;
use Illuminate\Support\Facades\DB;

/** The entries of a source in the database: what matching needs of them, and how its outcome is written. */
final readonly class Stored
{
    public function __construct(private Duplicates $duplicates, private Pictures $pictures, private Rules $rules)
    {
    }

    /** @return array<array-key, Known> by identifier at the source */
    public function known(Source $source): array
    {
        $known = [];
        foreach (DB::table('entries')->where('source_id', $source->id)->select('native', 'digest', 'gone_at', 'published')->cursor() as $row) {
            $known[(string) $row->native] = new Known((string) $row->digest, $row->gone_at !== null, $row->published === null ? null : (int) $row->published);
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
        $added = $this->added($source, $matched->new);
        [$before, $edited] = $this->edited($source, $matched->changed);
        $changes = [...$this->gone($source, $matched->gone), ...$this->duplicates->place([...$added, ...$edited])];
        foreach ($added as $entry) {
            $changes[] = new Change(null, $entry->refresh()->facts());
        }
        foreach ($edited as $index => $entry) {
            $changes[] = new Change($before[$index], $entry->refresh()->facts());
        }
        $this->pictures->want($source->site, [...$matched->new, ...$matched->changed]);

        return $changes;
    }

    /**
     * @param  list<CoreEntry>  $entries
     * @return list<Entry>
     */
    private function added(Source $source, array $entries): array
    {
        $added = [];
        $ruled = $this->rules($source, $entries);
        foreach (array_chunk($entries, 100) as $chunk) {
            DB::table('entries')->insert(array_map(fn (CoreEntry $entry): array => self::row($entry, $source) + $ruled($entry) + ['created_at' => now(), 'updated_at' => now()], $chunk));
            $stored = Entry::query();
            $stored->where('source_id', $source->id)->whereIn('native', array_map(fn (CoreEntry $entry): string => $entry->id, $chunk));
            array_push($added, ...array_values($stored->get()->all()));
        }

        return $added;
    }

    /**
     * @param  list<CoreEntry>  $entries
     * @return array{list<\Gnomic\Sift\Facts>, list<Entry>} what they were to a brief, and what they are
     */
    private function edited(Source $source, array $entries): array
    {
        $before = $edited = [];
        $ruled = $this->rules($source, $entries);
        foreach ($entries as $entry) {
            $stored = Entry::query()->where('source_id', $source->id)->where('native', $entry->id)->firstOrFail();
            $before[] = $stored->facts();
            $columns = self::row($entry, $source, $stored->own_labels ?? []);
            if ($columns['digest'] !== $stored->digest) {
                $stored->revisions()->create(['payload' => $stored->payload, 'replaced_at' => now()]);
            }
            DB::table('entries')->where('id', $stored->id)->update($columns + self::again($stored, $ruled($entry)) + ['gone' => false, 'gone_at' => null, 'updated_at' => now()]);
            $edited[] = $stored->refresh();
        }

        return [$before, $edited];
    }

    /**
     * Kept, and marked with the date; whether it still shows is for the source to say.
     *
     * @param  list<string>  $natives
     * @return list<Change>
     */
    private function gone(Source $source, array $natives): array
    {
        $changes = [];
        foreach ($natives as $native) {
            $stored = Entry::query()->where('source_id', $source->id)->where('native', $native)->firstOrFail();
            $before = $stored->facts();
            $stored->update(['gone' => ! $source->shows_gone, 'gone_at' => now()]);
            array_push($changes, new Change($before, $stored->facts()), ...$this->duplicates->without($stored));
        }

        return $changes;
    }

    /**
     * What the owner writes is decided already.
     *
     * @param  list<CoreEntry>  $entries
     * @return callable(CoreEntry): array{barred: bool, held: bool, held_for: string|null}
     */
    private function rules(Source $source, array $entries): callable
    {
        $ruled = $this->rules->on($source->site, $entries);

        return $source->channel === 'hand' ? fn (CoreEntry $entry): array => ['held' => false, 'held_for' => null] + $ruled($entry) : $ruled;
    }

    /**
     * An edit is looked at anew where it gives another reason; what was decided for the same ones stays decided.
     *
     * @param  array{barred: bool, held: bool, held_for: string|null}  $ruled
     * @return array<string, mixed>
     */
    private static function again(Entry $stored, array $ruled): array
    {
        $before = $stored->held_for ?? [];
        $now = $ruled['held_for'] === null ? [] : json_decode($ruled['held_for'], true);

        return ['barred' => $ruled['barred']] + (array_diff(is_array($now) ? $now : [], $before) === [] ? [] : $ruled);
    }

    /**
     * The digest is of what the source said; what was found out besides must not look like an edit.
     *
     * @param  list<string>  $ownLabels
     * @return array<string, mixed>
     */
    private static function row(CoreEntry $entry, Source $source, array $ownLabels = []): array
    {
        return ['digest' => Digest::of($entry)] + Entry::columnsOf(Languages::filled($entry), $source, $ownLabels);
    }
}
