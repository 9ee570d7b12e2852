<?php

declare(strict_types=1);

namespace App\Rounds;

use App\Models\Source;

/** Sends every source whose time has come to the queue. */
final class DueRounds
{
    /** @return int how many were sent */
    public function send(): int
    {
        $due = Source::query()->whereNull('disconnected_at')
            ->whereNotIn('channel', ['table', 'hand'])
            ->where('next_at', '<=', now())
            ->orderBy('next_at')
            ->limit(500)
            ->pluck('id');
        foreach ($due as $id) {
            RoundJob::dispatch((int) $id);
        }

        return count($due);
    }
}
