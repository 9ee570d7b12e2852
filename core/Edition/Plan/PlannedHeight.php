<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

use Gnomic\Shape\Lines\Paragraph;
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

    /** Size and leading of the heading, with what is kept free below it. */
    private const HEADING = 1.625;

    private const HEADING_LINE = 1.25 * self::HEADING;

    private const HEADING_BELOW = 0.31 * self::HEADING;

    /** The figure, and what has to be pressed. */
    private const FIGURE = 2.0 * 1.15;

    private const ACTION = 2.5;

    /** A row of controls or of the honest line. */
    private const FOOT = 2.75;

    /** Between the parts of the foot, and of the row in the head. */
    private const BETWEEN = 1.5;

    private const SMALL = Metrics::SMALL;

    public function __construct(private Plan $plan)
    {
    }

    /** @param  int  $width  of the widget in CSS pixels */
    public function at(int $width): float
    {
        // Larger letters make all of it larger: it is as in a narrower place, and magnified.
        $scale = $this->plan->box->scale;

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
            return Metrics::EM * $own;
        }
        $space = $plan->shape->space($width);
        if ($range->layout::most() === 0) {
            return Metrics::EM * (self::PADDING + $this->rating(($width - 2 * $space->side) / Metrics::EM));
        }
        $inner = $space->inner / Metrics::EM;
        $isAside = $plan->shape->headIsAside() && $width >= Space::ASIDE_FROM;
        $head = $this->head($isAside ? Space::ASIDE / Metrics::EM : $inner);
        $deck = $this->cards($range, $space) / Metrics::EM + $this->foot($inner, $range);

        return Metrics::EM * (self::PADDING + ($isAside ? max($head, $deck) : $head + $deck));
    }

    /** @return list<float> of each card that is shown at a width, as its own words and parts make it */
    public function cardsAt(int $width): array
    {
        $scale = $this->plan->box->scale;

        return array_map(fn (float $height): float => $height * $scale, $this->unscaledCards($this->plan->unscaled($width)));
    }

    /** @return list<float> */
    private function unscaledCards(int $width): array
    {
        $range = $this->plan->at($width);
        $space = $this->plan->shape->space($width);
        $of = $range->layout->cardWidth($space, $range->arrangement->columns) - $range->layout->sides();
        $fixed = $this->plan->fixedHeight($range);
        $heights = [];
        $clamps = $this->plan->clamps($range);
        foreach (array_slice($this->plan->heights->of($range->layout->size()), 0, $range->arrangement->cards) as $place => $height) {
            $own = Metrics::EM * $height->at($of / Metrics::EM, $clamps[$place]->lines, $range->without, $fixed !== null);
            $heights[] = max($own, $fixed === null ? 0.0 : Metrics::EM * ($fixed + 2 * $this->plan->box->around));
        }

        return $heights;
    }

    /** In em, as all that follows but the cards. */
    private function head(float $width): float
    {
        $head = $this->plan->head;
        if ($head->isEmpty()) {
            return 0.0;
        }
        $height = 0.75 + 1 / Metrics::EM;
        $height += $head->heading === null ? 0.0
            : self::HEADING_LINE * $this->lines($head->heading, $width / self::HEADING, true) + self::HEADING_BELOW;
        $height += $head->line === null ? 0.0 : Metrics::LEADING * $this->lines($head->line, $width) + 0.5;
        if (! $head->hasRow()) {
            return $height;
        }
        $figures = array_values(array_filter([
            $head->figure === null ? null : [2.0 * $this->width($head->figure, true), self::FIGURE],
            $head->base === null ? null : [self::SMALL * $this->width($head->base), self::SMALL * Metrics::LEADING],
            $head->spread === null ? null : [3.375, 1.25],
        ]));
        $actions = array_map(fn (HeadAction $action): array => $this->action($action, $width), $head->actions);
        $parts = [
            ...($head->account === null ? [] : [[min($width, 36.0), max(2.5, self::SMALL * Metrics::LEADING * 2)]]),
            ...($figures === [] ? [] : [[self::wide($figures, 0.875), self::rows($figures, $width, 0.875, 0.125)]]),
            ...($actions === [] ? [] : [[self::wide($actions, 1.25), self::rows($actions, $width, 1.25, 0.25)]]),
        ];

        return $height + self::rows($parts, $width, self::BETWEEN, 0.25);
    }

    /** @return array{float, float} width and height */
    private function action(HeadAction $action, float $width): array
    {
        $lines = $this->lines($action->text, $width, true);

        return [min($width, $this->width($action->text, true)), self::ACTION + ($lines - 1) * Metrics::LEADING];
    }

    /** The overall rating in a line. */
    private function rating(float $width): float
    {
        $head = $this->plan->head;
        $figures = array_values(array_filter([
            $head->figure === null ? null : [1.25 * $this->width($head->figure, true), 1.25 * 1.15],
            $head->base === null ? null : [self::SMALL * $this->width($head->base), self::SMALL * Metrics::LEADING],
            $head->spread === null ? null : [3.375, 1.25],
        ]));
        $glyphs = $head->twentieths === null ? [] : [[5.0, 1.0]];
        $wide = min($width, self::wide([...$glyphs, [self::wide($figures, 0.875), 0.0]], 0.75));
        $whole = [...$glyphs, [self::wide($figures, 0.875), self::rows($figures, $width, 0.875, 0.125)]];
        $heading = $head->heading === null ? [] : [[
            min($width, self::SMALL * $this->width($head->heading)),
            self::SMALL * Metrics::LEADING * $this->lines($head->heading, $width / self::SMALL),
        ]];
        $actions = array_map(fn (HeadAction $action): array => $this->action($action, $width), $head->actions);

        return self::rows([[$wide, self::rows($whole, $width, 0.75, 0.125)], ...$heading, ...$actions], $width, 0.75, 0.125) + 0.25;
    }

    private function foot(float $width, Range $range): float
    {
        $honest = $this->plan->honest;
        $small = self::SMALL * Metrics::LEADING;
        $parts = [];
        if ($honest !== null) {
            $said = "$honest->text $honest->all";
            $lines = $this->lines($said, $width / self::SMALL);
            $parts[] = [min($width, self::SMALL * $this->width($said)), max(self::FOOT, $lines * $small)];
        }
        if ($this->plan->hasFurther) {
            $parts[] = [8.0, self::FOOT];
        }
        if ($range->layout->hasControls() && count($this->plan->cards) > 1) {
            $parts[] = [min($width, 11.5), self::FOOT];
        }

        return self::rows($parts, $width, 1.0, 0.0);
    }

    /** In CSS pixels. Tiles of pictures are as high as their places, and have no height of their own. */
    private function cards(Range $range, Space $space): float
    {
        $isTile = fn (int $place): bool => $range->layout::isOfPictures() && $this->plan->cards[$place]->isPicture;
        $heights = $this->unscaledCards($space->width);

        return $range->layout->stacked($space, $range->arrangement, array_map(
            fn (int $place, float $height): float => $isTile($place) ? 0.0 : $height,
            array_keys($heights),
            $heights,
        ));
    }

    private function lines(string $text, float $width, bool $bold = false): int
    {
        return Paragraph::of($text, $this->plan->font, $bold)->linesAt($width);
    }

    private function width(string $text, bool $bold = false): float
    {
        return Paragraph::of($text, $this->plan->font, $bold)->widest();
    }

    /** @param  list<array{float, float}>  $parts  widths and heights */
    private static function wide(array $parts, float $gap): float
    {
        return array_sum(array_column($parts, 0)) + $gap * max(0, count($parts) - 1);
    }

    /**
     * Height of parts that stand side by side as long as there is room.
     *
     * @param  list<array{float, float}>  $parts  widths and heights
     */
    private static function rows(array $parts, float $width, float $across, float $down): float
    {
        $total = $used = $row = 0.0;
        foreach ($parts as [$wide, $high]) {
            if ($used > 0 && $used + $across + $wide > $width) {
                $total += $row + $down;
                $used = $row = 0.0;
            }
            $used += ($used > 0 ? $across : 0.0) + $wide;
            $row = max($row, $high);
        }

        return $total + $row;
    }
}
