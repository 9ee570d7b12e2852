<?php

declare(strict_types=1);

namespace App\Console;

use App\Bench\Grounds\Harmless;
use App\Bench\Grounds\LoadPage;
use App\Editions\Behaviours;
use App\Fetching\FetchFailed;
use App\Host\KnowsHost;
use Gnomic\Dress\Matching\Matching;
use Gnomic\Dress\Page\Viewport;
use Gnomic\Gather\Problem;
use Gnomic\Json\Value;
use Illuminate\Console\Command;
use InvalidArgumentException;

/** What ConfinedPage runs: reads an address and a style sheet from standard input, and writes what became of the page. */
final class ReadGroundCommand extends Command
{
    use KnowsHost;

    /** Characters of a page that is kept. */
    private const LONGEST = 3_000_000;

    protected $signature = 'gnomic:read-ground';

    protected $description = 'Read a page of the owner’s website for the bench';

    protected $hidden = true;

    public function handle(LoadPage $load, Behaviours $behaviours): int
    {
        $asked = Value::members(json_decode((string) stream_get_contents(STDIN), true));
        $css = Value::text($asked['css'] ?? '');
        try {
            $loaded = $load->address(Value::text($asked['address'] ?? ''));
            $loaded = $css === '' ? $loaded : $loaded->with($css);
            $matching = Matching::of($loaded->page, $loaded->fetch(...), new Viewport, $loaded->extremes(...));
            $problems = array_map(fn (Problem $problem): string => (string) $problem, $loaded->problems());
            $html = Harmless::of($loaded->page, "{$this->host()}/b/".$behaviours->file('proof'), $this->host());
            $told = [
                'html' => strlen($html) > self::LONGEST ? null : $html,
                'matched' => ['problems' => $problems] + $matching->toArray(),
            ];
        } catch (FetchFailed|InvalidArgumentException $failed) {
            $told = ['failed' => $failed->getMessage(), 'isFetch' => $failed instanceof FetchFailed];
        }
        $this->output->write(
            json_encode($told, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE),
            false,
            \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW,
        );

        return self::SUCCESS;
    }
}
