<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Parts\Metrics;
use Gnomic\Shape\Parts\Part;

/**
 * How the parts of a card stand to each other: their order, what stands beside what, and how large words are. Its template and its
 * style lie in resources/widget/compositions, in a folder of its name. The list of them is Compositions.
 */
abstract readonly class Composition
{
    /** What stands above the byline is kept further from it than from each other, in em. */
    protected const ABOVE_BYLINE = 0.5;

    /** The word that briefs, looks, templates and styles have for it. */
    abstract public static function name(): string;

    /** What the owner calls it: "Words first". */
    abstract public static function label(): string;

    /** "words first", for the sentence; null where it goes without saying. */
    abstract public static function phrase(): ?string;

    /** Size of the words in a layout. */
    public static function scale(Layout $layout): TypeScale
    {
        return $layout->scale();
    }

    /** Size of names, in em. */
    public static function nameSize(): float
    {
        return 0.9375;
    }

    /** Whether the day stands on the line of the name, where there is no face beside it. */
    public static function isFlat(): bool
    {
        return true;
    }

    /** Whether there is room for bars beside other figures above such cards. */
    public static function hasRoomForBars(): bool
    {
        return true;
    }

    /** Whether faces stand above names, and not beside them. */
    public static function hasFacesAbove(): bool
    {
        return false;
    }

    /** Whether the words stand in the quotation marks of their language, where the look wants that. */
    public static function quotes(): bool
    {
        return true;
    }

    /**
     * The blocks in their order, by the group that they stand in; one group "" where they just follow on each other, "told rate" for the
     * group "rate" within the group "told".
     *
     * @template T
     *
     * @param  list<T>  $blocks
     * @param  callable(T): class-string<Part>  $kind  of the first part of a block
     * @return array<string, list<T>>
     */
    public static function groups(array $blocks, callable $kind): array
    {
        return ['' => $blocks];
    }

    /**
     * How high the blocks become together, without what is kept free around them on every card; in em.
     *
     * @param  list<class-string<Part>>  $kinds  of the first part of each block, in the order in which the brief has them
     * @param  float  $width  within the card, in em
     * @param  callable(int, float): float  $height  of a block by its place, at a width
     */
    public static function height(array $kinds, float $width, callable $height): float
    {
        return static::stacked(array_keys($kinds), $kinds, $width, $height);
    }

    /**
     * Whether such a card keeps nothing free around its blocks.
     *
     * @param  list<class-string<Part>>  $kinds  of the first part of each
     */
    public static function isBare(array $kinds): bool
    {
        return false;
    }

    /**
     * Of blocks one below the other.
     *
     * @param  list<int>  $places  of those that are
     * @param  list<class-string<Part>>  $kinds
     * @param  callable(int, float): float  $height
     */
    protected static function stacked(array $places, array $kinds, float $width, callable $height): float
    {
        $total = 0.0;
        foreach ($places as $at => $place) {
            $total += $height($place, $width) + ($at > 0 ? static::gap($kinds[$place]) : 0.0);
        }

        return $total;
    }

    /**
     * Above a block of this kind, in em.
     *
     * @param  class-string<Part>  $kind
     */
    protected static function gap(string $kind): float
    {
        $isByline = $kind::row() !== null;

        return $isByline ? Metrics::GAP + self::ABOVE_BYLINE : Metrics::GAP;
    }

    /**
     * Bylines, and all else.
     *
     * @template T
     *
     * @param  list<T>  $blocks
     * @param  callable(T): class-string<Part>  $kind
     * @return array{list<T>, list<T>}
     */
    protected static function apart(array $blocks, callable $kind): array
    {
        $isByline = fn (mixed $block): bool => $kind($block)::row() !== null;

        return [
            array_values(array_filter($blocks, $isByline)),
            array_values(array_filter($blocks, fn (mixed $block): bool => ! $isByline($block))),
        ];
    }

    /**
     * How wide what is said becomes on a card, in em.
     *
     * @param  float  $width  within the card, in em
     * @param  list<class-string<Part>>  $kinds  of the first part of each block
     */
    public static function wordsWidth(float $width, array $kinds): float
    {
        return $width;
    }
}
