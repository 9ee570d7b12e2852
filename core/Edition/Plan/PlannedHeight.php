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

    /** By how the head stands, in the size of the heading. */
    private const HEADING_BELOW = ['stacked' => 0.31, 'figure' => 0.5];

    /** Below the head, with its line. */
    private const UNDER_HEAD = 0.75 + 1 / Metrics::EM;

    /** Sizes of the figure by how the head stands; glyphs beside it; and what has to be pressed. */
    private const FIGURES = ['line' => 1.625, 'centred' => 1.625, 'stacked' => 2.0, 'figure' => 4.0];

    private const GLYPHS = 5.8 * 1.125;

    /** Glyphs of a service, with what is kept free beside them and between its name and its figure. */
    private const CHANNEL = 6.9;

    private const ACTION = 2.5;

    /** CSS pixels from which on it is said since when the figures are. */
    private const SINCE_FROM = 480;

    /** Bars of the spread, and the least width that they are shown at. */
    private const SPREAD = 14.875;

    private const SPREAD_HIGH = 5 * 1.25;

    private const SPREAD_FROM = 192;

    /** A row of controls or of the honest line. */
    private const FOOT = 2.75;

    /** What moves the cards: its width and its height, with what is kept free above it. */
    private const CONTROLS = 11.5;

    private const TURN = 3.5;

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
            return Metrics::EM * ($own + ($range->layout::most() === 0 ? $this->padding() : 0.0));
        }
        $space = $plan->shape->space($width);
        if ($range->layout::most() === 0) {
            return Metrics::EM * ($this->padding() + $this->rating(($width - 2 * $space->side) / Metrics::EM, $width));
        }
        $inner = $space->inner / Metrics::EM;
        $isAside = $plan->shape->headIsAside() && $width >= Space::ASIDE_FROM;
        $head = $this->head($isAside ? Space::ASIDE / Metrics::EM : $inner, $width);
        $deck = $this->cards($range, $space) / Metrics::EM + $this->foot($inner, $range);

        return Metrics::EM * ($this->padding() + ($isAside ? max($head, $deck) : $head + $deck));
    }

    private function padding(): float
    {
        return $this->plan->isFlush ? 0.0 : self::PADDING;
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
        foreach (array_slice($this->plan->heights->of($this->plan->scale($range)), 0, $range->arrangement->cards) as $place => $height) {
            $own = Metrics::EM * $height->at($of / Metrics::EM, $clamps[$place]->lines, $range->without, $fixed !== null);
            $heights[] = max($own, $fixed === null ? 0.0 : Metrics::EM * ($fixed + 2 * $this->plan->box->around));
        }

        return $heights;
    }

    /** In em, as all that follows but the cards. @param  int  $place  CSS pixels of the whole place */
    private function head(float $width, int $place): float
    {
        $head = $this->plan->head;
        if ($head->isEmpty()) {
            return 0.0;
        }
        $style = $this->plan->headStyle();
        $heading = $head->heading === null ? null : [
            min($width, self::HEADING * $this->width($head->heading, true)),
            self::HEADING_LINE * $this->lines($head->heading, $width / self::HEADING, true),
        ];
        $line = $head->line === null ? 0.0 : Metrics::LEADING * $this->lines($head->line, $width);
        $row = $this->row($width, $place, $style);
        // Bars have a line of their own.
        $row = $row === null || $this->plan->spread() === null ? $row : [$width, $row[1]];
        $height = self::UNDER_HEAD + match (true) {
            $style === 'line' => self::rows(array_values(array_filter([$heading, $row])), $width, self::BETWEEN, 0.25)
                + ($line > 0 ? $line + 0.25 : 0.0),
            $style === 'centred' => ($heading[1] ?? 0.0) + $line + ($row[1] ?? 0.0)
                + 0.375 * max(0, count(array_filter([$heading !== null, $line > 0, $row !== null], fn (bool $is): bool => $is)) - 1),
            default => ($heading === null ? 0.0 : $heading[1] + self::HEADING * self::HEADING_BELOW[$style])
                + ($line > 0 ? $line + 0.5 : 0.0) + ($row[1] ?? 0.0),
        };

        return $height;
    }

    /**
     * The account, the figures and what can be pressed.
     *
     * @return array{float, float}|null width and height; null where there are none
     */
    private function row(float $width, int $place, string $style): ?array
    {
        $head = $this->plan->head;
        if (! $head->hasRow()) {
            return null;
        }
        $actions = $this->plan->hasActionsBelow() ? [] : $this->actions($width);
        $parts = array_values(array_filter([
            $head->account === null ? null : [min($width, 36.0), max(2.5, self::SMALL * Metrics::LEADING * 2)],
            $head->figure === null && $head->base === null ? null : $this->figures($width, $place, $style),
            $this->plan->spread() === null || $place < self::SPREAD_FROM ? null : [min($width, self::SPREAD), self::SPREAD_HIGH],
            $head->channels === [] ? null : $this->channels($width),
            $actions === [] ? null : [self::wide($actions, 1.25), self::rows($actions, $width, 1.25, 0.25)],
        ]));

        return $parts === [] ? null : [min($width, self::wide($parts, self::BETWEEN)), self::rows($parts, $width, self::BETWEEN, 0.25)];
    }

    /** @return array{float, float} width and height */
    private function figures(float $width, int $place, string $style): array
    {
        $head = $this->plan->head;
        $said = (string) $head->base.($place < self::SINCE_FROM ? '' : $head->since);
        $small = self::SMALL * Metrics::LEADING;
        if ($style === 'figure') {
            $figure = self::FIGURES[$style] * $this->width((string) $head->figure, true) + 0.875;
            $beside = max(1.0, $width - $figure);
            $lines = $this->lines($said, $beside / self::SMALL);

            return [
                min($width, $figure + max(self::GLYPHS, self::SMALL * $this->width($said))),
                max(self::FIGURES[$style], 1.125 + $lines * self::SMALL * 1.35),
            ];
        }
        $size = self::FIGURES[$style] ?? self::FIGURES['line'];
        $parts = array_values(array_filter([
            $head->figure === null || $style === 'stacked' ? null : [self::GLYPHS, 1.125],
            $head->figure === null ? null : [$size * $this->width($head->figure, true), $size * 1.15],
            $said === '' ? null : [min($width, self::SMALL * $this->width($said)), $small * $this->lines($said, $width / self::SMALL)],
        ]));
        $gap = $style === 'stacked' ? 0.875 : 0.75;

        return [min($width, self::wide($parts, $gap)), self::rows($parts, $width, $gap, 0.125)];
    }

    /** @return array{float, float} width and height of the figures by service, each in one piece */
    private function channels(float $width): array
    {
        $parts = array_map(fn (HeadChannel $one): array => [
            min($width, self::CHANNEL + self::SMALL * ($this->width("$one->name $one->base") + $this->width($one->figure, true))),
            self::SMALL * Metrics::LEADING * $this->lines("$one->name $one->figure $one->base", ($width - self::CHANNEL) / self::SMALL),
        ], $this->plan->head->channels);

        return [min($width, self::wide($parts, self::BETWEEN)), self::rows($parts, $width, self::BETWEEN, 0.25)];
    }

    /** @return list<array{float, float}> widths and heights */
    private function actions(float $width): array
    {
        return array_map(fn (HeadAction $action): array => $this->action($action, $width), $this->plan->head->actions);
    }

    /** @return array{float, float} width and height */
    private function action(HeadAction $action, float $width): array
    {
        $lines = $this->lines($action->text, $width, true);

        return [min($width, $this->width($action->text, true)), self::ACTION + ($lines - 1) * Metrics::LEADING];
    }

    /** The overall rating in a line. */
    private function rating(float $width, int $place): float
    {
        $head = $this->plan->head;
        $said = (string) $head->base.($place < self::SINCE_FROM ? '' : $head->since);
        $small = self::SMALL * Metrics::LEADING;
        $figures = array_values(array_filter([
            $head->figure === null ? null : [1.25 * $this->width($head->figure, true), 1.25 * 1.15],
            $said === '' ? null : [self::SMALL * $this->width($said), $small * $this->lines($said, $width / self::SMALL)],
        ]));
        $glyphs = $head->twentieths === null ? [] : [[5.8, 1.0]];
        $whole = [
            ...$glyphs,
            [min($width, self::wide($figures, 0.75)), self::rows($figures, $width, 0.75, 0.125)],
            ...($this->plan->spread() === null || $place < self::SPREAD_FROM ? [] : [[min($width, self::SPREAD), self::SPREAD_HIGH]]),
            ...($head->channels === [] ? [] : [$this->channels($width)]),
        ];
        $wide = min($width, self::wide($whole, 0.75));
        $heading = $head->heading === null ? [] : [[
            min($width, self::SMALL * $this->width($head->heading)),
            self::SMALL * Metrics::LEADING * $this->lines($head->heading, $width / self::SMALL),
        ]];
        $actions = $this->actions($width);

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
        if ($this->plan->hasActionsBelow()) {
            $actions = $this->actions($width);
            $parts[] = [min($width, self::wide($actions, 1.25)), max(self::FOOT, self::rows($actions, $width, 1.25, 0.25))];
        }
        // What is said and pressed stands together, and wraps before what moves the cards does.
        $foot = $parts === [] ? [] : [[
            min($width, self::wide($parts, self::BETWEEN)),
            0.25 + self::rows($parts, $width, self::BETWEEN, 0.0),
        ]];
        if ($range->layout->hasControls() && count($this->plan->cards) > 1) {
            $foot[] = [min($width, self::CONTROLS), self::TURN];
        }

        return self::rows($foot, $width, 1.0, 0.0);
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
