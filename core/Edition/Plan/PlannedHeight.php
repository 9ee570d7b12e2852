<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

use Gnomic\Shape\Lines\Paragraphs;
use Gnomic\Shape\Parts\Metrics;
use Gnomic\Shape\Space;

/**
 * How high a whole widget becomes at a width, before anything is drawn: head, cards and foot. In CSS pixels at the usual size of
 * letters.
 */
final readonly class PlannedHeight
{
    /** Above and below everything. */
    private const PADDING = 2.0;

    /** A row of controls or of the honest line. */
    private const FOOT = 2.75;

    /** Height of what moves the cards, with what is kept free above it. */
    private const TURN = 3.5;

    /** Widths of an arrow, a dot, "1 of 3", and a box to check with what is kept free beside it. */
    private const TOOL = 2.5;

    private const DOT = 1.5;

    private const NUMBERS = 3.5 * self::SMALL;

    private const CHECK = 1.25 * self::SMALL + 0.5 * self::SMALL;

    /** Between the parts of the foot. */
    private const BETWEEN = 1.5;

    private const SMALL = Metrics::SMALL;

    /** What can be chosen: how high it is, what it has beside its words, and what is kept free around all of it. */
    private const WAY = 2.1875;

    private const WAY_SIDES = 1.75 + 2 / 14;

    private const AROUND_WAYS = 1.5;

    private PlannedHead $head;

    private Pieces $pieces;

    public function __construct(private Plan $plan)
    {
        $this->pieces = new Pieces(Paragraphs::in($plan->font));
        $this->head = new PlannedHead($plan, $this->pieces);
    }

    /** @param  int  $width  of the widget in CSS pixels */
    public function at(int $width): float
    {
        // Larger letters make all of it larger: it is as in a narrower place, and magnified.
        $scale = $this->plan->scale($width);

        return $scale * $this->unscaled($this->plan->unscaled($width));
    }

    private function unscaled(int $width): float
    {
        $plan = $this->plan;
        if ($plan->isNothing()) {
            return 0.0;
        }
        $range = $plan->at($width);
        $own = $range->layout->ownHeight();
        if ($own !== null) {
            return Metrics::EM * ($own + ($range->layout::most() === 0 ? $this->padding() : 0.0));
        }
        $space = $plan->shape->space($width);
        if ($range->layout::most() === 0) {
            return Metrics::EM * ($this->padding() + $this->head->rating($space->inner / Metrics::EM, $width));
        }
        $inner = $space->inner / Metrics::EM;
        $isAside = $plan->shape->headIsAside() && $width >= Space::ASIDE_FROM;
        $head = $this->head->at($isAside ? Space::ASIDE / Metrics::EM : $inner, $width);
        $deck = $this->choices($inner) + $this->cards($range, $space) / Metrics::EM + $this->foot($inner, $range);

        return Metrics::EM * ($this->padding() + ($isAside ? max($head, $deck) : $head + $deck));
    }

    private function padding(): float
    {
        return $this->plan->isFlush ? 0.0 : self::PADDING;
    }

    /** @return list<float> of each card that is shown at a width, as its own words and parts make it */
    public function cardsAt(int $width): array
    {
        $scale = $this->plan->scale($width);

        return array_map(fn (float $height): float => $height * $scale, $this->unscaledCards($this->plan->unscaled($width)));
    }

    /** @return list<float> */
    private function unscaledCards(int $width): array
    {
        $range = $this->plan->at($width);
        $space = $this->plan->shape->space($width);
        $of = $range->layout->cardWidth($space, $range->arrangement->columns, $range->arrangement->cards);
        $fitting = $this->plan->fittingAt($width);
        $fixed = $fitting->level($range);
        $heights = [];
        $clamps = $fitting->clamps($range);
        foreach (array_slice($fitting->heights($range), 0, $range->arrangement->cards) as $place => $height) {
            $clamp = $clamps[$place];
            $own = Metrics::EM * $height->at($of / Metrics::EM, $clamp->lines, $range->without, $fixed !== null, $clamp->isCut);
            $heights[] = max($own, $fixed === null ? 0.0 : Metrics::EM * ($fixed + 2 * $this->plan->box->around));
        }

        return $heights;
    }

    /** What visitors may choose, in em. */
    private function choices(float $width): float
    {
        $choices = $this->plan->choices;
        if ($this->plan->isSearched()) {
            $word = self::SMALL * ($this->pieces->width($this->plan->words->say('choose.search')) + self::WAY_SIDES);

            return self::AROUND_WAYS + Pieces::rows([[min($width, 16.0), self::WAY], [$word, self::WAY]], $width, 0.5, 0.5);
        }
        $ways = [];
        foreach ($this->plan->ways() as $choice) {
            $glyph = $choice->stars === null ? 0.0 : 1.25;
            $ways[] = [min($width, self::SMALL * ($this->pieces->width($choice->text) + $glyph + self::WAY_SIDES)), self::WAY];
        }
        if ($ways === []) {
            return 0.0;
        }
        $base = [min($width, self::SMALL * $this->pieces->width($choices->base)), self::SMALL * Metrics::LEADING];

        return self::AROUND_WAYS + Pieces::rows([...$ways, $base], $width, 0.5, 0.5);
    }

    /** In em. */
    private function foot(float $width, Range $range): float
    {
        $honest = $this->plan->honest;
        $small = self::SMALL * Metrics::LEADING;
        $parts = [];
        if ($honest !== null) {
            $said = "$honest->text $honest->all";
            $lines = $this->pieces->lines($said, $width / self::SMALL);
            $parts[] = [min($width, self::SMALL * $this->pieces->width($said)), max(self::FOOT, $lines * $small)];
        }
        if ($this->plan->further > 0) {
            $parts[] = [min($width, $this->further()), self::FOOT];
        }
        if ($this->plan->hasActionsBelow()) {
            $actions = $this->head->actions($width);
            $parts[] = [min($width, Pieces::wide($actions, 1.25)), max(self::FOOT, Pieces::rows($actions, $width, 1.25, 0.25))];
        }
        // What is said and pressed stands together, and wraps before what moves the cards does.
        $foot = $parts === [] ? [] : [[
            min($width, Pieces::wide($parts, self::BETWEEN)),
            0.25 + Pieces::rows($parts, $width, self::BETWEEN, 0.0),
        ]];
        if ($range->layout->controls() !== [] && count($this->plan->cards) > 1) {
            $foot[] = [min($width, $this->controls($range)), self::TURN];
        }

        return Pieces::rows($foot, $width, 1.0, 0.0);
    }

    /** How wide the button for more is, or the numbers of pages; in em. */
    private function further(): float
    {
        if ($this->plan->shape->more !== 'pages') {
            return $this->pieces->width($this->plan->words->say('more.button'), true);
        }
        $last = $this->plan->further + 1;
        $numbers = $last < 8 ? range(1, $last) : [1, 2, '…', $last];

        return Pieces::wide(array_map(
            fn (int|string $number): array => [max(is_int($number) ? 1.5 : 0.0, $this->pieces->width((string) $number, true)), 0.0],
            $numbers,
        ), 0.75);
    }

    /** How wide what moves the cards is; in em. */
    private function controls(Range $range): float
    {
        $pages = (int) ceil($range->arrangement->cards / max(1, $range->arrangement->columns));
        $pieces = [];
        foreach ($range->layout->controls() as $control) {
            array_push($pieces, ...match ($control) {
                'arrows' => [[self::TOOL, 0.0], [self::TOOL, 0.0]],
                'pause' => [[self::TOOL, 0.0]],
                'dots' => [[self::DOT * $pages, 0.0]],
                'numbers' => [[self::NUMBERS, 0.0]],
                'stop' => [[self::CHECK + self::SMALL * $this->pieces->width($this->plan->words->say('ticker.stop')), 0.0]],
            });
        }

        return Pieces::wide($pieces, self::SMALL * 0.5);
    }

    /** In CSS pixels. Tiles of pictures are as high as their places, and have no height of their own. */
    private function cards(Range $range, Space $space): float
    {
        $isTile = fn (int $place): bool => $range->layout::isOfPictures() && $this->plan->cards[$place]->isPicture;
        $heights = $this->unscaledCards($space->width);

        $bar = count($this->plan->cards) > 1 ? $range->layout->bar($space) : 0.0;

        return $bar + $range->layout->stacked($space, $range->arrangement, array_map(
            fn (int $place, float $height): float => $isTile($place) ? 0.0 : $height,
            array_keys($heights),
            $heights,
        ));
    }
}
