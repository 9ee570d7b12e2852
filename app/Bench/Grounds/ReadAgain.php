<?php

declare(strict_types=1);

namespace App\Bench\Grounds;

use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Fetches one kept page again, in the background. */
final class ReadAgain implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 90;

    public int $uniqueFor = 3_600;

    public function __construct(private readonly int $ground)
    {
        $this->onQueue('pictures');
    }

    public function uniqueId(): string
    {
        return (string) $this->ground;
    }

    public function handle(Grounds $grounds): void
    {
        $grounds->readAgain($this->ground);
    }
}
