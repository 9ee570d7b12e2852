<?php

declare(strict_types=1);

namespace App\Rounds;

use App\Models\Source;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** A round in the background. One at a time is queued for a source; a lock keeps two workers apart besides. */
final class RoundJob implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 230;

    public int $uniqueFor = 300;

    public function __construct(public int $source)
    {
        $this->onQueue('rounds');
    }

    public function uniqueId(): string
    {
        return (string) $this->source;
    }

    public function handle(Rounds $rounds): void
    {
        $source = Source::query()->find($this->source);
        if ($source !== null && $source->disconnected_at === null) {
            $rounds->run($source);
        }
    }
}
