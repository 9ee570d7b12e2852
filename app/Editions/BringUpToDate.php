<?php

declare(strict_types=1);

namespace App\Editions;

use App\Entries\Sift\SiteContexts;
use App\Entries\Sift\StoredFacts;
use App\Host\HostLocks;
use App\Models\Round;
use App\Models\Site;
use App\Models\Widget;
use App\Outbox\Outbox;
use App\Outbox\Renders;
use App\Outbox\Task;
use App\Outbox\WorkOff;
use Gnomic\Brief\Brief;
use Gnomic\Brief\BriefReader;
use Gnomic\Edition\Touch;
use Gnomic\Sift\Clauses;
use Gnomic\Sift\Clauses\ApartFrom;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Order;
use Gnomic\Sift\Shuffle;
use Illuminate\Support\Facades\DB;
use Throwable;

/**
 * Works off the outbox. What could have made an edition out of date is asked widget by widget, cheaply and on the safe side;
 * whether it has, the edition's fingerprint tells.
 */
final readonly class BringUpToDate implements Renders
{
    public function __construct(private Publish $publish, private Outbox $outbox, private HostLocks $locks, private ParsedBriefs $briefs)
    {
    }

    public function workOff(int $siteId, ?float $until = null): int
    {
        $site = Site::query()->find($siteId);
        $lock = $this->locks->attempt("outbox-$siteId");
        // Whoever is at it already looks again before it ends; should something slip through, the sweep finds it.
        if ($site === null || $lock === null) {
            return 0;
        }
        try {
            $editions = 0;
            while (($until === null || microtime(true) < $until) && ($tasks = $this->outbox->waiting($siteId)) !== []) {
                $rank = $tasks[0]->rank;
                $tasks = array_values(array_filter($tasks, fn (Task $task): bool => $task->rank === $rank));
                if ($rank === Outbox::LAST) {
                    $this->pages($site, $tasks[0]);
                } else {
                    $editions += $this->turn($site, new Turn($this->outbox, $tasks, $rank, $until));
                }
            }

        } finally {
            $lock->release();
        }
        // What a turn was too short for goes on behind others; who finds another at it leaves that to him.
        if ($until !== null && $this->outbox->hasAny($siteId)) {
            WorkOff::dispatch($siteId, $this->outbox->hasFirst($siteId));
        }

        return $editions;
    }

    /** Pages of everything of one widget, as many as a turn has time for. */
    private function pages(Site $site, Task $task): void
    {
        $widget = Widget::query()->where('site_id', $site->id)->whereKey($task->pages)->first();
        $isLeft = false;
        try {
            $isLeft = $widget !== null && $this->publish->pages($widget);
        } catch (Throwable $fault) {
            // What is out stays; whoever publishes next sends for them again.
            report($fault);
        }
        $this->outbox->done([$task]);
        if ($isLeft && $widget !== null) {
            $this->outbox->pages($widget);
        }
    }

    /** @return int new editions */
    private function turn(Site $site, Turn $turn): int
    {
        $waiting = $this->out($site);
        $next = self::formsLast($this->affected($site, $turn->tasks, $waiting));
        $editions = 0;
        $left = [];
        // Then those that leave out what these show; each once, so that two that leave out each other's do not go on for ever.
        while ($next !== []) {
            $waiting = array_diff_key($waiting, $next);
            $followed = self::leftOut($waiting);
            $renewed = [];
            foreach ($next as [$widget, $brief, $of]) {
                if ($turn->isOverFor($widget)) {
                    $left[] = [$widget, $brief, $of];

                    continue;
                }
                if ($this->rendered($widget, $brief, $of)) {
                    $renewed[] = $widget->key;
                    $editions++;
                }
                // Whoever waits for one need not wait for those behind it; what others have to follow is not done before they have.
                if ($turn->rank === Outbox::FIRST && ! isset($followed[$widget->key])) {
                    $this->outbox->done($of);
                }
            }
            $next = array_replace([], ...array_values(array_intersect_key($followed, array_flip($renewed))));
        }
        DB::transaction(fn () => $this->settle($site, $turn->tasks, $left));

        return $editions;
    }

    /**
     * @param  array<int, array{Widget, Brief}>  $out
     * @return array<string, array<int, array{Widget, Brief, list<Task>}>> those that leave out what a widget shows, by its key
     */
    private static function leftOut(array $out): array
    {
        $by = [];
        foreach ($out as $id => [$widget, $brief]) {
            foreach (ApartFrom::widgets($brief->criteria) as $key) {
                $by[$key][$id] = [$widget, $brief, []];
            }
        }

        return $by;
    }

    /**
     * What somebody publishes comes before the forms of what was published: those follow it, and may be many.
     *
     * @param  array<int, array{Widget, Brief, list<Task>}>  $affected
     * @return array<int, array{Widget, Brief, list<Task>}>
     */
    private static function formsLast(array $affected): array
    {
        uasort($affected, fn (array $one, array $other): int => ($one[0]->variant_of !== null) <=> ($other[0]->variant_of !== null));

        return $affected;
    }

    /**
     * @param  list<Task>  $tasks
     * @param  list<array{Widget, Brief, list<Task>}>  $left
     */
    private function settle(Site $site, array $tasks, array $left): void
    {
        // What somebody publishes goes by the brief that is written in the task: that one stays.
        $kept = [];
        $others = [];
        foreach ($left as [$widget, , $of]) {
            $own = array_values(array_filter($of, fn (Task $task): bool => $task->brief !== null));
            $kept = [...$kept, ...array_map(fn (Task $task): int => $task->id, $own)];
            if ($own === []) {
                $causes = implode('; ', array_unique(array_map(fn (Task $task): string => $task->cause, $of)));
                $rounds = array_values(array_filter(array_map(fn (Task $task): ?int => $task->roundId, $of), is_int(...)));
                $others[] = [
                    $widget->id,
                    $causes === '' ? 'Another widget on the page shows other entries now' : $causes,
                    $rounds[0] ?? null,
                ];
            }
        }
        $this->outbox->done(array_values(array_filter($tasks, fn (Task $task): bool => ! in_array($task->id, $kept, true))));
        $this->outbox->left($site->id, $others);
    }

    /** @return array<int, array{Widget, Brief}> widgets that are out, with their briefs */
    private function out(Site $site): array
    {
        $out = [];
        foreach ($site->allWidgets()->with(['edition'])->whereNotNull('edition_id')->orderBy('id')->get() as $widget) {
            $edition = $widget instanceof Widget ? $widget->edition : null;
            if ($edition !== null) {
                $widget->setRelation('site', $site);
                $out[$widget->id] = [$widget, $this->briefs->of($edition)];
            }
        }

        return $out;
    }

    /**
     * The one place that asks whose inputs may have changed.
     *
     * @param  list<Task>  $tasks
     * @param  array<int, array{Widget, Brief}>  $out
     * @return array<int, array{Widget, Brief, list<Task>}> with the tasks that are the reason
     */
    private function affected(Site $site, array $tasks, array $out): array
    {
        $contexts = SiteContexts::of($site);
        $facts = StoredFacts::of(
            $site,
            array_merge([], ...array_map(fn (Task $task): array => array_column($task->entries, 'ref'), $tasks)),
        );
        $affected = [];
        foreach ($tasks as $task) {
            if ($task->widget !== null) {
                $widget = $out[$task->widget][0] ?? Widget::query()->where('site_id', $site->id)->whereKey($task->widget)->first();
                $brief = $task->brief === null ? ($out[$task->widget][1] ?? null) : BriefReader::read($task->brief);
                if ($widget !== null && $brief !== null) {
                    $affected[$task->widget] = [$widget, $brief, [...$affected[$task->widget][2] ?? [], $task]];
                }

                continue;
            }
            $changes = array_values(array_filter(array_map(fn (array $change): ?array => isset($facts[$change['ref']])
                ? [$change['before'] === null ? null : StoredFacts::read($change['before']), $facts[$change['ref']]] : null,
                $task->entries)));
            foreach ($out as $id => [$widget, $brief]) {
                if ($task->all || ($task->day !== null && self::goesByTheDay($brief)) || $this->touches($brief, $contexts, $changes)) {
                    // What is published meanwhile is published with these changes.
                    $affected[$id] = [$widget, $affected[$id][1] ?? $brief, [...$affected[$id][2] ?? [], $task]];
                }
            }
        }

        return $affected;
    }

    /** @param  list<array{Facts|null, Facts}>  $changes */
    private function touches(Brief $brief, SiteContexts $contexts, array $changes): bool
    {
        $site = $changes === [] ? null : $contexts->for($brief->criteria);
        foreach ($changes as [$before, $after]) {
            if ($site !== null && Touch::canChange($brief, $site, $before, $after)) {
                return true;
            }
        }

        return false;
    }

    private static function goesByTheDay(Brief $brief): bool
    {
        $wanted = $brief->criteria;

        return $brief->shape->date === 'recent' || ($wanted->order === Order::Shuffled && $wanted->shuffle === Shuffle::Day)
            || $wanted->order === Order::Balanced
            || array_filter(Clauses::ALL, fn (string $clause): bool => $clause::goesByTheDay($wanted)) !== [];
    }

    /**
     * One that cannot be rendered keeps nobody else waiting, and is tried again.
     *
     * @param  list<Task>  $tasks
     */
    private function rendered(Widget $widget, Brief $brief, array $tasks): bool
    {
        $cause = $tasks === []
            ? 'Another widget on the page shows other entries now'
            : implode('; ', array_unique(array_map(fn (Task $task): string => $task->cause, $tasks)));
        try {
            $isNew = $this->publish->brief($widget, $brief, mb_strimwidth($cause, 0, 200, '…')) !== null;
        } catch (Throwable $fault) {
            if ($widget->newQuery()->whereKey($widget->id)->exists()) {
                report($fault);
                $tries = 1 + max(0, ...array_map(fn (Task $task): int => $task->tries, $tasks));
                $this->outbox->failed($widget, $brief, $cause, $tries, $fault);
            }

            return false;
        }
        $rounds = array_values(array_unique(array_filter(array_map(fn (Task $task): ?int => $task->roundId, $tasks), is_int(...))));
        if ($isNew && $rounds !== []) {
            Round::query()->whereIn('id', $rounds)->increment('editions');
        }

        return $isNew;
    }
}
