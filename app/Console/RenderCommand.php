<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\Catalogues;
use App\Editions\Content;
use App\Editions\EditionFiles;
use App\Editions\EverythingPage;
use App\Editions\LookFiles;
use App\Editions\Made;
use App\Editions\Renderer;
use Gnomic\Brief\Brief;
use Gnomic\Dress\Look;
use Gnomic\Edition\EverythingPages;
use Gnomic\Edition\Honesty;
use Gnomic\Entry\Entry;
use Gnomic\Sift\SiteContext;
use Gnomic\Text\Catalogue;
use Illuminate\Console\Command;
use InvalidArgumentException;

final class RenderCommand extends Command
{
    use TellsProblems;
    use TellsSiteContext;

    protected $signature = 'gnomic:render
        {brief : A brief as JSON}
        {--entries= : JSON Lines of entries; - for standard input}
        {--width= : CSS pixels; the document is laid out in a box of that width}
        {--out= : A folder to write the edition\'s files to, instead of printing the document}'.self::SITE;

    protected $description = 'Print or write the edition that a brief makes of a file of entries';

    public function handle(Renderer $renderer, Catalogues $catalogues, LookFiles $looks): int
    {
        return $this->tell(function () use ($renderer, $catalogues, $looks): void {
            $brief = Inputs::brief($this->given('brief'));
            $reading = Lines::read(Inputs::contents($this->chosen('entries')));
            $this->tellAside($reading->problems);
            $width = $this->chosen('width');
            if ($width !== '' && preg_match('/^[1-9]\d{1,4}$/', $width) !== 1) {
                throw new InvalidArgumentException('--width is a number of CSS pixels, such as 1024.');
            }
            $site = $this->siteContext();
            $words = $catalogues->of(strtolower(strtok((string) $site->language, '-') ?: ''));
            if (! $looks->all()->has($brief->look)) {
                throw new InvalidArgumentException(
                    "There is no look \"$brief->look\". There are: "
                        .implode(', ', array_keys($looks->all()->names()))
                        .'.',
                );
            }
            $name = $brief->shape->heading ?? 'Reviews';
            $look = $looks->all()->named($brief->look);
            $made = $this->made($brief, $site, $reading->entries, $words, $look, $renderer->frame('preview', $name));
            $rendering = $renderer->edition('preview', $name, $made);
            $out = $this->option('out');
            if (is_string($out)) {
                $files = new EditionFiles($out);
                $files->write('preview', $rendering);
                $files->point('preview', $rendering->hash(), now()->getTimestamp());
                $this->put("$out/preview/{$rendering->hash()}\n");
            } else {
                $this->put($width === '' ? $rendering->document
                    : str_replace('<main>', '<main style="width:'.(int) $width.'px">', $rendering->document));
            }
        });
    }

    /** @param  list<Entry>  $entries */
    private function made(Brief $brief, SiteContext $site, array $entries, Catalogue $words, Look $look, string $frame): Made
    {
        $sifted = new SiftedEntries($brief->criteria, $entries, $site);
        $choices = $brief->shape->honest ? Honesty::choices($brief, $site, $sifted->sifting->selection()) : [];
        $everything = Honesty::everything($brief);
        $all = new SiftedEntries($everything->criteria, $entries, $site);
        $offered = EverythingPages::offered(count($all->passing()));
        $content = new Content(
            $brief,
            $site,
            $sifted->shown(),
            $sifted->sifting->tally->overall(),
            $site->now->getTimezone(),
            $words,
            $look,
            choices: $choices,
            offered: $offered,
        );
        $note = Honesty::note($all->sifting->tally, $offered, $words);
        $pages = [];
        foreach ($choices === [] ? [] : EverythingPages::of($all->passing()) as $page) {
            $isNewest = $page['newer'] === null;
            $shown = $content->instead(EverythingPages::brief($everything, $isNewest), $page['entries']);
            $digest = hash('xxh128', json_encode([$frame, $shown->inputs(), $page['newer'], $page['older'], $isNewest ? $note : null],
                JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));
            $pages[] = new EverythingPage($page['name'], $digest, $shown, $isNewest ? $note : null, $page['newer'], $page['older']);
        }

        return new Made(null, ['' => $content], $pages, []);
    }
}
