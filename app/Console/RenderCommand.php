<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\Catalogues;
use App\Editions\Content;
use App\Editions\EditionFiles;
use App\Editions\EverythingPage;
use App\Editions\Further;
use App\Editions\LookFiles;
use App\Editions\Made;
use App\Editions\Renderer;
use App\Editions\SiteLooks;
use Gnomic\Brief\Brief;
use Gnomic\Dress\Dressed;
use Gnomic\Edition\EverythingPages;
use Gnomic\Edition\Honesty;
use Gnomic\Edition\Plan;
use Gnomic\Edition\PlannedHeight;
use Gnomic\Edition\Room;
use Gnomic\Entry\Entry;
use Gnomic\Shape\Card\Card;
use Gnomic\Shape\Card\StoredPicture;
use Gnomic\Shape\Lines\Font;
use Gnomic\Sift\SiteContext;
use Gnomic\Text\Catalogue;
use Illuminate\Console\Command;
use InvalidArgumentException;

final class RenderCommand extends Command
{
    use TellsProblems;
    use TellsSiteContext;

    /** Width and height of a picture that does not tell them. */
    private const UNKNOWN = [640, 480];

    /** CSS pixels that are meant where no width is given. */
    private const WIDE = 1024;

    protected $signature = 'gnomic:render
        {brief : A brief as JSON}
        {--entries= : JSON Lines of entries; - for standard input}
        {--width= : CSS pixels; the document is laid out in a box of that width}
        {--font=page : What the page is set in: page (not known), literata or schibsted-grotesk}
        {--heights : Print the heights that are predicted at that width, as JSON, instead of the document}
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
            $words = $catalogues->spoken(strtolower(strtok((string) $site->language, '-') ?: ''), $brief->dress->words);
            if (! $looks->all()->has($brief->dress->look)) {
                throw new InvalidArgumentException(
                    "There is no look \"{$brief->dress->look}\". There are: "
                        .implode(', ', array_keys($looks->all()->names()))
                        .'.',
                );
            }
            $name = $brief->shape->heading ?? 'Reviews';
            $look = SiteLooks::on($looks->all(), $brief);
            $font = Font::tryFrom($this->chosen('font')) ?? throw new InvalidArgumentException(
                '--font is one of '.implode(', ', array_column(Font::cases(), 'value')).'.',
            );
            $made = $this->made($brief, $site, $reading->entries, $words, $look, $renderer->frame('preview', $name), $font);
            if ($this->option('heights') === true) {
                $this->put($this->heights($made->contents['']->plan(), (int) $width ?: self::WIDE)."\n");

                return;
            }
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
    private function made(
        Brief $brief,
        SiteContext $site,
        array $entries,
        Catalogue $words,
        Dressed $look,
        string $frame,
        Font $font,
    ): Made {
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
            pictures: $this->pictures($entries),
            choices: $choices,
            offered: $offered,
            about: $brief->shape->heading ?? 'Reviews',
            further: $brief->shape->more === 'none' ? null : $this->further($brief, $entries, $site, $sifted->shown()),
            font: $font,
        );
        $note = Honesty::note($all->sifting->tally, $offered, $words);
        $pages = [];
        foreach ($choices === [] && ! $brief->shape->leadsToEverything() ? [] : EverythingPages::of($all->passing()) as $page) {
            $isNewest = $page['newer'] === null;
            $shown = $content->instead(EverythingPages::brief($everything, $isNewest), $page['entries']);
            $digest = hash('xxh128', json_encode([$frame, $shown->inputs(), $page['newer'], $page['older'], $isNewest ? $note : null],
                JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));
            $pages[] = new EverythingPage($page['name'], $digest, $shown, $isNewest ? $note : null, $page['newer'], $page['older']);
        }

        return new Made(null, ['' => $content], $pages, []);
    }

    private function heights(Plan $plan, int $width): string
    {
        $height = new PlannedHeight($plan);
        $cards = array_map(
            fn (float $card, Card $of): array => ['id' => $of->id, 'height' => round($card, 1)],
            $cards = $height->cardsAt($width),
            array_slice($plan->cards, 0, count($cards)),
        );

        return json_encode([
            'width' => $width,
            'columns' => $plan->at($plan->unscaled($width))->arrangement->columns,
            'height' => round($height->at($width), 1),
            'room' => Room::of($height->at(...))->length(),
            'cards' => $cards,
        ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }

    /**
     * @param  list<Entry>  $entries
     * @param  list<Entry>  $shown
     */
    private function further(Brief $brief, array $entries, SiteContext $site, array $shown): Further
    {
        $all = (new SiftedEntries($brief->criteria->with('/sift/limit', Further::MOST), $entries, $site))->shown();

        return new Further(
            array_values(array_filter($all, fn (Entry $entry): bool => ! in_array($entry, $shown, true))),
            $brief->criteria->limits->most,
        );
    }

    /**
     * Pictures of a file are shown from where they are; nothing is fetched for it.
     *
     * @param  list<Entry>  $entries
     * @return array<string, StoredPicture>
     */
    private function pictures(array $entries): array
    {
        $pictures = [];
        foreach ($entries as $entry) {
            foreach ($entry->media as $media) {
                if ($media->type === 'image') {
                    [$width, $height] = [max(1, $media->width ?? self::UNKNOWN[0]), max(1, $media->height ?? self::UNKNOWN[1])];
                    $pictures[$media->url] = new StoredPicture([$width => $media->url], $width, $height);
                }
            }
            if ($entry->author->image !== null) {
                $pictures[$entry->author->image] = new StoredPicture([96 => $entry->author->image], 96, 96);
            }
        }

        return $pictures;
    }
}
