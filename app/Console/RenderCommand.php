<?php

declare(strict_types=1);

namespace App\Console;

use App\Editions\Catalogues;
use App\Editions\EditionFiles;
use App\Editions\LookFiles;
use App\Editions\Renderer;
use Gnomic\Edition\Input\Assembler;
use Gnomic\Edition\Plan\Plan;
use Gnomic\Edition\Plan\PlannedHeight;
use Gnomic\Edition\Plan\Room;
use Gnomic\Shape\Card\Card;
use Gnomic\Shape\Lines\Font;
use Illuminate\Console\Command;
use InvalidArgumentException;

final class RenderCommand extends Command
{
    use TellsProblems;
    use TellsSiteContext;

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
            $all = $looks->all();
            if (! $all->has($brief->dress->look)) {
                throw new InvalidArgumentException(
                    "There is no look \"{$brief->dress->look}\". There are: ".implode(', ', array_keys($all->names())).'.',
                );
            }
            $font = Font::tryFrom($this->chosen('font')) ?? throw new InvalidArgumentException(
                '--font is one of '.implode(', ', array_column(Font::cases(), 'value')).'.',
            );
            $name = $brief->shape->title ?? $brief->shape->heading ?? 'Reviews';
            $language = $catalogues->lookup()->language((string) $site->language) ?? strtolower(explode('-', (string) $site->language)[0]);
            $supply = new FileSupply($reading->entries, $site, $language, $name, $font, $catalogues, $all);
            $input = (new Assembler($supply))->usual($brief, $renderer->frame('preview', $name));
            if ($this->option('heights') === true) {
                $this->put($this->heights($input->variants['']->plan(), (int) $width === 0 ? self::WIDE : (int) $width)."\n");

                return;
            }
            $rendering = $renderer->edition('preview', $name, $input);
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
}
