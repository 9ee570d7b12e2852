<?php

declare(strict_types=1);

namespace App\Entries;

use App\Entries\Sift\StoredFacts;
use App\Models\EntryRecord;
use App\Models\Source;
use App\Outbox\Outbox;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Gather\Likeness\ComparedEntry;
use Gnomic\Gather\Likeness\Likeness;
use Gnomic\Gather\Likeness\MinHash;
use Gnomic\Gather\Likeness\Neighbours;
use Gnomic\Json\Value;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * The same opinion told at several places: found when an entry arrives, by looking only where entries that may be alike
 * meet; grouped behind the one that speaks for all. What the owner joined or parted stays so.
 */
final readonly class Duplicates
{
    /** Entries of one place of meeting that are looked at: a phrase that thousands use tells nobody from another. */
    private const MOST_IN_BAND = 200;

    public function __construct(private Outbox $outbox)
    {
    }

    /**
     * Looks for the likes of entries that are new, or whose words have changed. Within the caller's transaction.
     *
     * @param  list<array{int, Entry}>  $entries  of one source, by their identifiers
     * @return array<int, array<string, mixed>> what those were before for whom another speaks now, by identifier
     */
    public function place(Source $source, array $entries): array
    {
        $compared = $bands = $rows = [];
        foreach ($entries as [$id, $entry]) {
            $compared[$id] = ComparedEntry::by($entry);
            $bands[$id] = MinHash::bands(MinHash::signature($compared[$id]->shingles));
            foreach ($bands[$id] as $band) {
                $rows[] = ['site_id' => $source->site_id, 'band' => $band, 'entry_id' => $id];
            }
        }
        $found = $this->likes($source, $entries, $compared, $bands);
        DB::table('bands')->whereIn('entry_id', array_keys($bands))->delete();
        foreach (array_chunk($rows, 8000) as $chunk) {
            DB::table('bands')->insertOrIgnore($chunk);
        }
        if ($found === []) {
            return [];
        }
        $this->note(
            $source->site_id,
            array_map(fn (array $one): array => [$one[0], $one[1], $one[2]->score, $one[2]->reason], $found),
            'found',
        );

        return $this->regroup(
            array_merge(...array_map(fn (array $one): array => [$one[0], $one[1]], $found)),
            array_map(fn (array $one): array => [$one[0], $one[1]], $found),
        );
    }

    /** The owner says that two are one. @return int how many that changed */
    public function join(EntryRecord $one, EntryRecord $other, string $cause): int
    {
        return DB::transaction(function () use ($one, $other, $cause): int {
            $score = Likeness::between(ComparedEntry::by($one->toCore()), ComparedEntry::by($other->toCore()))->score;
            $this->note($one->site_id, [[$one->id, $other->id, $score, 'You marked them as duplicates.']], 'joined');

            return $this->told($one, $this->regroup([$one->id, $other->id], [[$one->id, $other->id]]), $cause);
        });
    }

    /** The owner says that an entry stands for itself. @return int how many that changed */
    public function part(EntryRecord $entry, string $cause): int
    {
        return DB::transaction(function () use ($entry, $cause): int {
            $others = array_values(array_filter(
                array_map(fn (EntryRecord $one): int => $one->id, $this->groupOf($entry)),
                fn (int $id): bool => $id !== $entry->id,
            ));
            $this->note(
                $entry->site_id,
                array_map(fn (int $other): array => [$entry->id, $other, 0.0, 'You separated them.'], $others),
                'parted',
            );

            return $this->told($entry, $this->spokenFor([[$entry->id], $others]), $cause);
        });
    }

    /** @return list<EntryRecord> the entry itself, and all that are told again of each other with it */
    public function groupOf(EntryRecord $entry): array
    {
        $speaker = $entry->speaker_id ?? $entry->id;
        $group = EntryRecord::query();
        $group->where('site_id', $entry->site_id)->where(
            fn ($query) => $query->where('id', $speaker)
                ->orWhere('speaker_id', $speaker),
        )->orderBy('id');

        return array_values($group->get()->all());
    }

    /**
     * Lets another speak where the one that did has gone, and one where several have become one.
     *
     * @param  list<int>  $ids  entries whose groups are looked at
     * @param  list<array{int, int}>  $pairs  that belong together from now on
     * @return array<int, array<string, mixed>> what those were before for whom another speaks now, by identifier
     */
    public function regroup(array $ids, array $pairs = []): array
    {
        $speakers = [];
        foreach (array_chunk(array_values(array_unique($ids)), 5000) as $chunk) {
            foreach (DB::table('entries')->whereIn('id', $chunk)->get(['id', 'speaker_id']) as $row) {
                $speakers[Value::whole($row->id)] = Value::whole($row->speaker_id ?? $row->id);
            }
        }
        // Groups that a pair connects become one, and so on along a chain.
        $into = array_combine($speakers, $speakers);
        $root = function (int $speaker) use (&$into): int {
            while ($into[$speaker] !== $speaker) {
                $speaker = $into[$speaker];
            }

            return $speaker;
        };
        foreach ($pairs as [$one, $other]) {
            $into[$root($speakers[$one])] = $root($speakers[$other]);
        }
        $groups = [];
        foreach (array_chunk(array_keys($into), 5000) as $chunk) {
            foreach (DB::table('entries')->whereIn('id', $chunk)->orWhereIn('speaker_id', $chunk)->get(['id', 'speaker_id']) as $row) {
                $groups[$root(Value::whole($row->speaker_id ?? $row->id))][] = Value::whole($row->id);
            }
        }

        return $this->spokenFor(array_values(array_filter($groups, fn (array $group): bool => count($group) > 1)));
    }

    /**
     * One speaks for each group: of those still there, one that is rated, with the most words, and then the earliest.
     *
     * @param  list<list<int>>  $groups
     * @return array<int, array<string, mixed>> what those were before for whom it is another now, by identifier
     */
    private function spokenFor(array $groups): array
    {
        $rows = [];
        foreach (array_chunk(array_merge(...$groups), 5000) as $chunk) {
            foreach (
                DB::table('entries')->whereIn('id', $chunk)
                    ->get(['id', 'source', 'gone', 'stars', 'length', 'published', 'speaker_id', 'duplicate', 'duplicate_of']) as $row
            ) {
                $rows[Value::whole($row->id)] = $row;
            }
        }
        $changed = [];
        foreach ($groups as $group) {
            $members = array_values(array_filter(array_map(fn (int $id): ?stdClass => $rows[$id] ?? null, $group)));
            usort($members, fn (stdClass $one, stdClass $other): int => self::rank($one) <=> self::rank($other));
            $sources = [];
            foreach ($members as $place => $row) {
                $now = [
                    Value::whole($row->id),
                    $place === 0 ? 0 : 1,
                    $place === 0 ? null : Value::whole($members[0]->id),
                    $sources === [] ? null : '|'.implode('|', array_unique($sources)).'|',
                ];
                if ($now !== [
                    Value::whole($row->id),
                    Value::whole($row->duplicate),
                    Value::wholeOrNull($row->speaker_id),
                    $row->duplicate_of,
                ]) {
                    $changed[Value::whole($row->id)] = $now;
                }
                if (! (bool) $row->gone) {
                    $sources[] = Value::text($row->source);
                }
            }
        }
        $before = StoredFacts::rows(array_keys($changed));
        if ($changed !== []) {
            DB::update("UPDATE entries SET duplicate = json_extract(new.value, '$[1]'),
                speaker_id = json_extract(new.value, '$[2]'), duplicate_of = json_extract(new.value, '$[3]')
                FROM json_each(?) AS new WHERE entries.id = json_extract(new.value, '$[0]')",
                [json_encode(array_values($changed), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)]);
        }

        return $before;
    }

    /** @return list<mixed> the lowest speaks */
    private static function rank(stdClass $row): array
    {
        return [
            Value::whole($row->gone),
            $row->stars === null ? 1 : 0,
            -Value::whole($row->length),
            $row->published ?? PHP_INT_MAX,
            Value::whole($row->id),
        ];
    }

    /**
     * For each entry the one of another source that it is most likely told again of.
     *
     * @param  list<array{int, Entry}>  $entries
     * @param  array<int, ComparedEntry>  $compared
     * @param  array<int, list<int>>  $bands
     * @return list<array{int, int, Likeness}>
     */
    private function likes(Source $source, array $entries, array $compared, array $bands): array
    {
        $candidates = $this->candidates($source, $bands);
        $others = [];
        foreach (array_chunk(array_values(array_unique(array_merge([], ...array_values($candidates)))), 2000) as $chunk) {
            foreach (DB::table('entries')->whereIn('id', $chunk)->get(['id', 'source', 'ref', 'kind', 'payload']) as $row) {
                $others[Value::whole($row->id)] = $row;
            }
        }
        $parted = $candidates === [] ? [] : $this->parted(array_keys($candidates));
        $known = $found = [];
        foreach ($entries as [$id, $entry]) {
            $best = null;
            foreach ($candidates[$id] ?? [] as $other) {
                $row = $others[$other] ?? null;
                if ($row === null || $row->kind !== $entry->kind->value || isset($parted["$id $other"])) {
                    continue;
                }
                $known[$other] ??= self::compared($row);
                $likeness = Likeness::between($known[$other], $compared[$id]);
                if ($likeness->isSame && ($best === null || $likeness->score > $best[2]->score)) {
                    $best = [$id, $other, $likeness];
                }
            }
            if ($best !== null) {
                $found[] = $best;
            }
        }

        return $found;
    }

    /**
     * @param  array<int, list<int>>  $bands
     * @return array<int, list<int>> entries of other sources that share bands with one, those that share the most first
     */
    private function candidates(Source $source, array $bands): array
    {
        $having = [];
        $rows = DB::select(
            'SELECT band, entry_id FROM (
                SELECT bands.band, bands.entry_id, ROW_NUMBER() OVER (PARTITION BY bands.band ORDER BY bands.entry_id) AS place
                FROM bands CROSS JOIN entries ON entries.id = bands.entry_id
                WHERE bands.site_id = ? AND bands.band IN (SELECT value FROM json_each(?))
                    AND entries.source_id <> ? AND entries.gone = 0
            ) WHERE place <= ?',
            [
                $source->site_id,
                json_encode(array_values(array_unique(array_merge([], ...array_values($bands)))), JSON_THROW_ON_ERROR),
                $source->id,
                self::MOST_IN_BAND,
            ],
        );
        foreach ($rows as $row) {
            /** @var stdClass $row */
            $having[Value::whole($row->band)][] = Value::whole($row->entry_id);
        }
        $candidates = [];
        foreach ($having === [] ? [] : $bands as $id => $own) {
            $shared = [];
            foreach ($own as $band) {
                foreach ($having[$band] ?? [] as $other) {
                    $shared[$other] = ($shared[$other] ?? 0) + 1;
                }
            }
            if ($shared !== []) {
                arsort($shared);
                $candidates[$id] = array_slice(array_keys($shared), 0, Neighbours::MOST);
            }
        }

        return $candidates;
    }

    private static function compared(stdClass $row): ComparedEntry
    {
        $entry = EntryJson::restored(json_decode(Value::text($row->payload), true));

        return ComparedEntry::by($entry->from(Value::text($row->source), Value::text($row->ref)));
    }

    /**
     * @param  list<int>  $ids
     * @return array<string, true> pairs that the owner has parted, both ways round
     */
    private function parted(array $ids): array
    {
        $parted = [];
        foreach (
            DB::table('likenesses')->where('verdict', 'parted')
                ->where(fn (Builder $query) => $query->whereIn('entry_id', $ids)->orWhereIn('other_id', $ids))
                ->get(['entry_id', 'other_id']) as $row
        ) {
            [$one, $other] = [Value::whole($row->entry_id), Value::whole($row->other_id)];
            $parted["$one $other"] = $parted["$other $one"] = true;
        }

        return $parted;
    }

    /** @param  list<array{int, int, float, string}>  $pairs  with score and reason */
    private function note(int $siteId, array $pairs, string $verdict): void
    {
        $rows = array_map(
            fn (array $pair): array => [
                'site_id' => $siteId,
                'entry_id' => $pair[0],
                'other_id' => $pair[1],
                'score' => $pair[2],
                'reason' => $pair[3],
                'verdict' => $verdict,
                'updated_at' => now(),
                'created_at' => now(),
            ],
            $pairs,
        );
        DB::delete("DELETE FROM likenesses WHERE (entry_id, other_id) IN (SELECT json_extract(value, '$[1]'), json_extract(value, "
            ."'$[0]') FROM json_each(?))",
            [json_encode(array_map(fn (array $pair): array => [$pair[0], $pair[1]], $pairs), JSON_THROW_ON_ERROR)]);
        DB::table('likenesses')->upsert($rows, ['entry_id', 'other_id'], ['score', 'reason', 'verdict', 'updated_at']);
    }

    /** @param  array<int, array<string, mixed>>  $before */
    private function told(EntryRecord $entry, array $before, string $cause): int
    {
        $refs = DB::table('entries')->whereIn('id', array_keys($before))->pluck('ref', 'id')->all();
        $this->outbox->entries(
            $entry->site,
            EntryChange::kept(array_map(
                fn (int $id, array $row): EntryChange => new EntryChange(Value::text($refs[$id]), $row),
                array_keys($before),
                $before,
            )),
            $cause,
        );

        return count($before);
    }
}
