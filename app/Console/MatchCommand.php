<?php

declare(strict_types=1);

namespace App\Console;

use App\Bench\Grounds\LoadPage;
use Gnomic\Dress\Matching\Matching;
use Gnomic\Dress\Page\Viewport;
use Illuminate\Console\Command;
use InvalidArgumentException;

final class MatchCommand extends Command
{
    use TellsProblems;

    protected $signature = 'gnomic:match
        {page : Address of a page, or a file}
        {--from= : Address that a file came from}
        {--width=1280 : CSS pixels of the screen}
        {--dark : As for visitors who prefer dark pages}
        {--computed=* : Selectors (h2, .card, #top …): print what a browser would compute for the first element of each instead}';

    protected $description = 'Print the looks that a page proposes, section by section, each token with its evidence';

    public function handle(LoadPage $load): int
    {
        return $this->tell(function () use ($load): void {
            $width = $this->chosen('width');
            if (preg_match('/^[1-9]\d{1,4}$/', $width) !== 1) {
                throw new InvalidArgumentException('--width is a number of CSS pixels, such as 1280.');
            }
            $page = $this->given('page');
            $loaded = is_file($page) ? $load->file($page, $this->chosen('from')) : $load->address($page);
            $viewport = new Viewport((int) $width, 800, $this->option('dark') === true);
            $this->tellAside($loaded->problems());
            $selectors = array_values(array_filter((array) $this->option('computed'), is_string(...)));
            $told = $selectors === [] ? Matching::of(
                $loaded->page,
                $loaded->fetch(...),
                $viewport,
            )->toArray() : $loaded->computed($viewport, $selectors);
            $this->put(json_encode($told, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRETTY_PRINT)."\n");
        });
    }
}
