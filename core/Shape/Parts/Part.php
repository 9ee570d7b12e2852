<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

/**
 * A part of a card, as it shows one entry: what it says, how high that becomes, where it leads, and what is read out. The list of
 * them is Parts; the brief, the bench, heights, style sheets, pages of everything and the checks are derived from it. Its template
 * and its style are in resources/widget/parts, in a folder of its name.
 */
abstract readonly class Part
{
    /** The word that briefs, templates and styles have for it. */
    abstract public static function name(): string;

    /** What the bench calls it: "Title". */
    abstract public static function label(): string;

    /** What it shows of an entry; null where there is nothing to show. */
    abstract public static function of(PartContext $context): ?self;

    /** Whether cards show it where the brief does not say. */
    public static function isUsual(): bool
    {
        return false;
    }

    /** Whether pages of everything show it, where the widget's own cards do. */
    public static function isOnEverything(): bool
    {
        return true;
    }

    /** Its row where it belongs to the byline; null where it stands by itself. */
    public static function row(): ?Row
    {
        return null;
    }

    /** What is kept free for it on cards that are equally high, in em; null: nothing. */
    public static function kept(): ?float
    {
        return Metrics::SMALL_LINE;
    }

    /** Whether it takes no more than that there: the rest of it is read on. */
    public static function isHeld(): bool
    {
        return true;
    }

    /** What it says, as one text: a line of small print where nothing else is said here. */
    public function text(): ?string
    {
        return null;
    }

    /** Where it leads; null: nowhere. */
    public function link(): ?string
    {
        return null;
    }

    /** In em. @param  float  $width  within the card, in em */
    public function height(Measure $measure, float $width): float
    {
        return Metrics::SMALL_LINE * $measure->small((string) $this->text(), $width);
    }

    /** From which width within the card on it takes a line, in em; 0: it may always take more, or never does. */
    public function lineFrom(Measure $measure): float
    {
        return 0.0;
    }
}
