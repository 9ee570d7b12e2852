<?php

declare(strict_types=1);

namespace App\Editions;

use Gnomic\Dress\Dressed;
use Gnomic\Edition\Plan\Clamp;
use Gnomic\Edition\Plan\Plan;
use Gnomic\Edition\Plan\Range;
use Gnomic\Shape\Card\Card;
use Gnomic\Shape\Card\Face;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Parts\FacePart;
use Gnomic\Shape\Parts\Parts;
use Gnomic\Shape\Parts\PicturesPart;
use Gnomic\Shape\Parts\RatingPart;
use Gnomic\Shape\Parts\TitlePart;
use Gnomic\Shape\Parts\WordsPart;
use Gnomic\Shape\Shape;
use Gnomic\Shape\Space;

/** The style sheet of a widget: of its layouts, of the parts that it shows, and of its widths; nothing of the others. */
final class StyleSheets
{
    /** Shapes that pictures are cut to, as CSS says them. */
    private const SHAPES = ['landscape' => '4/3', 'square' => '1', 'portrait' => '3/4', 'wide' => '16/9', 'original' => 'auto'];

    /** Sizes of words, in em, whose quotation marks are wider than the room that is kept for those of others. */
    private const LARGE = 2;

    /** @var array<string, string> by path */
    private array $files = [];

    /** @param  string  $folder  parts/ and layouts/ lie in it */
    public function __construct(private readonly string $folder, private readonly WidthRules $widths)
    {
    }

    public function of(Plan $plan, Dressed $look): Sheets
    {
        $parts = $this->parts($plan);
        $ofParts = array_map(
            fn (string $part): string => $this->file("parts/$part.css"),
            [...$parts, ...($plan->cards === [] ? [] : LookRules::parts($look))],
        );

        return new Sheets([
            LookRules::of($look, '.g'),
            '.g{'.$this->properties($plan).'}',
            ...$ofParts,
            LookRules::around($look, $plan->shape->frame->side()).LookRules::after($look),
            ...$this->layouts($plan, $look, $parts),
        ],
            $this->widths->of($plan, $plan->shape->more === 'none' ? '' : '.p1').$this->colours($plan, $look),
            $look->css === '' ? '' : ".box{overflow:clip;overflow-clip-margin:40px}$look->css",
        );
    }

    /** Of a page of further cards. @param  string  $page  its class */
    public function page(Plan $plan, Dressed $look, string $page): string
    {
        $rules = $plan->standApart() ? $this->widths->page($plan, ".$page") : $this->widths->following($plan, ".$page");

        return $rules.$this->colours($plan, $look);
    }

    /** Of the enlarged view, which stands over the page by itself. */
    public function enlarged(Plan $plan, Dressed $look): string
    {
        $parts = ['base', 'card', 'words/style', 'title/style', 'reply/style', 'byline/style', 'face/style', 'rating/style',
            'glyphs', 'pictures/style', 'pictures/original', ...$this->others(), 'tool', 'large'];

        return LookRules::of($look, 'dialog').'dialog{'.$this->properties($plan).'}'
            .implode('', array_map(fn (string $part): string => $this->file("parts/$part.css"), $parts)).$this->colours($plan, $look);
    }

    /** @return list<string> of the parts that have a style and are not named where the order of rules counts */
    private function others(): array
    {
        $named = ['words', 'title', 'reply', 'face', 'rating', 'pictures'];
        $others = array_diff(Parts::names(), $named);

        return array_values(array_map(fn (string $part): string => "$part/style", $others));
    }

    private function properties(Plan $plan): string
    {
        $frame = $plan->shape->frame;
        $em = fn (int|float $pixels): string => WidthRules::em($pixels);
        $all = [
            'side' => $em($frame->side()),
            'gap' => $em($frame->gap),
            'shape' => self::SHAPES[$plan->shape->picture],
        ];
        $written = '';
        foreach ($all as $name => $value) {
            $written .= ($written === '' ? '' : ';')."--$name:$value";
        }

        return $written.($plan->isFlush ? ';--top:0px' : '').($frame->most === null ? '' : ';--most:'.$em($frame->most));
    }

