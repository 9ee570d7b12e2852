<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

use Gnomic\Dress\LookTokens;
use Gnomic\Edition\Input\Everything;
use Gnomic\Edition\Input\VariantInput;
use Gnomic\Memo;
use Gnomic\Shape\Area;
use Gnomic\Shape\Card\Card;
use Gnomic\Shape\Card\CardBox;
use Gnomic\Shape\Card\CardHeight;
use Gnomic\Shape\Card\CardHeights;
use Gnomic\Shape\Click;
use Gnomic\Shape\Compositions\EvenComposition;
use Gnomic\Shape\Frame;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Layouts\RatingLayout;
use Gnomic\Shape\Lines\Font;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Parts\Metrics;
use Gnomic\Shape\Parts\Part;
use Gnomic\Shape\Parts\WordsPart;
use Gnomic\Shape\Shape;
use Gnomic\Shape\Space;
use Gnomic\Text\Catalogue;

/** Everything that a widget shows, decided and in words, for every width; what is left is to write it down. */
final readonly class Plan
{
    /** Of the width of a card, when it is asked whether its words fit. */
    private const SAFE = 0.96;

    /** Lines that a card has at most where nobody says how many. */
    private const LONGEST = 10;

    /** Lines that are not worth being cut off. */
    private const SPARED = 2;

    /** Of a wide place, in CSS pixels. */
    private const USUAL = 1200;

    private Memo $memo;

    /**
     * @param  list<Card>  $cards
     * @param  HonestLine|null  $honest  what a selection says of itself; null where it is none
     * @param  list<Range>  $ranges  all widths, each in one of them
     * @param  string  $all  address of everything
     * @param  bool  $hasFurther  whether visitors can have other entries beside these
     * @param  CardBox  $box  what the look makes of the room on cards
     * @param  bool  $isFlush  whether it keeps nothing free around it, as nothing of it is painted
     */
    private function __construct(
        public Shape $shape,
        public Catalogue $words,
        public array $cards,
        public Head $head,
        public ?HonestLine $honest,
        public array $ranges,
        public CardHeights $heights,
        public Font $font,
        public string $all,
        public bool $hasFurther,
        public CardBox $box,
        public LookTokens $tokens,
        public bool $isFlush,
    ) {
        $this->memo = new Memo;
    }

    /** @param  string  $all  address of everything */
    public static function of(VariantInput $input, string $all = ''): self
    {
        [$chosen, $site, $tokens] = [$input->chosen, $input->site, $input->look->tokens];
        $brief = $input->brief->with(shape: $input->brief->shape->composed($input->look->composition)->spaced($tokens->gap)
            ->padded($input->look->isPainted() ? Frame::PADDING : 0));
        $isFlush = $input->brief->shape->leavesPadding() && ! $input->look->isPainted();
        $box = CardBox::of($tokens);
        $shape = $brief->shape;
        $head = Head::of($shape, $input, $all);
        // What says nothing takes no room beside the cards.
        $shape = $head->isEmpty() && $shape->headIsAside() ? $shape->with(['headAt' => 'above']) : $shape;
        $most = $shape->layout::most();
        $shown = $most === null ? $chosen->shown : array_slice($chosen->shown, 0, $most);
        $cards = (new Cards($brief, $site, $input->words))->of($shown);
        $heights = new CardHeights($cards, $shape, $input->font, $box);

        return new self(
            $shape,
            $input->words,
            $cards,
            $head,
            $input->honestLine(),
            Ranges::of($shape, $brief->criteria->limits, $cards, $heights),
            $heights,
            $input->font,
            $all,
            $input->pages() !== [],
            $box,
            $tokens,
            $isFlush,
        );
    }

    public function layout(): Layout
    {
        return $this->shape->layout;
    }

    /**
     * Those that it has at some width, the usual one first.
     *
     * @return non-empty-array<string, Layout> by a name of each, as the same may stand there again with other settings
     */
    public function layouts(): array
    {
        $layouts = [$this->shape->layout::name() => $this->shape->layout];
        foreach ($this->ranges as $range) {
            if (array_filter($layouts, $range->layout->equals(...)) === []) {
                $name = $range->layout::name();
                $layouts[isset($layouts[$name]) ? $name.count($layouts) : $name] = $range->layout;
            }
        }

        return $layouts;
    }

    /** Where letters are larger or smaller than usual, everything is as in another width. @return int CSS pixels */
    public function unscaled(int $width): int
    {
        return (int) floor($width / $this->box->scale);
    }

    /** What stands where at a width in CSS pixels. */
    public function at(int $width): Range
    {
        foreach ($this->ranges as $range) {
            if ($range->holds($width)) {
                return $range;
            }
        }

        return $this->ranges[count($this->ranges) - 1];
    }

    /** Whether a click on an entry enlarges it here. */
    public function enlarges(): bool
    {
        return $this->shape->click === Click::Enlarge && $this->cards !== [];
    }

    /** Of LookTokens::HEADS: how the head stands; beside the cards one thing below the other. */
    public function headStyle(): string
    {
        return $this->shape->headIsAside() ? 'stacked' : $this->tokens->head;
    }

    /**
     * Ratings by stars, where there is room for bars: not beside other figures on the line above cards that are composed evenly, nor in a
     * seal.
     *
     * @return array<int, int>|null
     */
    public function spread(): ?array
    {
        $layout = $this->layout();
        $isTight = $this->shape->composition() === EvenComposition::class && ! $this->shape->headIsAside()
            && ($this->head->figure !== null || $this->head->base !== null);

        return $isTight || ($layout instanceof RatingLayout && $layout->isSeal) ? null : $this->head->spread;
    }

    /** Whether what can be pressed for more stands below the cards: the head keeps its one line. */
    public function hasActionsBelow(): bool
    {
        return $this->head->actions !== [] && $this->headStyle() !== 'stacked'
            && $this->layout()::most() !== 0 && $this->cards !== [];
    }

    /** @param  class-string<Part>  $part */
    public function hasPart(string $part): bool
    {
        return array_filter($this->cards, fn (Card $card): bool => $card->part($part) !== null) !== [];
    }

    /** @return array<string, string> first sentences that stand larger than what follows on them, by the ref of their card */
    public function leads(): array
    {
        if (array_filter($this->ranges, fn (Range $range): bool => $this->scale($range)->leads) === []) {
            return [];
        }
        $leads = [];
        foreach ($this->cards as $card) {
            $leads[$card->ref] = ($this->steps()[$card->ref] ?? 0) === 0 ? $card->part(WordsPart::class)?->lead() : null;
        }

        return array_filter($leads, is_string(...));
    }

    /** @return array<string, int> of TypeScale::STEPS: how large the words of a card are, by its ref */
    public function steps(): array
    {
        return $this->memo->of('steps', function (): array {
            $scales = array_map($this->scale(...), $this->ranges);
            $steps = [];
            // Where all words are of one size, no card is of another step.
            foreach (array_filter($scales, fn (TypeScale $scale): bool => ! $scale->isEven()) as $scale) {
                foreach ($this->heights->of($scale) as $place => $height) {
                    $steps[$this->cards[$place]->ref] = $height->step;
                }

                return $steps;
            }

            return [];
        });
    }

    /** Whether something opens over the page: a panel, or a menu of several links. */
    public function opensOver(): bool
    {
        return $this->layout()->opensPanel()
            || array_filter($this->head->actions, fn (HeadAction $action): bool => count($action->links) > 1) !== [];
    }

    /** The layout whose cards are moved through, where a width has such a one; else the usual one. */
    public function leading(): Layout
    {
        $moving = array_filter($this->layouts(), fn (Layout $layout): bool => $layout::hasSlides());

        return $moving === [] ? $this->layout() : reset($moving);
    }

    /** Whether what stands where rests on all cards together. */
    public function packs(): bool
    {
        return array_filter(
            $this->ranges,
            fn (Range $range): bool => $range->arrangement->areas !== null || $range->arrangement->shares !== null,
        ) !== [];
    }

    /** Whether further pages of cards stand by themselves, and do not follow the cards before them. */
    public function standApart(): bool
    {
        return $this->shape->more === 'pages' || $this->packs();
    }

    public function hasWords(): bool
    {
        return array_filter($this->cards, fn (Card $card): bool => $card->part(WordsPart::class) !== null) !== [];
    }

    public function isShortened(): bool
    {
        return array_filter($this->cards, fn (Card $card): bool => $card->part(WordsPart::class)?->rest !== null) !== [];
    }

    /**
     * Height of every card at these widths in em, whatever was written; null where each is as high as its words make it.
     */
    public function fixedHeight(Range $range): ?float
    {
        return $this->shape->heights !== 'level' || $range->lines === null || ! $range->layout->isLevel() || ! $this->hasWords()
            ? null
            : CardHeight::fixed(
                array_values(array_diff($this->shape->card, $range->without)),
                $range->lines,
                $this->scale($range),
                $this->box,
                $this->shape->composition(),
                $this->cardWidth($range),
            );
    }

    /** Sizes of words at these widths. */
    public function scale(Range $range): TypeScale
    {
        $space = $this->shape->space(max($range->from, Space::NARROW));

        return self::scaleOn($this->shape, $range->layout, $space, $range->arrangement->columns);
    }

    /** @param  int  $columns  cards side by side */
    public static function scaleOn(Shape $shape, Layout $layout, Space $space, int $columns): TypeScale
    {
        $composition = $shape->composition();
        $width = ($layout->cardWidth($space, $columns) - $layout->sides()) / Metrics::EM;

        return $composition::scale($layout)->on($composition::wordsWidth($width));
    }

    /** Whether cards at these widths are as high as their words, and long ones are cut near the median. */
    public function fits(Range $range): bool
    {
        return $this->shape->heights === 'fit' && $range->isFree && $range->layout->isLevel() && $range->lines !== null;
    }

    /**
     * Height in em that cards are cut at, those of them that are longer: so that the highest is near the median, as all in a row are as
     * high as it is. Null: none is cut.
     */
    public function fit(Range $range): ?float
    {
        return $this->memo->of("fit $range->from", function () use ($range): ?float {
            if (! $this->fits($range) || ! $this->hasWords()) {
                return null;
            }
            $width = $this->cardWidth($range);
            $heights = [];
            foreach (array_slice($this->heights->of($this->scale($range)), 0, $range->arrangement->cards) as $height) {
                $heights[] = $height->at($width, null, $range->without);
            }
            sort($heights);

            return $heights === [] ? null : $range->layout->fit($heights) - 2 * $this->box->around;
        });
    }

    /**
     * What of each card is cut off at these widths. Only what can be read on is: what fits as planned grows where it does not after all,
     * as with the letters set wide by a visitor (WCAG 2.2, 1.4.12). Tiles of pictures have their words in the enlarged view.
     *
     * @return list<Clamp>
     */
    public function clamps(Range $range): array
    {
        return $this->memo->of("clamps $range->from", function () use ($range): array {
            $fixed = $this->fixedHeight($range);
            $fit = $this->fit($range);
            $width = $this->cardWidth($range);
            $clamps = [];
            if ($range->lines === null || ! $this->hasWords()) {
                return array_map(fn (): Clamp => new Clamp(null, false), $this->cards);
            }
            foreach ($this->heights->of($this->scale($range)) as $place => $height) {
                if ($this->cards[$place]->isPicture && $range->layout::isOfPictures()) {
                    $clamps[] = new Clamp($range->lines, false);

                    continue;
                }
                $most = match (true) {
                    $fixed !== null => $height->fixedLines($fixed, $width, $range->without),
                    $fit !== null => min(max($range->lines, $height->fixedLines($fit, $width, $range->without, false)), self::LONGEST),
                    default => $range->lines,
                };
                // To read on for a line or two takes as much room as they do.
                $isCut = $height->isCut($width * self::SAFE, $most + ($fit === null ? 0 : self::SPARED), $range->without, $fixed !== null);
                $clamps[] = new Clamp($isCut || $range->layout::isOfPictures() ? $most : null, $isCut);
            }

            return $clamps;
        });
    }

    /** @return list<string> refs of cards of which something is cut off, at some width */
    public function clamped(): array
    {
        return $this->memo->of('clamped', function (): array {
            $clamped = [];
            foreach ($this->ranges as $range) {
                foreach ($this->clamps($range) as $index => $clamp) {
                    if ($clamp->isCut) {
                        $clamped[$this->cards[$index]->ref] = true;
                    }
                }
            }

            return array_map(strval(...), array_keys($clamped));
        });
    }

    /** In em, where it is narrowest. */
    public function cardWidth(Range $range): float
    {
        $space = $this->shape->space(max($range->from, Space::NARROW));

        return ($range->layout->cardWidth($space, $range->arrangement->columns) - $range->layout->sides()) / Metrics::EM;
    }

    /** How wide pictures become at most, in CSS pixels, for browsers that do not know it themselves before they fetch one. */
    public function pictureWidth(): int
    {
        $widest = 1.0;
        foreach ($this->ranges as $range) {
            $space = $this->shape->space(min($range->to ?? self::USUAL, self::USUAL));
            $widest = max($widest, $range->layout->cardWidth($space, $range->arrangement->columns));
        }

        return (int) ceil($widest);
    }

    /** How many rows cards stand in; one where they are moved through. */
    public function rowsAt(int $width): int
    {
        $stands = $this->at($width)->arrangement;
        $areas = $stands->areas ?? [];

        return $stands->rows === null && $areas !== []
            ? max(array_map(fn (Area $area): int => $area->row + $area->rows - 1, $areas))
            : $this->at($width)->layout->rows($stands);
    }

    /** Why as many stand side by side as do, for the owner; null where there is nothing to choose. */
    public function why(int $width): ?string
    {
        return $this->at($width)->layout->why($this->shape->space($width));
    }

    /** Whether visitors see nothing at all of it. */
    public function isNothing(): bool
    {
        return $this->shape->empty === null && ($this->layout()::most() === 0 ? ! $this->head->hasFigures() : $this->cards === []);
    }
}
