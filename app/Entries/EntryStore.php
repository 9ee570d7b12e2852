<?php

declare(strict_types=1);

namespace App\Entries;

use App\Entries\Sift\StoredFacts;
use App\Models\Source;
use App\Models\Subject;
use App\Outbox\Outbox;
use App\Pictures\Pictures;
use Closure;
use Gnomic\Entry\Entry;
use Gnomic\Gather\Matching\Coverage;
use Gnomic\Gather\Matching\Digest;
use Gnomic\Gather\Matching\Known;
use Gnomic\Gather\Matching\Matched;
use Gnomic\Gather\Matching\Matcher;
use Gnomic\Json\Value;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * The only way in for entries, whatever brings them: one transaction that matches, writes, sets the subject, groups those told
 * twice, applies the site's rules, and writes down what has to be rendered. Its work grows by batches, not by entries.
 */
final readonly class EntryStore
{
    /** Entries that are written by one statement: some thirty columns each, of the 32,766 that SQLite takes. */
    private const BATCH = 250;

    public function __construct(
        private Duplicates $duplicates,
        private Pictures $pictures,
        private EntryRules $rules,
        private Outbox $outbox,
    ) {
    }

    /**
     * Stores what a source answered.
     *
     * @param  list<Entry>  $answered
     * @param  string  $cause  what editions say they were made for
     * @param  Closure(Matched): void|null  $within  more to be done in the same transaction, also where the answer is held
     * @param  Closure(int): void|null  $progress  told how many are written
     * @param  bool  $fromElsewhere  as Matcher::match()
     */
    public function take(
        Source $source,
        array $answered,
        Coverage $coverage,
        string $cause,
        ?int $roundId = null,
        ?Closure $within = null,
        ?Closure $progress = null,
        bool $fromElsewhere = false,
    ): StoredAnswer {
        return DB::transaction(function () use (
            $source,
            $answered,
            $coverage,
            $cause,
            $roundId,
            $within,
            $progress,
            $fromElsewhere,
        ): StoredAnswer {
            $matched = Matcher::match($this->known($source), $answered, $coverage, $source->accepts_loss, $fromElsewhere);
            $changes = $matched->held === null ? $this->written($source, $matched, $progress) : [];
            $this->outbox->entries($source->site, EntryChange::kept($changes), $cause, $roundId);
            if ($within !== null) {
                $within($matched);
            }

            return new StoredAnswer($matched, $changes);
        });
    }

    /** @return array<array-key, Known> by identifier at the source */
    public function known(Source $source): array
    {
        $known = [];
        foreach (
            DB::table('entries')->where('source_id', $source->id)
                ->select('source_entry_id', 'digest', 'gone_at', 'published')
                ->cursor() as $row
        ) {
            $known[Value::text($row->source_entry_id)] = new Known(
                Value::text($row->digest),
                $row->gone_at !== null,
                Value::wholeOrNull($row->published),
            );
        }

        return $known;
    }

    /**
     * Keeps that an entry is gone, or there again, whatever its source says.
     *
     * @return list<EntryChange>
     */
    public function setGone(int $id, bool $gone): array
    {
        $before = StoredFacts::rows([$id]);
        DB::table('entries')->where('id', $id)->update(['gone' => $gone, 'gone_at' => $gone ? now() : null, 'updated_at' => now()]);

        return self::changes($before, $this->duplicates->regroup([$id]));
    }

    /**
     * @param  Closure(int): void|null  $progress
     * @return list<EntryChange>
     */
    private function written(Source $source, Matched $matched, ?Closure $progress): array
    {
        $entries = [...$matched->new, ...$matched->changed, ...$matched->reread];
        $prepared = array_map(fn (Entry $entry): PreparedEntry => PreparedEntry::of($entry, $matched->digests[$entry->id]), $entries);
        $ruled = $this->ruled($source, $prepared);
        $subjects = $this->subjects($source, $entries);
        $before = [];
        $done = 0;
        foreach (array_chunk($prepared, self::BATCH) as $batch) {
            $before += $this->batch($source, $batch, $ruled, $subjects);
            if ($progress !== null) {
                $progress($done += count($batch));
            }
        }
        $before += $this->gone($source, $matched->gone);
        $this->pictures->want($source->site, $entries);

        return self::changes($before, []);
    }

    /**
     * @param  list<PreparedEntry>  $batch
     * @param  Closure(PreparedEntry): array{barred: bool, held: bool, held_for: string|null}  $ruled
     * @param  array<string, int>  $subjects
     * @return array<int, array<string, mixed>|null> what was there before, by identifier; null for a new entry
     */
    private function batch(Source $source, array $batch, Closure $ruled, array $subjects): array
    {
        $there = $this->there($source, array_map(fn (PreparedEntry $one): string => $one->entry->id, $batch));
        $before = StoredFacts::rows(array_map(fn (stdClass $row): int => Value::whole($row->id), array_values($there)));
        $rows = $revisions = [];
        foreach ($batch as $one) {
            $stored = $there[$one->entry->id] ?? null;
            $rules = $ruled($one);
            if ($stored !== null) {
                $rules = self::ruledAgain($stored, $rules);
                // Only what the source said otherwise before: not what is back, nor what was stored by an earlier version.
                if (! Digest::agrees(Value::text($stored->digest), $one->said)) {
                    $revisions[] = ['entry_id' => $stored->id, 'payload' => $stored->payload, 'replaced_at' => now()];
                }
            }
            $own = $stored === null || $stored->own_labels === null ? [] : json_decode(Value::text($stored->own_labels), true);
            $rows[] = $one->columns(
                $source,
                $subjects[(string) $one->entry->subject] ?? $source->subject_id,
                is_array($own) ? array_values(array_filter($own, is_string(...))) : [],
            )
                + $rules + ['gone' => false, 'gone_at' => null, 'created_at' => now(), 'updated_at' => now()];
        }
        DB::table('revisions')->insert($revisions);
        DB::table('entries')->upsert(
            $rows,
            ['source_id', 'source_entry_id'],
            array_values(array_diff(array_keys($rows[0]), ['created_at', 'site_id', 'source_id', 'source_entry_id'])),
        );
        $ids = [];
        foreach ($this->there($source, array_map(fn (PreparedEntry $one): string => $one->entry->id, $batch)) as $key => $row) {
            $ids[$key] = Value::whole($row->id);
            $before += [Value::whole($row->id) => null];
        }
        $found = array_map(fn (PreparedEntry $one): array => [$ids[$one->entry->id], $one->entry], $batch);

        return $before + $this->duplicates->place($source, $found);
    }

    /**
     * Kept, and marked with the date; whether it still shows is for the source to say.
     *
     * @param  list<string>  $sourceEntryIds
     * @return array<int, array<string, mixed>|null> what was there before, by identifier
     */
    private function gone(Source $source, array $sourceEntryIds): array
    {
        $before = [];
        foreach (array_chunk($sourceEntryIds, 2 * self::BATCH) as $chunk) {
            $ids = array_map(fn (stdClass $row): int => Value::whole($row->id), array_values($this->there($source, $chunk)));
            $before += StoredFacts::rows($ids);
            DB::table('entries')->whereIn('id', $ids)->update([
                'gone' => ! $source->shows_gone,
                'gone_at' => now(),
                'updated_at' => now(),
            ]);
            $before += $this->duplicates->regroup($ids);
        }

        return $before;
    }

    /**
     * @param  list<string>  $sourceEntryIds
     * @return array<array-key, stdClass> by their identifier at the source
     */
    private function there(Source $source, array $sourceEntryIds): array
    {
        return DB::table('entries')->where('source_id', $source->id)->whereIn('source_entry_id', $sourceEntryIds)
            ->get(['id', 'source_entry_id', 'digest', 'payload', 'own_labels', 'held', 'held_for'])->keyBy('source_entry_id')->all();
    }

    /**
     * What the owner hands over says itself what it is about; what a source brings is about what the source is.
     *
     * @param  list<Entry>  $entries
     * @return array<string, int> identifiers of subjects by the name that entries give
     */
    private function subjects(Source $source, array $entries): array
    {
        if (! in_array($source->channel, ['table', 'hand'], true)) {
            return [];
        }
        $subjects = [];
        $names = array_unique(array_map(fn (Entry $entry): string => (string) $entry->subject, $entries));
        foreach (array_diff($names, ['']) as $name) {
            $subjects[$name] = Subject::named($source->site, $name)->id;
        }

        return $subjects;
    }

    /**
     * What the owner writes is decided already.
     *
     * @param  list<PreparedEntry>  $entries
     * @return Closure(PreparedEntry): array{barred: bool, held: bool, held_for: string|null}
     */
    private function ruled(Source $source, array $entries): Closure
    {
        $ruled = $this->rules->on($source->site, $entries);

        return $source->channel === 'hand'
            ? fn (PreparedEntry $entry): array => ['held' => false, 'held_for' => null] + $ruled($entry)
            : $ruled;
    }

    /**
     * An edit is looked at anew where it gives another reason; what was decided for the same ones stays decided.
     *
     * @param  array{barred: bool, held: bool, held_for: string|null}  $now
     * @return array<string, mixed>
     */
    private static function ruledAgain(stdClass $stored, array $now): array
    {
        $before = json_decode(Value::text($stored->held_for ?? '[]'), true);
        $reasons = json_decode($now['held_for'] ?? '[]', true);
        $isNew = array_diff(Value::texts($reasons), Value::texts($before)) !== [];

        return $isNew ? $now : ['barred' => $now['barred'], 'held' => (bool) $stored->held, 'held_for' => $stored->held_for];
    }

    /**
     * @param  array<int, array<string, mixed>|null>  $before
     * @param  array<int, array<string, mixed>|null>  $more
     * @return list<EntryChange>
     */
    private static function changes(array $before, array $more): array
    {
        $before += $more;
        $refs = [];
        foreach (array_chunk(array_keys($before), 5000) as $ids) {
            $refs += DB::table('entries')->whereIn('id', $ids)->pluck('ref', 'id')->all();
        }

        return array_map(
            fn (int $id, ?array $row): EntryChange => new EntryChange(Value::text($refs[$id] ?? ''), $row),
            array_keys($before),
            $before,
        );
    }
}
