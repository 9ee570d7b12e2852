<?php

declare(strict_types=1);

namespace App\Entries;

use App\Entries\Sift\StoredFacts;
use App\Models\EntryRecord;
use App\Models\Site;
use App\Outbox\Outbox;
use Gnomic\Text\Tags;
use Illuminate\Support\Facades\DB;

/** What the owner puts on entries: hidden or not, decided or held, a label. Each can be taken back for just those it changed. */
final readonly class Marks
{
    public function __construct(private Outbox $outbox)
    {
    }

    /**
     * @param  list<string>  $refs
     * @return list<string> references of those that it changed
     */
    public function hide(Site $site, array $refs, bool $hidden): array
    {
        return $this->each(
            $site,
            $refs,
            $hidden ? 'hidden' : 'shown again',
            fn (EntryRecord $entry): ?array => (bool) $entry->getAttribute('hidden') === $hidden ? null : ['hidden' => $hidden],
        );
    }

    /**
     * Releases what is held, or holds it again.
     *
     * @param  list<string>  $refs
     * @return list<string>
     */
    public function hold(Site $site, array $refs, bool $held): array
    {
        return $this->each(
            $site,
            $refs,
            $held ? 'held' : 'released',
            fn (EntryRecord $entry): ?array => $entry->held === $held ? null : ['held' => $held],
        );
    }

    /**
     * @param  list<string>  $refs
     * @return list<string>
     */
    public function label(Site $site, array $refs, string $label, bool $on): array
    {
        $folded = Tags::folded($label);

        return $folded === null
            ? []
            : $this->each($site, $refs, 'labelled', function (EntryRecord $entry) use ($label, $folded, $on): ?array {
                $own = $entry->own_labels ?? [];
                $has = in_array($folded, Tags::each($own), true);
                if ($has === $on) {
                    return null;
                }
                $own = $on
                    ? [...$own, trim($label)]
                    : array_values(array_filter($own, fn (string $one): bool => Tags::folded($one) !== $folded));
                $came = is_array($entry->payload['tags'] ?? null) ? array_filter($entry->payload['tags'], is_string(...)) : [];

                return [
                    'own_labels' => $own === [] ? null : $own,
                    'labels' => Tags::line(Tags::each([...array_values($came), ...$own])),
                ];
            });
    }

    /**
     * @param  list<string>  $refs
     * @param  string  $done  "hidden"
     * @param  callable(EntryRecord): (array<string, mixed>|null)  $change  null where there is nothing to change
     * @return list<string>
     */
    private function each(Site $site, array $refs, string $done, callable $change): array
    {
        return DB::transaction(function () use ($site, $refs, $done, $change): array {
            $changes = [];
            foreach (array_chunk($refs, 500) as $chunk) {
                $records = EntryRecord::ofRefs($site, $chunk);
                $before = StoredFacts::rows(array_map(fn (EntryRecord $entry): int => $entry->id, array_values($records)));
                foreach ($records as $entry) {
                    $columns = $change($entry);
                    if ($columns !== null) {
                        $entry->update($columns);
                        $changes[] = new EntryChange($entry->ref, $before[$entry->id] ?? null);
                    }
                }
            }
            $this->outbox->entries(
                $site,
                EntryChange::kept($changes),
                count($changes) === 1 ? "An entry was $done" : count($changes)." entries were $done",
            );

            return array_map(fn (EntryChange $one): string => $one->ref, $changes);
        });
    }
}
