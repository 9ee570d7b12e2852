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
     * How many cards are shown where, and how many stand side by side: what the other ranges rest on, without their cards.
     *
     * @return list<array{from: int, to: int|null, across: int, cards: int}>
     */
    public static function counts(Shape $shape, Limits $limits, int $shown): array
    {
        return self::known($shape)->of(
            "counts $shown {$limits->key()}",
            fn (): array => self::counted($shape, $limits, $shown),
        );
    }

    /** @return list<array{from: int, to: int|null, across: int, cards: int}> */
    private static function counted(Shape $shape, Limits $limits, int $shown): array
    {
        $edges = [0, Space::NARROW, Limits::TABLET, Limits::DESKTOP];
        if ($shape->headIsAside()) {
            $edges[] = Space::ASIDE_FROM;
        }
        $known = [];
        $at = function (int $width) use ($shape, $limits, $shown, &$known): array {
            return $known[$width] ??= self::count($shape, $limits, $shown, $width);
        };
        sort($edges);
        $all = [];
        foreach ($edges as $index => $from) {
            array_push($all, $from, ...self::breaks($at, $from, ($edges[$index + 1] ?? self::WIDEST) - 1));
        }
        $counts = [];
        foreach ($all as $index => $from) {
            [$across, $cards] = $at($from);
            $counts[] = ['from' => $from, 'to' => $all[$index + 1] ?? null, 'across' => $across, 'cards' => $cards];
        }

        return $counts;
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

    /** @return list<Band> */
    private static function bands(Shape $shape, Limits $limits, int $shown): array
    {
        return self::known($shape)->of("bands $shown {$limits->key()}", fn (): array => array_map(
            fn (array $count): Band => self::band($shape, $count['from'], $count['to'], $count['cards']),
            self::counts($shape, $limits, $shown),
        ));
    }

    private static function band(Shape $shape, int $from, ?int $to, int $cards): Band
    {
        $class = WidthClass::at($from);
        $layout = $shape->layoutAt($class);
        // Where a few words fill a line, they are shown whole.
        $space = $shape->space($from);
        $lines = $layout->linesIn($space) ?? ($space->isNarrow() && ! $layout::isOfPictures() ? null : $shape->linesAt($class));
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

    /** Sizes of words on so many cards. */
    private static function scale(Shape $shape, Layout $layout, int $width, int $cards): TypeScale
    {
        $space = $shape->space(max($width, Space::NARROW));

        return $shape->scale($layout, $space, $layout->columnsAt($space, $cards));
    }

    private static function known(Shape $shape): Memo
    {
        /** @var WeakMap<Shape, Memo> $known */
        static $known = new WeakMap;

        return $known[$shape] ??= new Memo;
    }

    /** @return array{int, int, array{float, float, float}} cards across and shown, and sizes of words */
    private static function count(Shape $shape, Limits $limits, int $shown, int $width): array
    {
        $layout = $shape->layoutAt(WidthClass::at($width));
        $space = $shape->space($width);

        $most = min($shown, $limits->at($width), $layout::most() ?? $shown);

        // More columns than cards change nothing.
        $across = min($layout->acrossAt($space), max(1, $shown));

        $cards = $layout->cardsAt($space, $most);

        return [$across, $cards, self::scale($shape, $layout, $width, $cards)->sizes];
    }

    /**
     * Widths between two at which another count holds than just before; there are few, and between them nothing changes.
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
