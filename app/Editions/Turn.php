<?php

declare(strict_types=1);

namespace App\Editions;

use App\Models\Widget;
use App\Outbox\Outbox;
use App\Outbox\Task;

/** What is worked off at once: tasks of one rank, for as long as there is time, and as nothing comes that visitors wait for more. */
final readonly class Turn
{
    /** The newest of its tasks. */
    private int $newest;

    /**
     * @param  list<Task>  $tasks  of one rank
     * @param  float|null  $until  in seconds since 1970; null: all of it, whatever comes
     */
    public function __construct(private Outbox $outbox, public array $tasks, public int $rank, private ?float $until)
    {
        $this->newest = max(0, ...array_map(fn (Task $task): int => $task->id, $tasks));
    }

    /**
     * Whether a widget is not begun any more. What is published brings forms with it, so only forms are interrupted by what is
     * published; else it would interrupt itself.
     */
    public function isOverFor(Widget $widget): bool
    {
        return $this->until !== null && (microtime(true) >= $this->until || match (true) {
            $this->rank !== Outbox::FIRST => $this->outbox->hasFirst($widget->site_id),
            $widget->variant_of !== null => $this->outbox->hasFirst($widget->site_id, $this->newest),
            default => false,
        });
    }
}
