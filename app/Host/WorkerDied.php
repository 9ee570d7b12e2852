<?php

declare(strict_types=1);

namespace App\Host;

use Illuminate\Queue\MaxAttemptsExceededException;
use Throwable;

/** Whether a job failed because its worker had been killed with it. The queue tells so long after, when it has been sent again already. */
final class WorkerDied
{
    public static function caused(?Throwable $fault): bool
    {
        return $fault !== null && $fault::class === MaxAttemptsExceededException::class;
    }
}
