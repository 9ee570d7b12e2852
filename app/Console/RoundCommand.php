<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\RoundOutcome;
use App\Models\Source;
use App\Outbox\Renders;
use App\Sources\Rounds\DueRounds;
use App\Sources\Rounds\Rounds;
use Illuminate\Console\Command;
use InvalidArgumentException;

final class RoundCommand extends Command
{
    use TellsProblems;

    protected $signature = 'gnomic:round {source? : Key of a source} {--due : Queue a round for every source whose time has come}';

    protected $description = 'Refresh a source now, or queue the rounds that are due';

    public function handle(Rounds $rounds, DueRounds $due, Renders $editions): int
    {
        $failed = false;
        $status = $this->tell(function () use ($rounds, $due, $editions, &$failed): void {
            $key = $this->given('source');
            if ($this->option('due')) {
                $this->put($due->send()." rounds queued\n");

                return;
            }
            $sources = Source::query()->where('key', $key)->get();
            if ($sources->isEmpty()) {
                throw new InvalidArgumentException($key === '' ? 'Name a source, or say --due.' : "There is no source \"$key\".");
            }
            foreach ($sources as $source) {
                $round = $rounds->run($source);
                $editions->workOff($source->site_id);
                $round?->refresh();
                $failed = $failed || in_array($round?->outcome, [RoundOutcome::Failed, RoundOutcome::Held], true);
                $this->put($round === null
                    ? "$source->key: a round is running already\n"
                    : "$source->key: {$round->outcome->value}; $round->added new, $round->changed changed, $round->gone gone, "
                        ."$round->same the same, $round->editions editions\n");
                if ($round?->reason !== null) {
                    $this->aside($round->reason);
                }
            }
        });

        return $failed ? self::FAILURE : $status;
    }
}
