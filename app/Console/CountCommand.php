<?php

declare(strict_types=1);

namespace App\Console;

use App\Placing\Counting\CountBeacons;
use Illuminate\Console\Command;

final class CountCommand extends Command
{
    use TellsProblems;

    protected $signature = 'gnomic:count';

    protected $description = 'Add up what visitors did, as the web server wrote it down; the schedule does so every minute';

    public function handle(CountBeacons $count): int
    {
        return $this->tell(function () use ($count): void {
            $this->put("{$count->run()} added\n");
        });
    }
}
