<?php

declare(strict_types=1);

namespace App\Sources\Rounds;

use App\Models\Round;
use App\Models\RoundOutcome;
use App\Models\Source;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;

/** Sends every source whose time has come to the queue, once; and those again whose worker was killed. */
final readonly class DueRounds
{
    /** Of one call. */
    private const MOST = 500;

    /** Seconds after which a source that waits in the queue is sent again: its worker may have died with it. */
    private const LOST = 45;

    /** Seconds that no wait is longer than, whatever a clock once said: the longest that a service can ask for. */
    private const LONGEST_WAIT = 86_400;

    public function __construct(private Rounds $rounds)
    {
    }

    /** @return int how many were sent */
    public function send(): int
    {
        foreach (Round::query()->where('outcome', RoundOutcome::Running)->with('source')->get() as $round) {
            $this->rounds->brokeOff($round->source);
        }
        $now = now();
        $sent = 0;
        foreach ($this->due() as $source) {
            if ($this->rounds->isRunning($source)) {
                continue;
            }
            $source->update(['queued_at' => $now->getTimestamp()]);
            RoundJob::dispatch($source->id);
            $sent++;
        }

        return $sent;
    }

    /** @return Collection<int, Source> */
    private function due(): Collection
    {
        $now = now();
        $query = Source::query();
        $query->whereNull('disconnected_at')->whereNotIn('channel', ['table', 'hand'])
            ->where(fn (Builder $query) => $query->where('next_at', '<=', $now)
                // A clock that was ahead has left a time that is too far off.
                ->orWhereRaw("CAST(strftime('%s', next_at) AS INTEGER) - ? > MAX(cadence, ?)", [$now->getTimestamp(), self::LONGEST_WAIT]))
            ->where(fn (Builder $query) => $query->whereNull('queued_at')
                ->orWhereNotBetween('queued_at', [$now->getTimestamp() - self::LOST, $now->getTimestamp()]))
            ->orderBy('next_at')
            ->limit(self::MOST);

        return $query->get();
    }
}