    /**
     * @param  list<string>  $parts  whose styles are there already
     * @return list<string>
     */
    private function layouts(Plan $plan, Dressed $look, array $parts): array
    {
        $layouts = $plan->layouts;
        if (count($layouts) === 1) {
            return $this->layout($plan, $look, reset($layouts), $parts);
        }
        $sheets = [];
        foreach ($layouts as $of => $layout) {
            // What moves the cards of one layout is not there where another holds.
            $own = implode('', $this->layout($plan, $look, $layout, $parts))."[class*=\"of-\"]:not(.of-$of){display:none}";
            $sheets[] = $this->widths->where($plan, $layout, $own);
        }

        return $sheets;
    }

    /**
     * @param  list<string>  $parts  whose styles are there already
     * @return list<string>
     */
    private function layout(Plan $plan, Dressed $look, Layout $layout, array $parts): array
    {
        $name = $layout::name();
        $style = $this->file("layouts/$name/style.css");
        $hasUprights = $look->tokens->lines === 'all' && array_intersect(['row', 'track'], $layout->parts()) !== [];

        return [
            ...array_map(
                fn (string $part): string => $this->file("parts/$part.css"),
                array_values(array_diff($layout->parts(), $parts)),
            ),
            $style,
            (str_contains($style, 'var(--inner') ? $this->inner($plan->shape) : '').$this->own($plan, $layout)
                .$this->sizes($plan, $layout, $look),
            $hasUprights ? $this->file('parts/uprights.css') : '',
        ];
    }

    /** How wide all cards are together, where it is not just as wide as the place without its sides. */
    private function inner(Shape $shape): string
    {
        $most = $shape->frame->most;
        $inner = ($most === null ? '100cqi' : 'min(100cqi,'.WidthRules::em($most).')').' - 2*var(--side)';
        $aside = WidthRules::em(Space::ASIDE + Space::ASIDE_GAP);

        return ($most === null ? '' : ".g{--inner:($inner)}").($shape->headIsAside()
            ? '@container (min-width:'.WidthRules::em(Space::ASIDE_FROM)."){.g{--inner:($inner - $aside)}}" : '');
    }

    /** How large words are by how much was said; where cards are narrow, less: see WidthRules. */
    private function sizes(Plan $plan, Layout $layout, Dressed $look): string
    {
        $composition = $plan->shape->composition();
        $scale = $composition::scale($layout);
        $css = $scale->sizes[0] === TypeScale::USUAL ? '' : ".words{--size:{$scale->sizes[0]}}";
        foreach ($scale->isEven() ? [] : [1, 2] as $step) {
            $css .= ".s$step{--size:{$scale->sizes[$step]};--lead:{$scale->leading($step, $look->tokens->leading / 100)}}";
        }

        $isLed = $plan->fitting->leads() !== [];
        // Marks of large letters hang out further.
        $css .= $scale->sizes[2] > self::LARGE ? '.view{--hang:1.5em}' : '';

        return $css.($isLed ? $this->file('parts/words/lead.css').'.lead{font-size:'.WidthRules::lead($scale).'}' : '');
    }

    /** What of a layout's settings is a number of its style. */
    private function own(Plan $plan, Layout $layout): string
    {
        $own = '';
        foreach ($layout->style(count($plan->cards), $plan->shape->frame->gap) as $name => $value) {
            $own .= "--$name:$value;";
        }

        return $own === '' ? '' : ".g{{$own}}";
    }

