<?php

declare(strict_types=1);

namespace App\Entries;

use App\Models\Entry;
use App\Models\Site;
use App\Rounds\Change;
use Gnomic\Gather\Text\Tags;
use Illuminate\Support\Facades\DB;

/** What the owner puts on entries: hidden or not, decided or held, a label. Each can be taken back for just those it changed. */
final class Marks
{
    /**
     * @param  list<string>  $refs
     * @return array<string, Change> by the reference of those that it changed
     */
    public function hide(Site $site, array $refs, bool $hidden): array
    {
        return $this->each($site, $refs, fn (Entry $entry): ?array => (bool) $entry->getAttribute('hidden') === $hidden ? null : ['hidden' => $hidden]);
    }

    /**
     * Releases what is held, or holds it again.
     *
     * @param  list<string>  $refs
     * @return array<string, Change>
     */
    public function hold(Site $site, array $refs, bool $held): array
    {
        return $this->each($site, $refs, fn (Entry $entry): ?array => $entry->held === $held ? null : ['held' => $held]);
    }

    /**
     * @param  list<string>  $refs
     * @return array<string, Change>
     */
    public function label(Site $site, array $refs, string $label, bool $on): array
    {
        $folded = Tags::folded($label);

        return $folded === null ? [] : $this->each($site, $refs, function (Entry $entry) use ($label, $folded, $on): ?array {
            $own = $entry->own_labels ?? [];
            $has = in_array($folded, Tags::each($own), true);
            if ($has === $on) {
                return null;
            }
            $own = $on ? [...$own, trim($label)] : array_values(array_filter($own, fn (string $one): bool => Tags::folded($one) !== $folded));
            $came = is_array($entry->payload['tags'] ?? null) ? array_filter($entry->payload['tags'], is_string(...)) : [];

            return ['own_labels' => $own === [] ? null : $own, 'labels' => Entry::betweenBars(Tags::each([...$came, ...$own]))];
        });
    }

    /**
     * @param  list<string>  $refs
     * @param  callable(Entry): (array<string, mixed>|null)  $change  null where there is nothing to change
     * @return array<string, Change>
     */
    private function each(Site $site, array $refs, callable $change): array
    {
        return DB::transaction(function () use ($site, $refs, $change): array {
            $changes = [];
            foreach (array_chunk($refs, 500) as $chunk) {
                foreach (Entry::ofRefs($site, $chunk) as $entry) {
                    $columns = $change($entry);
                    if ($columns !== null) {
                        $before = $entry->facts();
                        $entry->update($columns);
                        $changes[$entry->ref] = new Change($before, $entry->facts());
                    }
                }
            }

            return $changes;
        });
    }
}
