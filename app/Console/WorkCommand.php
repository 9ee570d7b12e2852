<?php

declare(strict_types=1);

namespace App\Console;

use App\Outbox\Outbox;
use App\Placing\Counting\CountBeacons;
use App\Sources\Rounds\DueRounds;
use Illuminate\Console\Command;
use InvalidArgumentException;

/** Does at once what the scheduler does every ten seconds and every minute. */
final class WorkCommand extends Command
{
    use TellsProblems;

    protected $signature = 'gnomic:work {--every= : Go on, with so many milliseconds between, until it is stopped}';

    protected $description = 'Start the rounds that are due, render what waits, and add up what visitors did, now';

    public function handle(DueRounds $rounds, Outbox $outbox, CountBeacons $counts): int
    {
        return $this->tell(function () use ($rounds, $outbox, $counts): void {
            $every = $this->chosen('every');
            if ($every !== '' && preg_match('/^[1-9]\d{1,5}$/', $every) !== 1) {
                throw new InvalidArgumentException('--every is a number of milliseconds, such as 500.');
            }
            do {
                $rounds->send();
                $outbox->sweep();
                $counts->run();
                usleep(1_000 * (int) $every);
            } while ($every !== '');
        });
    }
}
