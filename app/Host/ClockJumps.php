<?php

declare(strict_types=1);

namespace App\Host;

use Illuminate\Support\Facades\DB;

/**
 * A clock that was ahead for a while leaves times that are too far off to be meant: jobs and locks that would wait for them. What lies
 * further ahead than anything here ever waits is brought back.
 */
final class ClockJumps
{
    /** Seconds: no job and no lock waits longer. */
    private const LONGEST = 7_200;

    /** @return int how many times were brought back */
    public function mend(): int
    {
        $now = now()->getTimestamp();
        $beyond = $now + self::LONGEST;

        return DB::table('jobs')->where('available_at', '>', $beyond)->update(['available_at' => $now])
            + DB::table('jobs')->where('reserved_at', '>', $beyond)->update(['reserved_at' => $now])
            + DB::table('cache_locks')->where('expiration', '>', $beyond)->delete();
    }
}
