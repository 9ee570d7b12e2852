<?php

declare(strict_types=1);

namespace App\Sources\Rounds;

use App\Models\Source;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** A round in the background. It may be queued twice: a lock keeps two workers apart, and the second finds that nothing is due. */
final class RoundJob implements ShouldQueue
{
    use Queueable;

    /** Seconds after which a source is asked again for which there was no place at its service. */
    private const AGAIN = 5;

    /** It is put back while its service is busy with others, and tried once. */
    public int $tries = 0;

    public int $maxExceptions = 1;

    public int $timeout = 150;

    public bool $failOnTimeout = true;

    /** @param  bool  $asked  by somebody, so that it runs though it is not due */
    public function __construct(public int $source, public bool $asked = false)
    {
        $this->onQueue('rounds');
    }

    public function handle(Rounds $rounds): void
    {
        $source = Source::query()->find($this->source);
        if ($source === null || $source->disconnected_at !== null || ! ($this->asked || $source->isDue())) {
            return;
        }
        if (! $rounds->hasPlace($source)) {
            $this->job === null ? null : $this->release(self::AGAIN);

            return;
        }
        $rounds->run($source);
    }

    /** It took too long, or broke its worker: that is a failure of the source like any other, and the next try comes later. */
    public function failed(?Throwable $fault): void
    {
        $source = Source::query()->find($this->source);
        if ($source !== null) {
            app(Rounds::class)->brokeOff($source);
        }
    }
}