    /** @return list<string> names of the parts that a plan shows, in the order in which their rules stand */
    private function parts(Plan $plan): array
    {
        $isOpen = array_filter($plan->cards, fn (Card $card): bool => $card->opens !== null) !== [] || $plan->enlarges();
        $head = $plan->head;
        $before = array_keys(array_filter([
            'base' => true,
            'head' => ! $head->isEmpty() && $plan->layout()::most() !== 0,
            "heads/{$plan->headStyle()}" => ! $head->isEmpty() && $plan->layout()::most() !== 0,
            'aside' => $plan->shape->headIsAside(),
            'heading' => $head->heading !== null,
            'account' => $head->account !== null,
            'figures' => $head->hasFigures(),
            'spread' => $plan->spread() !== null,
            'channels' => $head->channels !== [],
            'faces' => $head->faces !== [],
            'glyphs' => $head->figure !== null || $head->channels !== [] || $plan->choices->areStars(),
            'choose' => ! $plan->choices->isEmpty() || $plan->isSearched(),
            'actions' => $head->actions !== [],
            'act' => $head->actions !== [] || $plan->shape->more !== 'none',
            'none' => $plan->cards === [],
            'card' => $plan->cards !== [],
        ]));
        $isLevel = array_filter($plan->ranges, fn (Range $range): bool => $plan->fitting->level($range) !== null) !== [];
        $saying = [WordsPart::class, TitlePart::class, PicturesPart::class];
        $isBare = fn (Card $card): bool => array_intersect($saying, $card->parts()) === [];
        $after = array_keys(array_filter([
            'once' => $isLevel,
            'byline/bare' => array_filter($plan->cards, $isBare) !== [],
            'face/style' => $head->account !== null || $head->faces !== [],
            'open' => $isOpen,
            'honest' => $plan->honest !== null || $plan->hasActionsBelow() || $plan->shape->more !== 'none',
            'further' => $plan->shape->more !== 'none',
        ]));

        return array_values(array_unique([
            ...$before,
            ...$this->ofCards($plan),
            ...($plan->cards === [] ? [] : ['../compositions/'.$plan->shape->composition()::name().'/style']),
            ...$after,
        ]));
    }

    /** @return list<string> those of the parts that cards show */
    private function ofCards(Plan $plan): array
    {
        $shown = array_unique(array_merge([], ...array_map(fn (Card $card): array => $card->parts(), $plan->cards)));
        $sheets = [];
        foreach (array_intersect(Parts::ALL, $shown) as $part) {
            $sheets = [
                ...$sheets,
                ...($part::row() === null ? [] : ['byline/style']),
                $part::name().'/style',
                ...match ($part) {
                    RatingPart::class => ['glyphs'],
                    WordsPart::class => [
                        ...($this->hasLines($plan) ? ['words/lines'] : []),
                        ...($plan->shape->marked === [] ? [] : ['words/key']),
                        ...($plan->fitting->clamped() !== [] || $plan->isShortened() ? ['words/more'] : []),
                    ],
                    PicturesPart::class => $plan->shape->picture === 'original' ? ['pictures/original'] : [],
                    default => [],
                },
            ];
        }

        return $sheets;
    }

    /** Whether words have so many lines and no more, at some width. */
    private function hasLines(Plan $plan): bool
    {
        $isClamped = fn (Range $range): bool => $range->lines !== null && (! $plan->fitting->cutsNearMedian($range)
            || array_filter($plan->fitting->clamps($range), fn (Clamp $clamp): bool => $clamp->lines !== null) !== []);

        return array_filter($plan->ranges, $isClamped) !== [];
    }

    /** Colours of faces and of pictures while they load: by class, as no page forbids. */
    private function colours(Plan $plan, Dressed $look): string
    {
        $rules = [];
        $ofCards = array_map(fn (Card $card): ?Face => $card->part(FacePart::class)?->face, $plan->cards);
        foreach ([$plan->head->face, ...$plan->head->faces, ...$ofCards] as $face) {
            if ($face !== null && $face->address === null) {
                $rules["u$face->tone"] = LookRules::tone($look, $face->tone);
            }
        }
        foreach ($plan->cards as $card) {
            foreach ($card->part(PicturesPart::class)->pictures ?? [] as $picture) {
                $colour = $picture->stored?->colour;
                if ($colour !== null) {
                    $rules[$colour] = '.c'.substr($colour, 1)."{background:$colour}";
                }
            }
        }

        return implode('', $rules);
    }

    private function file(string $path): string
    {
        return $this->files[$path] ??= (string) preg_replace(
            ['~/\*.*?\*/~s', '/\s*\n\s*/', '/\s*([{};,>])\s*/', '/(?<=[a-z-]):\s+/', '/;}/', '/ (?=!important)/'],
            ['', '', '$1', ':', '}', ''],
            is_file("$this->folder/$path") ? (string) file_get_contents("$this->folder/$path") : '',
        );
    }
}
