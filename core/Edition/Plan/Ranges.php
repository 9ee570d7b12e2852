<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

use Gnomic\Memo;
use Gnomic\Shape\Card\Card;
use Gnomic\Shape\Card\CardHeight;
use Gnomic\Shape\Card\CardHeights;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Parts\Metrics;
use Gnomic\Shape\Parts\PicturesPart;
use Gnomic\Shape\Shape;
use Gnomic\Shape\Space;
use Gnomic\Shape\Tile;
use Gnomic\Shape\WidthClass;
use Gnomic\Sift\Limits;
use WeakMap;

/** What a shape makes of cards at every width, as ranges of widths that follow on each other. */
final class Ranges
{
    /** Beyond this a widget has no more breaks. */
    private const WIDEST = 3000;

    /** Where what stands where changes with the width within a number of columns, a range is at most so much wider at its end. */
    private const STEP = 1.25;

    /** Likewise where only how many lines are cut off changes. */
    private const COARSE = 1.6;

    private const FINEST = 240;

    private const FINE_TO = 1700;

    /**
     * What the ranges rest on, without their cards.
     *
     * @param  int  $all  cards that there are
     * @return list<Band> all widths, each in one of them
     */
    public static function bands(Shape $shape, Limits $limits, int $all): array
    {
        /** @var WeakMap<Shape, Memo> $known */
        static $known = new WeakMap;

        return ($known[$shape] ??= new Memo)->of("$all {$limits->key()}", function () use ($shape, $limits, $all): array {
            $known = [];
            $at = function (int $width) use ($shape, $limits, $all, &$known): array {
                return $known[$width] ??= self::stands($shape, $limits, $all, $width);
            };
            $edges = self::edges($shape, $at);

            return array_map(
                fn (int $from, ?int $to): Band => self::band($shape, $from, $to, $at($from)[0]),
                $edges,
                [...array_slice($edges, 1), null],
            );
        });
    }

    /**
     * Widths from which something else stands there than just before.
     *
     * @param  callable(int): array{int, int, array{float, float, float}}  $at
     * @return list<int>
     */
    private static function edges(Shape $shape, callable $at): array
    {
        $classes = [0, Space::NARROW, Limits::TABLET, Limits::DESKTOP, ...($shape->headIsAside() ? [Space::ASIDE_FROM] : [])];
        sort($classes);
        $edges = [];
        foreach ($classes as $index => $from) {
            array_push($edges, $from, ...self::breaks($at, $from, ($classes[$index + 1] ?? self::WIDEST) - 1));
        }

        return $edges;
    }

    /**
     * @param  list<Card>  $cards
     * @return list<Range>
     */
    public static function of(Shape $shape, Limits $limits, array $cards, CardHeights $heights): array
    {
        $ranges = [];
        $tiles = [];
        foreach (self::bands($shape, $limits, count($cards)) as $band) {
            [$layout, $lines, $without] = [$band->layout, $band->lines, $band->without];
            $tiles[$band->kind] ??= self::tiles($cards, $heights->of($band->scale, $layout::isOfPictures()), $lines, $without);
            $shown = array_slice($tiles[$band->kind], 0, $band->cards);
            foreach ($band->steps as [$first, $end, $space, $least]) {
                $arrangement = $layout->arranged($space, $least, $shown);
                $ranges[] = new Range(
                    $first,
                    $end,
                    $space->width,
                    $layout,
                    $arrangement,
                    $lines,
                    $band->isFree,
                    $without,
                    $band->scale,
                );
            }
        }

        return $ranges;
    }

    private static function band(Shape $shape, int $from, ?int $to, int $cards): Band
    {
        $class = WidthClass::at($from);
        $layout = $shape->layoutAt($class);
        // Where a few words fill a line, they are shown whole.
        $space = $shape->space($from);
        $lines = $layout->linesIn($space, $layout->columnsAt($space, $cards))
            ?? ($space->isNarrow() && ! $layout::isOfPictures() ? null : $shape->linesAt($class));
        $step = $layout::isFine() || $shape->heights === 'level' || $shape->saysLines($class) ? self::STEP : self::COARSE;
        $steps = $layout::isFine() || $lines !== null ? self::steps($from, $to, $step) : [[$from, $to, $from]];

        return new Band(
            $cards,
            $layout,
            $lines,
            ! $shape->saysLines($class),
            $shape->withoutAt($class),
            self::scale($shape, $layout, $from, $cards),
            array_map(
                fn (array $step): array => [$step[0], $step[1], $shape->space($step[2]), $shape->space($step[0])],
                $steps,
            ),
        );
    }

    /** @return array{int, int, array{float, float, float}} cards, columns of them, and sizes of their words */
    private static function stands(Shape $shape, Limits $limits, int $all, int $width): array
    {
        $layout = $shape->layoutAt(WidthClass::at($width));
        $space = $shape->space($width);
        $cards = $layout->cardsAt($space, min($all, $limits->at($width), $layout::most() ?? $all));

        return [$cards, $layout->columnsAt($space, $cards), self::scale($shape, $layout, $width, $cards)->sizes];
    }

    /** Sizes of words on so many cards. */
    private static function scale(Shape $shape, Layout $layout, int $width, int $cards): TypeScale
    {
        $space = $shape->space(max($width, Space::NARROW));

        return $shape->scale($layout, $space, $layout->columnsAt($space, $cards));
    }

    /**
     * Widths between two at which something else stands there than just before; there are few, and between them nothing changes.
     *
     * @param  callable(int): array{int, int, array{float, float, float}}  $at
     * @return list<int>
     */
    private static function breaks(callable $at, int $first, int $last): array
    {
        if ($first >= $last || $at($first) === $at($last)) {
            return [];
        }
        $middle = intdiv($first + $last, 2);

        return $last - $first === 1 ? [$last] : [...self::breaks($at, $first, $middle), ...self::breaks($at, $middle, $last)];
    }

    /** @return list<array{int, int|null, int}> from, to, and the width that stands for those between */
    private static function steps(int $from, ?int $to, float $step): array
    {
        $steps = [];
        for ($first = $from; ;) {
            $next = (int) (max($first, self::FINEST) * $step);
            $isLast = $next >= min($to ?? self::FINE_TO, self::FINE_TO);
            $end = $isLast ? $to : $next;
            // Rows are at least as high as at the wide end, and grow where there is less room.
            $steps[] = [$first, $end, $end === null ? $next : max($first, $end - 1)];
            if ($isLast) {
                return $steps;
            }
            $first = $next;
        }
    }

    /**
     * @param  list<Card>  $cards
     * @param  list<CardHeight>  $heights
     * @param  list<string>  $without
     * @return list<Tile>
     */
    private static function tiles(array $cards, array $heights, ?int $lines, array $without): array
    {
        return array_map(fn (int $place, Card $card): Tile => new Tile(
            ($card->part(PicturesPart::class)?->pictures[0] ?? null)?->ratio(),
            fn (float $width): float => Metrics::EM * $heights[$place]->at($width / Metrics::EM, $lines, $without),
            $card->weight->likes,
            $card->weight->stars,
            $card->weight->isPinned,
        ), array_keys($cards), $cards);
    }
}
