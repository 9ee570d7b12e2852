<?php

declare(strict_types=1);

namespace App\Sources;

use App\Models\EntryRecord;
use App\Models\Source;
use App\Outbox\Outbox;
use Illuminate\Support\Facades\DB;

/** What stays on show of a source whose entries are gone, or that was removed itself. */
final readonly class Removal
{
    /** Hours for which a removed source can be brought back. */
    private const KEPT_HOURS = 24;

    public function __construct(private Outbox $outbox)
    {
    }

    /** @return int how many entries went with it */
    public function remove(Source $source): int
    {
        return DB::transaction(function () use ($source): int {
            $source->update(['removed_at' => now(), 'disconnected_at' => $source->disconnected_at ?? now()]);
            $this->outbox->site($source->site, "$source->name was removed");

            return $source->entries()->where('gone', false)->update(['gone' => true]);
        });
    }

    /** @return int how many entries came back with it */
    public function bringBack(Source $source): int
    {
        return DB::transaction(function () use ($source): int {
            $source->update(['removed_at' => null]);
            $this->settle($source);
            $this->outbox->site($source->site, "$source->name was restored");

            return $source->entries()->where('gone', false)->count();
        });
    }

    /** Whether what is gone at the service stays on show. */
    public function showGone(Source $source, bool $shows): void
    {
        DB::transaction(function () use ($source, $shows): void {
            $source->update(['shows_gone' => $shows]);
            $this->settle($source);
            $this->outbox->site(
                $source->site,
                $shows ? 'Entries that are gone at their source show again' : 'Entries that are gone at their source no longer show',
            );
        });
    }

    /** Those whose time to be brought back is over go for good. @return int how many sources */
    public function forget(): int
    {
        $query = Source::query();
        $query->whereNotNull('removed_at')->where('removed_at', '<', now()->subHours(self::KEPT_HOURS));
        $gone = $query->get();
        foreach ($gone as $source) {
            DB::transaction(function () use ($source): void {
                $this->outbox->site($source->site, "$source->name was removed for good");
                $source->delete();
            });
        }

        return count($gone);
    }

    private function settle(Source $source): void
    {
        $query = EntryRecord::query();
        $query->where('source_id', $source->id)->update(['gone' => $source->shows_gone ? false : DB::raw('gone_at IS NOT NULL')]);
    }
}
