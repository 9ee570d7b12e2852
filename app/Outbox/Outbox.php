<?php

declare(strict_types=1);

namespace App\Outbox;

use App\Host\DiskIsFull;
use App\Models\Site;
use App\Models\Widget;
use Gnomic\Brief\Brief;
use Gnomic\Json\Value;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use Throwable;

/**
 * What has to be rendered, written down with the change that makes it necessary, in the same transaction: whatever is killed in
 * between, nothing is forgotten. Worked off in the background, and merged while it waits.
 */
final class Outbox
{
    /** Changes beyond which it is cheaper to ask every widget of the site. */
    private const MANY = 100;

    /** What visitors wait for: what an owner publishes, and what was never out. */
    public const FIRST = 0;

    public const USUAL = 1;

    /** Pages of everything, which few come to. */
    public const LAST = 2;

    /** Seconds. */
    private const LONGEST_WAIT = 300;

    /** Seconds to a next try where all that is wanting is room on the disk: somebody may be making it now. */
    private const WAIT_FOR_ROOM = 30;

    /**
     * Entries changed.
     *
     * @param  list<array{ref: string, before: array<string, mixed>|null}>  $changes  columns before, as StoredFacts reads them; null
     *     for new entries
     * @param  string  $cause  what editions say they were made for
     */
    public function entries(Site $site, array $changes, string $cause, ?int $roundId = null): void
    {
        match (true) {
            $changes === [] => null,
            count($changes) > self::MANY => $this->note($site->id, ['all' => true], $cause, $roundId),
            default => $this->note($site->id, ['entries' => $changes], $cause, $roundId),
        };
    }

    /** Something beside its entries changed: names, rules, pictures, languages. */
    public function site(Site $site, string $cause): void
    {
        $this->note($site->id, ['all' => true], $cause);
    }

    /** A new day has begun at the site. */
    public function day(Site $site): void
    {
        $this->note($site->id, ['day' => $site->turned_on], 'A new day');
    }

    /** The owner publishes a brief; null renders the one that is out again. */
    public function widget(Widget $widget, ?Brief $brief, string $cause): void
    {
        $rank = $brief !== null || $widget->edition_id === null ? self::FIRST : self::USUAL;
        $this->note($widget->site_id, ['widget' => $widget->id, 'brief' => $brief?->toArray()], $cause, null, $rank);
    }

    /** What has to be made of a widget's pages of everything comes after all else. */
    public function pages(Widget $widget): void
    {
        if (! DB::table('outbox')->where('site_id', $widget->site_id)->where('what->pages', $widget->id)->exists()) {
            $this->note($widget->site_id, ['pages' => $widget->id], 'Pages of everything', null, self::LAST);
        }
    }

    /**
     * Widgets that a turn was too short for: each waits for itself.
     *
     * @param  list<array{int, string, int|null}>  $widgets  identifier, cause, and the round that was the cause
     */
    public function left(int $siteId, array $widgets): void
    {
        foreach ($widgets as [$id, $cause, $round]) {
            $this->write($siteId, ['widget' => $id, 'brief' => null], $cause, $round, 0, 0, self::USUAL);
        }
    }

    /**
     * Whether something waits for a site that is to come before all else.
     *
     * @param  int  $after  a task: only what was written after it counts
     */
    public function hasFirst(int $siteId, int $after = 0): bool
    {
        return DB::table('outbox')->where('site_id', $siteId)->where('rank', self::FIRST)->where('id', '>', $after)
            ->whereNotBetween('due_at', self::later())->exists();
    }

    /** Whether anything waits for a site that may be tried now. */
    public function hasAny(int $siteId): bool
    {
        return DB::table('outbox')->where('site_id', $siteId)->whereNotBetween('due_at', self::later())->exists();
    }

    /**
     * What waits for a site and may be tried now, by rank and in the order in which it was written.
     *
     * @return list<Task>
     */
    public function waiting(int $siteId): array
    {
        return array_values(
            DB::table('outbox')->where('site_id', $siteId)
                ->whereNotBetween('due_at', self::later())
                ->orderBy('rank')
                ->orderBy('id')
                ->limit(500)
                ->get()
                ->map(Task::of(...))
                ->all(),
        );
    }

    /** @param  list<Task>  $tasks */
    public function done(array $tasks): void
    {
        DB::table('outbox')->whereIn('id', array_map(fn (Task $task): int => $task->id, $tasks))->delete();
    }

    /** A widget could not be rendered: it is tried again later, the later the more often it has failed. */
    public function failed(Widget $widget, ?Brief $brief, string $cause, int $tries, Throwable $fault): void
    {
        $longest = DiskIsFull::caused($fault) ? self::WAIT_FOR_ROOM : self::LONGEST_WAIT;
        $this->write(
            $widget->site_id,
            ['widget' => $widget->id, 'brief' => $brief?->toArray()],
            $cause,
            null,
            $tries,
            now()->getTimestamp() + min($longest, 5 * 2 ** min($tries, 8)),
            $brief === null ? self::USUAL : self::FIRST,
        );
    }

    /** @return array{int, int} the times that are still to come; what lies beyond them a clock has left that was ahead */
    private static function later(): array
    {
        return [now()->getTimestamp() + 1, now()->getTimestamp() + self::LONGEST_WAIT];
    }

    /** @return list<int> widgets of a site of which something waits that is theirs alone */
    public function widgets(int $siteId): array
    {
        return $this->named(DB::table('outbox')->where('site_id', $siteId));
    }

    /**
     * Widgets of a site that somebody has published and waits for. What comes in the background, and what a turn was too short for,
     * waits as well, and nobody for it: it may go on for as long as entries come in.
     *
     * @return list<int>
     */
    public function published(int $siteId): array
    {
        return $this->named(DB::table('outbox')->where('site_id', $siteId)->where('rank', self::FIRST));
    }

    /** @return list<int> the widgets of tasks that are for one widget */
    private function named(Builder $tasks): array
    {
        return array_values(
            $tasks->whereNotNull('what->widget')->get('what->widget as widget')
                ->map(fn (object $row): int => Value::whole($row->widget))
                ->all(),
        );
    }

    /** Sends a worker to every site for which something waits; what was killed half way goes on by this. @return int how many sites */
    public function sweep(): int
    {
        $sites = DB::table('outbox')->whereNotBetween('due_at', self::later())->distinct()->pluck('site_id');
        foreach ($sites as $site) {
            WorkOff::dispatch(Value::whole($site), $this->hasFirst(Value::whole($site)));
        }

        return count($sites);
    }

    /** @param  array<string, mixed>  $what */
    private function note(int $siteId, array $what, string $cause, ?int $roundId = null, int $rank = self::USUAL): void
    {
        $this->write($siteId, $what, $cause, $roundId, 0, 0, $rank);
        DB::afterCommit(fn () => WorkOff::dispatch($siteId, $rank === self::FIRST));
    }

    /** @param  array<string, mixed>  $what */
    private function write(int $siteId, array $what, string $cause, ?int $roundId, int $tries, int $dueAt, int $rank): void
    {
        DB::table('outbox')->insert([
            'site_id' => $siteId,
            'round_id' => $roundId,
            'what' => json_encode($what, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE),
            'cause' => mb_strimwidth($cause, 0, 290, '…'),
            'tries' => $tries,
            'due_at' => $dueAt,
            'rank' => $rank,
            'created_at' => now(),
        ]);
    }
}
