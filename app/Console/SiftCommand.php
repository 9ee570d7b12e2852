<?php

declare(strict_types=1);

namespace App\Console;

use Gnomic\Edition\Advice\Doubts;
use Gnomic\Sift\PlainSieve;
use Gnomic\Sift\Sifting;
use Illuminate\Console\Command;

final class SiftCommand extends Command
{
    use TellsProblems;
    use TellsSiteContext;

    protected $signature = 'gnomic:sift
        {brief : A brief as JSON}
        {--entries= : JSON Lines of entries; - for standard input}
        {--why : Print the sieve and a reason for each entry instead of the selection}'.self::SITE;

    protected $description = 'Print what a brief selects from a file of entries, or why';

    public function handle(): int
    {
        return $this->tell(function (): void {
            $brief = Inputs::brief($this->given('brief'));
            $reading = Lines::read(Inputs::contents($this->chosen('entries')));
            $this->tellAside($reading->problems);
            foreach (Doubts::about($brief->criteria) as $doubt) {
                $this->aside($doubt['text']);
            }
            $entries = PlainSieve::of($brief->criteria, $reading->entries, $this->siteContext());
            if ($this->option('why')) {
                $this->printWhy($entries->sifting);
            } else {
                foreach ($entries->shown() as $entry) {
                    $this->put(Lines::write($entry)."\n");
                }
            }
        });
    }

    /** One JSON object a line: first the steps of the sieve, then the entries with their reasons. */
    private function printWhy(Sifting $sifting): void
    {
        foreach ($sifting->selection()->steps as $step) {
            $this->put(
                json_encode(
                    ['step' => $step->key, 'phrase' => $step->phrase, 'kept' => $step->kept, 'dropped' => $step->dropped],
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE,
                )
                    ."\n",
            );
        }
        foreach ($sifting->verdicts() as $verdict) {
            $this->put(
                json_encode(
                    [
                        'id' => $verdict->id,
                        'source' => $verdict->source === '' ? null : $verdict->source,
                        'shown' => $verdict->shown,
                        'step' => $verdict->step,
                        'reason' => $verdict->reason,
                    ],
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
                )
                    ."\n",
            );
        }
    }
}
