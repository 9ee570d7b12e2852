<?php

declare(strict_types=1);

namespace App\Outbox;

use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Brings the editions of a site up to date, in the background. One waits at a time; what comes meanwhile is merged with it. */
final class WorkOff implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 230;

    public int $uniqueFor = 30;

    public function __construct(private readonly int $siteId)
    {
        $this->onQueue('publishing');
    }

    public function uniqueId(): string
    {
        return (string) $this->siteId;
    }

    public function handle(Renders $editions): void
    {
        $editions->workOff($this->siteId);
    }
}
