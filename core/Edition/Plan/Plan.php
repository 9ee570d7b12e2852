<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

use Gnomic\Dress\LookTokens;
use Gnomic\Edition\Input\Everything;
use Gnomic\Edition\Input\VariantInput;
use Gnomic\Shape\Area;
use Gnomic\Shape\Card\Card;
use Gnomic\Shape\Card\CardBox;
use Gnomic\Shape\Card\CardHeights;
use Gnomic\Shape\Click;
use Gnomic\Shape\Frame;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Lines\Font;
use Gnomic\Shape\Parts\Part;
use Gnomic\Shape\Parts\WordsPart;
use Gnomic\Shape\Shape;
use Gnomic\Text\Catalogue;

/** Everything that a widget shows, decided and in words, for every width; what is left is to write it down. */
final readonly class Plan
{
    /** Width from which on a widget says nothing of the screen, and what a page keeps free beside it on a phone; CSS pixels. */
    public const COLUMN = 560;

    private const MARGINS = 40;

    /** Of a wide place, in CSS pixels. */
    private const USUAL = 1200;

    /**
     * @param  list<Card>  $cards
     * @param  HonestLine|null  $honest  what a selection says of itself; null where it is none
     * @param  list<Range>  $ranges  all widths, each in one of them
     * @param  non-empty-array<string, Layout>  $layouts  at some width, the usual one first, by a name of each: the same may stand there
     *                                                    again with other settings
     * @param  string  $all  address of everything
     * @param  int  $further  pages of other entries that visitors can have beside these
     * @param  CardBox  $box  what the look makes of the room on cards
     * @param  Choices  $choices  that visitors have among the entries
     * @param  bool  $isFlush  whether it keeps nothing free around it, as nothing of it is painted
     */
    private function __construct(
        public Shape $shape,
        public Catalogue $words,
        public array $cards,
        public Head $head,
        public ?HonestLine $honest,
        public array $ranges,
        public array $layouts,
        public Fitting $fitting,
        private ?Fitting $narrow,
        public Font $font,
        public string $all,
        public int $further,
        public CardBox $box,
        public LookTokens $tokens,
        public bool $isFlush,
        public Choices $choices,
    ) {
    }

    /** @param  string  $all  address of everything */
    public static function of(VariantInput $input, string $all = ''): self
    {
        [$chosen, $site, $tokens] = [$input->chosen, $input->site, $input->look->tokens];
        $isPainted = $input->look->isPainted();
        $brief = $input->brief->with(
            shape: $input->brief->shape->worn($input->look->composition, $tokens->gap, $isPainted ? Frame::PADDING : 0),
        );
        $isFlush = $input->brief->shape->leavesPadding() && ! $isPainted;
        $box = CardBox::of($tokens);
        $shape = $brief->shape;
        $head = Head::of($shape, $input, $all);
        // What says nothing takes no room beside the cards.
        $shape = $head->isEmpty() && $shape->headIsAside() ? $shape->with(['headAt' => 'above']) : $shape;
        $most = $shape->layout::most();
        $shown = $most === null ? $chosen->shown : array_slice($chosen->shown, 0, $most);
        $cards = (new Cards($brief, $site, $input->words))->of($shown);
        $heights = new CardHeights($cards, $shape, $input->font, $box);
        $ranges = Ranges::of($shape, $brief->criteria->limits, $cards, $heights);

        return new self(
            $shape,
            $input->words,
            $cards,
            $head,
            $input->honestLine(),
            $ranges,
            self::layouts($shape, $ranges),
            new Fitting($shape, $cards, $ranges, $heights, $box),
            self::narrow($tokens, fn (CardBox $box): Fitting => new Fitting(
                $shape,
                $cards,
                $ranges,
                new CardHeights($cards, $shape, $input->font, $box),
                $box,
            )),
            $input->font,
            $all,
            count($input->pages()),
            $box,
            $tokens,
            $isFlush,
            Choices::of($chosen, $input->words, count($cards)),
        );
    }

    /** @param  callable(CardBox): Fitting  $fitting */
    private static function narrow(LookTokens $tokens, callable $fitting): ?Fitting
    {
        $isOther = $tokens->isBoxed() && ($tokens->insetNarrow ?? $tokens->inset) !== $tokens->inset;

        return $isOther ? $fitting(CardBox::of($tokens, true)) : null;
    }

    /** How words fit where there is other room on the cards of narrow widgets. @param  int  $width  as unscaled() has it */
    public function fittingAt(int $width): Fitting
    {
        return $width < self::COLUMN ? $this->narrow ?? $this->fitting : $this->fitting;
    }

    public function layout(): Layout
    {
        return $this->shape->layout;
    }

    /**
     * Layouts whose cards something moves: before them, or within their own place.
     *
     * @return array<string, Layout> by name, of $layouts
     */
    public function moved(bool $inside): array
    {
        return array_filter(
            $this->layouts,
            fn (Layout $one): bool => ($one::hasSlides() || $one->repeats()) && $one->isMovedInside() === $inside,
        );
    }

    /** Of all letters and of what is measured by them, where it is so wide. @param  int  $width  CSS pixels */
    public function scale(int $width): float
    {
        return $this->tokens->sizeAt(self::screen($width)) / 100;
    }

    /** The screen that a widget so wide is taken to be on: a narrow one fills a phone, a wider one may be a column of any. */
    public static function screen(int $width): int
    {
        return $width < self::COLUMN ? $width + self::MARGINS : LookTokens::WIDE;
    }

    /** Where letters are larger or smaller than usual, everything is as in another width. @return int CSS pixels */
    public function unscaled(int $width): int
    {
        return (int) floor($width / $this->scale($width));
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
     * Ratings by stars, where the layout and the composition have room for bars beside other figures.
     *
     * @return array<int, int>|null
     */
    public function spread(): ?array
    {
        $isTight = ! $this->shape->composition()::hasRoomForBars() && ! $this->shape->headIsAside()
            && ($this->head->figure !== null || $this->head->base !== null);

        return $isTight || ! $this->layout()->hasRoomForBars() ? null : $this->head->spread;
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

    /**
     * Choices that stand above the cards: not those on the bars, and while everything is shown, no way back to it either.
     *
     * @return list<Choice>
     */
    public function ways(): array
    {
        $isOnBars = $this->choices->areStars() && $this->spread() !== null;

        return ! $isOnBars ? $this->choices->all : array_values(array_filter(
            $this->choices->all,
            fn (Choice $one): bool => $one->stars === null && ! ($one->isFirst && $one->isNow),
        ));
    }

    /** Whether there is a field to search everything by. */
    public function isSearched(): bool
    {
        return $this->shape->choosing->by === 'search' && $this->cards !== [];
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
        $moving = array_filter($this->layouts, fn (Layout $layout): bool => $layout::hasSlides());

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

    public function isShortened(): bool
    {
        return array_filter($this->cards, fn (Card $card): bool => $card->part(WordsPart::class)?->rest !== null) !== [];
    }

    /** How wide pictures become at most, in CSS pixels, for browsers that do not know it themselves before they fetch one. */
    public function pictureWidth(): int
    {
        $widest = 1.0;
        foreach ($this->ranges as $range) {
            $space = $this->shape->space(min($range->to ?? self::USUAL, self::USUAL));
            $widest = max($widest, $range->layout->cardWidth($space, $range->arrangement->columns, $range->arrangement->cards));
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

    /**
     * @param  list<Range>  $ranges
     * @return non-empty-array<string, Layout>
     */
    private static function layouts(Shape $shape, array $ranges): array
    {
        $layouts = [$shape->layout::name() => $shape->layout];
        foreach ($ranges as $range) {
            if (array_filter($layouts, $range->layout->equals(...)) === []) {
                $name = $range->layout::name();
                $layouts[isset($layouts[$name]) ? $name.count($layouts) : $name] = $range->layout;
            }
        }

        return $layouts;
    }
}
