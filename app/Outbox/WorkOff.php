<?php

declare(strict_types=1);

namespace App\Outbox;

use Illuminate\Contracts\Queue\ShouldBeUniqueUntilProcessing;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/**
 * Brings the editions of a site up to date, in the background, for some seconds; then other sites have their turn, and this one goes on
 * behind them. One waits at a time; what comes meanwhile is merged with it. What visitors wait for goes by a queue of its own.
 */
final class WorkOff implements ShouldBeUniqueUntilProcessing, ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 230;

    public int $uniqueFor = 30;

    /** Seconds of a turn. */
    private const TURN = 4.0;

    public function __construct(private readonly int $siteId, private readonly bool $isFirst = false)
    {
        $this->onQueue($isFirst ? 'publishing-first' : 'publishing');
    }

    public function uniqueId(): string
    {
        return $this->siteId.($this->isFirst ? ' first' : '');
    }

    public function handle(Renders $editions): void
    {
        $editions->workOff($this->siteId, microtime(true) + self::TURN);
    }
}
