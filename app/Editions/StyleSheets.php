<?php

declare(strict_types=1);

namespace App\Editions;

use Gnomic\Dress\Look;
use Gnomic\Edition\Card;
use Gnomic\Edition\Plan;

/** The style sheet of a widget: of its layout and of the parts that it shows, and nothing of the others. */
final class StyleSheets
{
    /** @var array<string, string> by path */
    private array $files = [];

    /** @param  string  $folder  parts/ and layouts/ lie in it */
    public function __construct(private readonly string $folder)
    {
    }

    public function of(Plan $plan, Look $look): string
    {
        $parts = array_map(fn (string $part): string => $this->file("parts/$part.css"), $this->parts($plan));

        return ".g{{$look->properties()}}".implode('', $parts).$this->file("layouts/{$plan->layout::name()}/style.css").$this
            ->widths($plan);
    }

    /** @return list<string> names of the parts that a plan shows, in the order in which their rules stand */
    private function parts(Plan $plan): array
    {
        $some = fn (callable $has): bool => array_filter($plan->cards, $has) !== [];

        return array_keys(array_filter([
            'base' => true,
            'heading' => $plan->heading !== null,
            'figures' => $plan->figure !== null || $plan->base !== null || $plan->spread !== null,
            'none' => $plan->cards === [],
            'card' => $plan->cards !== [],
            'rating' => $some(fn (Card $card): bool => $card->rating !== null),
            'title' => $some(fn (Card $card): bool => $card->title !== null),
            'words' => $some(fn (Card $card): bool => $card->words !== null),
            'more' => $some(fn (Card $card): bool => $card->whole !== null),
            'reply' => $some(fn (Card $card): bool => $card->reply !== null),
            'pictures' => $some(fn (Card $card): bool => $card->pictures !== []),
            'by' => $some(
                fn (Card $card): bool => $card->name !== null
                    || $card->face !== null
                    || $card->when !== null
                    || $card->where !== null,
            ),
            'face' => $some(fn (Card $card): bool => $card->face !== null),
            'honest' => $plan->honest !== null,
        ]));
    }

    /** What is another at other widths of the widget: cards across, and fewer of them where there is less room. */
    private function widths(Plan $plan): string
    {
        $rules = '';
        foreach ($plan->layout->breakpoints() as $width => $across) {
            $rules .= "@container (min-width:{$width}px){.cards{--across:$across}}";
        }
        foreach ($plan->fewer as ['from' => $from, 'to' => $to, 'cards' => $cards]) {
            $width = implode(
                ' and ',
                array_filter([$from > 0 ? "(min-width:{$from}px)" : null, $to === null ? null : '(max-width:'.($to - 0.02).'px)']),
            );
            $rules .= '@container '.($width === '' ? '(min-width:0px)' : $width).'{.cards>:nth-child(n+'.($cards + 1).'){display:none}}';
        }

        return $rules;
    }

    private function file(string $path): string
    {
        return $this->files[$path] ??= (string) preg_replace(
            ['~/\*.*?\*/~s', '/\s*\n\s*/', '/\s*([{};,>])\s*/', '/(?<=[a-z-]):\s+/', '/;}/'],
            ['', '', '$1', ':', '}'],
            is_file("$this->folder/$path") ? (string) file_get_contents("$this->folder/$path") : '',
        );
    }
}
