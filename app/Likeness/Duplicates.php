<?php

declare(strict_types=1);

namespace App\Likeness;

use App\Models\Entry;
use App\Rounds\Change;
use Gnomic\Gather\Likeness\Likeness;
use Gnomic\Gather\Likeness\MinHash;
use Gnomic\Gather\Likeness\Neighbours;
use Gnomic\Gather\Likeness\Said;
use Illuminate\Support\Facades\DB;

/**
 * The same opinion told at several places: found when an entry arrives, by looking only where entries that may be alike
 * meet; grouped behind the one that speaks for all. What the owner joined or parted stays so.
 */
final class Duplicates
{
    /**
     * Looks for the likes of entries that are new, or whose words have changed. Within the caller's transaction.
     *
     * @param  list<Entry>  $entries
     * @return list<Change> what happened to entries that were there before
     */
    public function place(array $entries): array
    {
        $fresh = array_fill_keys(array_map(fn (Entry $entry): int => $entry->id, $entries), true);
        $changes = [];
        foreach ($entries as $entry) {
            $said = Said::by($entry->toCore());
            $bands = MinHash::bands(MinHash::signature($said->shingles));
            $found = $this->nearest($entry, $said, $bands);
            DB::table('bands')->where('entry_id', $entry->id)->delete();
            DB::table('bands')->insertOrIgnore(array_map(fn (int $band): array => ['site_id' => $entry->site_id, 'band' => $band, 'entry_id' => $entry->id], $bands));
            if ($found !== null) {
                [$other, $likeness] = $found;
                $this->note($entry, $other, $likeness->score, $likeness->reason, 'found');
                foreach ($this->regroup([$entry, ...$this->groupOf($other)]) as $change) {
                    if (! isset($fresh[$change[0]])) {
                        $changes[] = $change[1];
                    }
                }
            }
        }

        return $changes;
    }

    /**
     * The owner says that two are one.
     *
     * @return list<Change>
     */
    public function join(Entry $one, Entry $other): array
    {
        return DB::transaction(function () use ($one, $other): array {
            $this->note($one, $other, Likeness::between(Said::by($one->toCore()), Said::by($other->toCore()))->score, 'You joined them.', 'joined');

            return array_column($this->regroup([...$this->groupOf($one), ...$this->groupOf($other)]), 1);
        });
    }

    /**
     * The owner says that an entry stands for itself.
     *
     * @return list<Change>
     */
    public function part(Entry $entry): array
    {
        return DB::transaction(function () use ($entry): array {
            $group = array_values(array_filter($this->groupOf($entry), fn (Entry $one): bool => $one->id !== $entry->id));
            foreach ($group as $other) {
                $this->note($entry, $other, 0.0, 'You parted them.', 'parted');
            }

            return array_column([...$this->regroup([$entry]), ...$this->regroup($group)], 1);
        });
    }

    /**
     * Where the one that speaks has gone, another of its group does.
     *
     * @return list<Change>
     */
    public function without(Entry $gone): array
    {
        $group = $this->groupOf($gone);

        return count($group) < 2 ? [] : array_column(array_filter($this->regroup($group), fn (array $change): bool => $change[0] !== $gone->id), 1);
    }

    /** @return list<Entry> the entry itself, and all that are told again of each other with it */
    public function groupOf(Entry $entry): array
    {
        $speaker = $entry->speaker_id ?? $entry->id;

        $group = Entry::query();
        $group->where('site_id', $entry->site_id)->where(fn ($query) => $query->where('id', $speaker)->orWhere('speaker_id', $speaker))->orderBy('id');

        return array_values($group->get()->all());
    }

    /**
     * @param  list<int>  $bands
     * @return array{Entry, Likeness}|null
     */
    private function nearest(Entry $entry, Said $said, array $bands): ?array
    {
        $ids = $bands === [] ? [] : DB::table('bands')->where('site_id', $entry->site_id)->whereIn('band', $bands)->where('entry_id', '!=', $entry->id)
            ->groupBy('entry_id')->orderByRaw('COUNT(*) DESC')->limit(Neighbours::MOST)->pluck('entry_id')->all();
        if ($ids === []) {
            return null;
        }
        $parted = DB::table('likenesses')->where('verdict', 'parted')->where(fn ($query) => $query->where('entry_id', $entry->id)->orWhere('other_id', $entry->id))->get(['entry_id', 'other_id']);
        $apart = [...$parted->pluck('entry_id')->all(), ...$parted->pluck('other_id')->all()];
        $best = null;
        $others = Entry::query();
        $others->whereIn('id', $ids)->where('source_id', '!=', $entry->source_id)->where('kind', $entry->kind)->where('gone', false);
        foreach ($others->get() as $other) {
            $likeness = Likeness::between(Said::by($other->toCore()), $said);
            if ($likeness->isSame && ! in_array($other->id, $apart, true) && ($best === null || $likeness->score > $best[1]->score)) {
                $best = [$other, $likeness];
            }
        }

        return $best;
    }

    /**
     * One speaks for the group: of those still there, one that is rated, with the most words, and then the earliest.
     *
     * @param  list<Entry>  $group
     * @return list<array{int, Change}> by the identifiers of those for whom it is another now
     */
    private function regroup(array $group): array
    {
        $group = array_values(array_column(array_map(fn (Entry $entry): array => [$entry->id, $entry], $group), 1, 0)); // each once
        usort($group, fn (Entry $one, Entry $other): int => [$one->gone, $one->stars === null, -$one->length, $one->published ?? PHP_INT_MAX, $one->id]
            <=> [$other->gone, $other->stars === null, -$other->length, $other->published ?? PHP_INT_MAX, $other->id]);
        $speaker = $group[0] ?? null;
        $changes = [];
        $sources = [];
        foreach ($group as $entry) {
            $before = $entry->facts();
            $isSpeaker = $speaker !== null && $entry->id === $speaker->id;
            $entry->fill(['duplicate' => ! $isSpeaker, 'speaker_id' => $isSpeaker ? null : $speaker?->id, 'told_by' => $sources === [] ? null : '|'.implode('|', array_unique($sources)).'|']);
            if (! $entry->gone) {
                $sources[] = $entry->source;
            }
            if ($entry->isDirty()) {
                $entry->save();
                $changes[] = [$entry->id, new Change($before, $entry->facts())];
            }
        }

        return $changes;
    }

    private function note(Entry $entry, Entry $other, float $score, string $reason, string $verdict): void
    {
        DB::table('likenesses')->where(fn ($query) => $query->where(['entry_id' => $other->id, 'other_id' => $entry->id]))->delete();
        DB::table('likenesses')->updateOrInsert(['entry_id' => $entry->id, 'other_id' => $other->id],
            ['site_id' => $entry->site_id, 'score' => $score, 'reason' => $reason, 'verdict' => $verdict, 'updated_at' => now(), 'created_at' => now()]);
    }
}
