<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\Content;
use App\Editions\EditionFiles;
use App\Editions\Renderer;
use Gnomic\Brief\Brief;
use Gnomic\Entry\Entry;
use Gnomic\Sift\Circumstances;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Honesty;
use Gnomic\Sift\Sifting;
use Illuminate\Console\Command;
use InvalidArgumentException;

final class RenderCommand extends Command
{
    use TellsCircumstances;
    use TellsProblems;

    protected $signature = 'gnomic:render
        {brief : A brief as JSON}
        {--entries= : JSON Lines of entries; - for standard input}
        {--width= : CSS pixels; the document is laid out in a box of that width}
        {--out= : A folder to write the edition\'s files to, instead of printing the document}'.self::CIRCUMSTANCES;

    protected $description = 'Print or write the edition that a brief makes of a file of entries';

    public function handle(Renderer $renderer): int
    {
        return $this->tell(function () use ($renderer): void {
            $brief = Inputs::brief((string) $this->argument('brief'));
            $reading = Lines::read(Inputs::contents((string) $this->option('entries')));
            $this->tellAside($reading->problems);
            $width = $this->option('width');
            if ($width !== null && preg_match('/^[1-9]\d{1,4}$/', (string) $width) !== 1) {
                throw new InvalidArgumentException('--width is a number of CSS pixels, such as 1024.');
            }
            $around = $this->circumstances();
            $content = $this->content($brief, $around, $reading->entries);
            $everything = Honesty::narrows($brief, $around) ? $this->content(Honesty::everything($brief), $around, $reading->entries) : null;
            $rendering = $renderer->render('preview', $brief->shape->heading ?? 'Reviews', $content, $everything);
            $out = $this->option('out');
            if (is_string($out)) {
                $files = new EditionFiles($out);
                $files->write('preview', $rendering);
                $files->point('preview', $rendering->hash(), now()->getTimestamp());
                $this->put("$out/preview/{$rendering->hash()}\n");
            } else {
                $this->put($width === null ? $rendering->document
                    : str_replace('<main>', '<main style="width:'.(int) $width.'px">', $rendering->document));
            }
        });
    }

    /** @param  list<Entry>  $entries */
    private function content(Brief $brief, Circumstances $around, array $entries): Content
    {
        $byId = [];
        foreach ($entries as $entry) {
            $byId[$entry->id] = $entry;
        }
        $sifting = Sifting::of($brief, array_map(Facts::of(...), $entries), $around);

        return new Content($brief, $around, array_map(fn (string $id): Entry => $byId[$id], $sifting->selection()->shown), $sifting->tally->overall(), $around->now->getTimezone(), note: Honesty::note($sifting->tally));
    }
}
