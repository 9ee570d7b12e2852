<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\Schema;
use Gnomic\Shape\Lines\TypeScale;

/**
 * A way to lay cards out: its own settings, how it is said, and what stands where at a width. Its markup, styles and
 * behaviour lie in resources/widget/layouts, in a folder of its name. The list of them is Layouts.
 */
abstract readonly class Layout
{
    /** How much higher than the median a card may be. */
    private const OVER_MEDIAN = 1.2;

    /** Of the folder, and in a brief. */
    abstract public static function name(): string;

    /** What the owner calls it. */
    abstract public static function label(): string;

    /** @return list<Purpose> */
    abstract public static function madeFor(): array;

    /** @return array<string, Schema> members of a brief that are its own */
    abstract public static function settings(): array;

    abstract public static function of(Members $settings): self;

    /** Whether the other is the same with the same settings. */
    final public function equals(self $other): bool
    {
        return $this === $other
            || ($this::class === $other::class && var_export($this, true) === var_export($other, true));
    }

    /** "three across in a carousel". */
    abstract public function phrase(): string;

    /** Whether its cards stand in the flow, so that other widths may have another such layout. */
    public static function flows(): bool
    {
        return true;
    }

    /** Whether further entries can come into it. */
    public static function grows(): bool
    {
        return static::most() === null;
    }

    /** Whether it takes room where the code stands, which can be measured out. */
    public static function hasRoom(): bool
    {
        return true;
    }

    /** Whether it is all pictures where there are any: words are kept for the enlarged view. */
    public static function isOfPictures(): bool
    {
        return false;
    }

    /** Lines that words are clamped to where the brief does not say; null: none. */
    public function usualLines(): ?int
    {
        return null;
    }

    /** Whether it leads to everything that was collected, by itself. */
    public function leadsToEverything(): bool
    {
        return false;
    }

    /** The composition that suits it, where a look brings this one and the brief leaves it to the look. */
    public function composed(string $composition): string
    {
        return $composition;
    }

    /** Sizes of the words on its cards, by how much was said. */
    public function scale(): TypeScale
    {
        return static::isOfPictures() ? TypeScale::even($this->size()) : TypeScale::of(TypeScale::USUAL, 1.3125, 1.6875);
    }

    /** Size of the words where all are of one, in the size of the visitor's own letters. */
    public function size(): float
    {
        return TypeScale::USUAL;
    }

    /** Entries beyond this are of no use to it; null: it takes any number. */
    public static function most(): ?int
    {
        return null;
    }

    /** Seconds after which it changes by itself; null: it stands still. */
    public function seconds(): ?int
    {
        return null;
    }

    /** Cards side by side. */
    public function acrossAt(Space $space): int
    {
        return 1;
    }

    /** Why there are so many, for the owner; null where there is nothing to choose. */
    public function why(Space $space): ?string
    {
        return null;
    }

    /** How many of so many cards, all of which it shows, stand side by side. */
    public function columnsAt(Space $space, int $cards): int
    {
        return min($this->acrossAt($space), max(1, $cards));
    }

    /** How many of so many cards it shows. */
    public function cardsAt(Space $space, int $cards): int
    {
        return $cards;
    }

    /** Whether what stands where changes within a number of columns, with the width. */
    public static function isFine(): bool
    {
        return false;
    }

    /** Whether copies of all its cards follow on them, as they go round. */
    public function repeats(): bool
    {
        return false;
    }

    /** Whether its cards are moved through, each a slide for those who hear it. */
    public static function hasSlides(): bool
    {
        return false;
    }

    /** @return list<'arrows'|'dots'|'numbers'|'pause'|'stop'> what stands below its cards to move them or to stop them */
    public function controls(): array
    {
        return [];
    }

    /** CSS pixels that what moves its cards takes within their own place, where there are several. */
    public function bar(Space $space): float
    {
        return 0.0;
    }

    /** Whether it is moved by what stands within its cards' own place. */
    public function isMovedInside(): bool
    {
        return false;
    }

    /** Whether cards become equally high, where their words are clamped. */
    public function isLevel(): bool
    {
        return ! static::isOfPictures();
    }

    /**
     * How high a card is at most before its words are cut and read on.
     *
     * @param  non-empty-list<float>  $heights  of all cards as they are by themselves, ascending, in em
     */
    public function fit(array $heights): float
    {
        return self::OVER_MEDIAN * $heights[intdiv(count($heights), 2)];
    }

    /** Whether who said it stands right under the words, as nothing stands beside them that it should be level with. */
    public function keepsTogether(int $columns): bool
    {
        return false;
    }

    /** What is left beside a card for the beginning of the next, with the gap between, in CSS pixels. */
    public function peek(int $columns, int $cards, Space $space): int
    {
        return 0;
    }

    /**
     * Width of a card, in CSS pixels.
     *
     * @param  int  $cards  that are shown; where it is not said, more than have room: some layouts let the next one be seen beside one
     */
    public function cardWidth(Space $space, int $columns, int $cards = PHP_INT_MAX): float
    {
        return $space->column($columns);
    }

    /**
     * Lines of words that there is room for, where its cards have no height of their own; null: as many as the brief says.
     *
     * @param  int  $columns  that stand there
     */
    public function linesIn(Space $space, int $columns): ?int
    {
        return null;
    }

    /** How large the ring around the overall figure is, in em; null where there is none. */
    public function ring(): ?float
    {
        return null;
    }

    /** Height of the whole where it has no cards in the flow, in em; null where it has. */
    public function ownHeight(): ?float
    {
        return null;
    }

    /**
     * Height of cards that stand in rows, each as high as its highest.
     *
     * @param  list<float>  $heights  of the cards that are shown, in CSS pixels; 0 of a picture that is as high as its place
     */
    public function stacked(Space $space, Arrangement $arrangement, array $heights): float
    {
        $rows = array_chunk($heights, max(1, $arrangement->columns));

        return array_sum(array_map(fn (array $row): float => max($row), $rows)) + count($rows);
    }

    /** Rows of cards. */
    public function rows(Arrangement $arrangement): int
    {
        return (int) ceil($arrangement->cards / max(1, $arrangement->columns));
    }

    /** Whether there is room for bars beside other figures. */
    public function hasRoomForBars(): bool
    {
        return true;
    }

    /** Whether its cards are in a panel that opens over the page. */
    public function opensPanel(): bool
    {
        return false;
    }

    /** CSS pixels between cards where the brief does not say. */
    public function usualGap(): int
    {
        return static::isOfPictures() ? 8 : 40;
    }

    /** What becomes of cards that do not fill the last row: "centred" or "stretched"; null: it has none, or leaves them out. */
    public function lastRow(): ?string
    {
        return null;
    }

    /** @return list<string> what it is brought to life by on the page, beside what has its name */
    public function behaviours(): array
    {
        return $this->seconds() === null ? [] : ['move'];
    }

    /** @return list<string> parts of the style sheet that it needs, be they on its cards or not */
    public function parts(): array
    {
        return static::isOfPictures() ? ['tile'] : [];
    }

    /**
     * Numbers of its style sheet that are settings, by the names of custom properties.
     *
     * @param  int  $cards  that it shows
     * @param  int  $gap  between them, in CSS pixels
     * @return array<string, string>
     */
    public function style(int $cards, int $gap): array
    {
        return [];
    }

    /**
     * What stands where.
     *
     * @param  Space  $space  at the wide end of the widths that this holds for
     * @param  Space  $narrow  at the narrow end of them
     * @param  list<Tile>  $tiles  as many as are shown at these widths
     */
    public function arranged(Space $space, Space $narrow, array $tiles): Arrangement
    {
        return new Arrangement($this->columnsAt($space, count($tiles)), count($tiles));
    }
}
