<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

use Gnomic\Shape\Parts\Metrics;

/** How high the head becomes at a width, before anything is drawn; in em. */
final readonly class PlannedHead
{
    /** Size of the heading where the look does not say. */
    private const HEADING = 1.625;

    /** How much wider capitals are than other letters, about. */
    private const CAPITALS = 1.25;

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

    /** CSS pixels from which on it is said since when and at how many sources the figures are. */
    private const SINCE_FROM = 480;

    /** Bars of the spread, and the least width that they are shown at. */
    private const SPREAD = 14.875;

    private const SPREAD_HIGH = 5 * 1.25;

    private const SPREAD_FROM = 192;

    /** Of a row of faces: how large each is, and how far the next one stands from it. */
    private const FACE = 2.25;

    private const FACE_STEP = 1.875;

    /** Between the last of them and how many more there are. */
    private const OTHERS = 0.625;

    /** Between the parts of its row. */
    private const BETWEEN = 1.5;

    private const SMALL = Metrics::SMALL;

    /** Sizes in a ring: of the figure, and of what it rests on, with the height of its lines and how wide it is at most. */
    private const SEAL_FIGURE = 2.75;

    private const SEAL_BASE = 0.8125;

    private const SEAL_LINE = 1.3 * self::SEAL_BASE;

    private const SEAL_WIDEST = 9 * self::SEAL_BASE;

    /** Kept free within the ring, and where there is none, above and below together. */
    private const IN_RING = 3.0;

    private const WITHOUT_RING = 1.0;

    /** What is said where there is neither, with what is kept free around it. */
    private const NONE = 2.5 + Metrics::SMALL * Metrics::LEADING;

    public function __construct(private Plan $plan, private Pieces $pieces)
    {
    }

    /** @param  float  $width  that it has, in em @param  int  $place  CSS pixels of the whole place */
    public function at(float $width, int $place): float
    {
        $head = $this->plan->head;
        if ($head->isEmpty()) {
            return 0.0;
        }
        $style = $this->plan->headStyle();
        $tokens = $this->plan->tokens;
        $size = $tokens->headingAt(Plan::screen($place)) ?? self::HEADING;
        // What stands between letters makes them wider, and so do capitals.
        $wide = $size * (1 + 2 * $tokens->headingSpacing / 1000) * ($tokens->headingCase === 'upper' ? self::CAPITALS : 1.0);
        $heading = $head->heading === null ? null : [
            min($width, $wide * $this->pieces->width($head->heading, true)),
            $tokens->headingLeading / 100 * $size * $this->pieces->lines($head->heading, $width / $wide, true),
        ];
        $line = $head->line === null ? 0.0 : Metrics::LEADING * $this->pieces->lines($head->line, min($width, Metrics::WIDEST));
        $row = $this->row($width, $place, $style);
        // Bars have a line of their own.
        $row = $row === null || $this->plan->spread() === null ? $row : [$width, $row[1]];

        return self::UNDER_HEAD + match (true) {
            $style === 'line' => Pieces::rows(array_values(array_filter([$heading, $row])), $width, self::BETWEEN, 0.25)
                + ($line > 0 ? $line + 0.25 : 0.0),
            $style === 'centred' => ($heading[1] ?? 0.0) + $line + ($row[1] ?? 0.0)
                + 0.375 * max(0, count(array_filter([$heading !== null, $line > 0, $row !== null], fn (bool $is): bool => $is)) - 1),
            default => ($heading === null ? 0.0 : $heading[1] + $size * self::HEADING_BELOW[$style])
                + ($line > 0 ? $line + 0.5 : 0.0) + ($row[1] ?? 0.0),
        };
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
            $head->faces === [] ? null : $this->faces($width),
            $actions === [] ? null : [Pieces::wide($actions, 1.25), Pieces::rows($actions, $width, 1.25, 0.25)],
        ]));

        return $parts === [] ? null : self::inRows($parts, $width);
    }

    /**
     * @param  list<array{float, float}>  $parts  widths and heights
     * @return array{float, float} width and height of the parts beside each other, in as many rows as they need
     */
    private static function inRows(array $parts, float $width): array
    {
        return [min($width, Pieces::wide($parts, self::BETWEEN)), Pieces::rows($parts, $width, self::BETWEEN, 0.25)];
    }

    /** What the figure rests on, in words, where the place has room for since when. */
    private function said(int $place): string
    {
        $head = $this->plan->head;

        return (string) $head->base.($place < self::SINCE_FROM ? '' : $head->since);
    }

    /** @return array{float, float}|null width and height of what is said beside the figure; none where nothing is */
    private function base(float $width, int $place): ?array
    {
        $said = $this->said($place);

        return $said === '' ? null : [
            min($width, self::SMALL * $this->pieces->width($said)),
            self::SMALL * Metrics::LEADING * $this->pieces->lines($said, $width / self::SMALL),
        ];
    }

    /** @return array{float, float} width and height */
    private function figures(float $width, int $place, string $style): array
    {
        $head = $this->plan->head;
        if ($style === 'figure') {
            $said = $this->said($place);
            $figure = self::FIGURES[$style] * $this->pieces->width((string) $head->figure, true) + 0.875;
            $beside = max(1.0, $width - $figure);
            $lines = $this->pieces->lines($said, $beside / self::SMALL);

            return [
                min($width, $figure + max(self::GLYPHS, self::SMALL * $this->pieces->width($said))),
                max(self::FIGURES[$style], 1.125 + $lines * self::SMALL * 1.35),
            ];
        }
        $size = self::FIGURES[$style] ?? self::FIGURES['line'];
        $parts = array_values(array_filter([
            $head->figure === null || $style === 'stacked' ? null : [self::GLYPHS, 1.125],
            $head->figure === null ? null : [$size * $this->pieces->width($head->figure, true), $size * 1.15],
            $this->base($width, $place),
        ]));
        $gap = $style === 'stacked' ? 0.875 : 0.75;

        return [min($width, Pieces::wide($parts, $gap)), Pieces::rows($parts, $width, $gap, 0.125)];
    }

    /** @return array{float, float} width and height of the row of faces, with how many more there are */
    private function faces(float $width): array
    {
        $others = $this->plan->head->others;
        $faces = [[self::FACE + (count($this->plan->head->faces) - 1) * self::FACE_STEP, self::FACE]];
        $said = $others === null ? [] : [[self::OTHERS + self::SMALL * $this->pieces->width($others), self::SMALL * Metrics::LEADING]];

        return [min($width, Pieces::wide([...$faces, ...$said], 0.0)), Pieces::rows([...$faces, ...$said], $width, 0.0, 0.0)];
    }

    /** @return array{float, float} width and height of the figures by service, each in one piece */
    private function channels(float $width): array
    {
        return self::inRows(array_map(function (HeadChannel $one) use ($width): array {
            $called = $one->sign->across ?? $this->pieces->width($one->name);
            $text = $called + $this->pieces->width(" $one->base") + $this->pieces->width($one->figure, true);
            $room = ($width - self::CHANNEL) / self::SMALL;
            $lines = $one->sign === null
                ? $this->pieces->lines("$one->name $one->figure $one->base", $room)
                : (int) max(1, ceil($text / max(1.0, $room)));

            return [min($width, self::CHANNEL + self::SMALL * $text), self::SMALL * Metrics::LEADING * $lines];
        }, $this->plan->head->channels), $width);
    }

    /** @return list<array{float, float}> widths and heights of what can be pressed */
    public function actions(float $width): array
    {
        return array_map(fn (HeadAction $action): array => $this->action($action, $width), $this->plan->head->actions);
    }

    /** @return array{float, float} width and height */
    private function action(HeadAction $action, float $width): array
    {
        $lines = $this->pieces->lines($action->text, $width, true);

        return [min($width, $this->pieces->width($action->text, true)), self::ACTION + ($lines - 1) * Metrics::LEADING];
    }

    /**
     * The overall rating by itself, in a line or in a ring.
     *
     * @param  float  $width  that it has, in em
     * @param  int  $place  CSS pixels of the whole place
     */
    public function rating(float $width, int $place): float
    {
        $head = $this->plan->head;
        $ring = $this->plan->layout()->ring();
        if ($ring !== null) {
            return $this->seal($ring, $width, $place);
        }
        $figures = array_values(array_filter([
            $head->figure === null ? null : [1.25 * $this->pieces->width($head->figure, true), 1.25 * 1.15],
            $this->base($width, $place),
        ]));
        $glyphs = $head->twentieths === null ? [] : [[5.8, 1.0]];
        $whole = [
            ...$glyphs,
            [min($width, Pieces::wide($figures, 0.75)), Pieces::rows($figures, $width, 0.75, 0.125)],
            ...($this->plan->spread() === null || $place < self::SPREAD_FROM ? [] : [[min($width, self::SPREAD), self::SPREAD_HIGH]]),
            ...($head->channels === [] ? [] : [$this->channels($width)]),
            ...($head->faces === [] ? [] : [$this->faces($width)]),
        ];
        $wide = min($width, Pieces::wide($whole, 0.75));
        $heading = $head->heading === null ? [] : [[
            min($width, self::SMALL * $this->pieces->width($head->heading)),
            self::SMALL * Metrics::LEADING * $this->pieces->lines($head->heading, $width / self::SMALL),
        ]];
        $actions = $this->actions($width);
        $pressed = $actions === [] ? [] : [[min($width, Pieces::wide($actions, 1.25)), Pieces::rows($actions, $width, 1.25, 0.25)]];
        // What leads to everything is one piece.
        $figures = $this->plan->layout()->leadsToEverything() ? [[$wide, Pieces::rows($whole, $width, 0.75, 0.125)]] : $whole;

        return Pieces::rows([...$figures, ...$heading, ...$pressed], $width, 0.75, 0.125) + 0.25;
    }

    /** The figure and what it rests on in a ring, and beneath it what else there is. @param  float  $ring  across, in em */
    private function seal(float $ring, float $width, int $place): float
    {
        $head = $this->plan->head;
        $said = (string) $head->base;
        $room = min($width - self::WITHOUT_RING, self::SEAL_WIDEST) / self::SEAL_BASE;
        $within = ($head->figure === null ? 0.0 : self::SEAL_FIGURE)
            + ($said === '' ? 0.0 : 0.125 + self::SEAL_LINE * $this->pieces->lines($said, $room));
        $actions = $this->actions($width);
        $beneath = array_filter([
            $head->channels === [] ? null : $this->channels($width)[1],
            $head->faces === [] ? null : $this->faces($width)[1],
            $head->heading === null ? null : self::SMALL * Metrics::LEADING * $this->pieces->lines($head->heading, $width / self::SMALL),
            $actions === [] ? null : Pieces::rows($actions, $width, 1.25, 0.25),
        ], is_float(...));
        // Where there is no room for the ring, there is none.
        $figure = $place <= Metrics::EM * $ring ? self::WITHOUT_RING + $within : max(min($ring, $width), self::IN_RING + $within);

        return ($head->hasFigures() ? $figure : self::NONE) + 0.5 * count($beneath) + array_sum($beneath);
    }
}
