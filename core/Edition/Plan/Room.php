<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

/**
 * The room that a widget takes at every width, as one length of a style sheet: straight lines between knots, in the width of the
 * element itself (a percentage of a padding is one of the width around it, CSS 2.2, 8.4). A step is a line of one pixel.
 */
final readonly class Room
{
    private const NARROWEST = 240;

    private const WIDEST = 1600;

    private const STEP = 4;

    /** Knots that are enough; more make the code to paste long. */
    private const KNOTS = 14;

    /** Widths of a column on phones and on wide pages, and those at which a short form is to be about right. */
    private const PHONE = 358;

    private const WIDE = 1000;

    private const ASKED = [328, 358, 398, 440, 560, 700, 760, 880, 1000, 1120];

    private const SLOPES = [5, 10, 20, 30, 40, 60, 80, 100, 130, 170, 220, 300, 400];

    /** CSS pixels that nobody notices. */
    private const ALIKE = 12;

    /** @param  non-empty-array<int, int>  $knots  heights by widths, both in CSS pixels, widths ascending */
    private function __construct(private array $knots)
    {
    }

    /** @param  callable(int): float  $height  of the widget by its width, in CSS pixels */
    public static function of(callable $height): self
    {
        $heights = [self::NARROWEST => (int) ceil($height(self::NARROWEST))];
        for ($width = self::NARROWEST + self::STEP; $width <= self::WIDEST; $width += self::STEP) {
            $heights[$width] = (int) ceil($height($width));
        }
        for ($off = 1; ; $off *= 2) {
            $knots = self::simplified($heights, $off);
            if (count($knots) <= self::KNOTS || $off > 2000) {
                return new self($knots);
            }
        }
    }

    /** CSS pixels at a width. */
    public function at(int $width): int
    {
        $before = null;
        foreach ($this->knots as $knot => $height) {
            if ($width <= $knot) {
                return $before === null ? $height
                    : (int) round($before[1] + ($height - $before[1]) * ($width - $before[0]) / max(1, $knot - $before[0]));
            }
            $before = [$knot, $height];
        }

        return $before[1] ?? 0;
    }

    /** For a padding or another length whose percentages are of the width around it. */
    public function length(): string
    {
        $widths = array_keys($this->knots);
        $terms = [$this->knots[$widths[0]].'px'];
        foreach (array_slice($widths, 1) as $index => $width) {
            $from = $widths[$index];
            $slope = ($this->knots[$width] - $this->knots[$from]) / max(1, $width - $from);
            if ((float) $slope !== 0.0) {
                $terms[] = self::number($slope)."*clamp(0px,100% - {$from}px,".($width - $from).'px)';
            }
        }

        return count($terms) === 1 ? $terms[0] : 'calc('.strtr(implode(' + ', $terms), ['+ -' => '- ']).')';
    }

    /**
     * The same in a few characters, for codes that are to be short: the height on wide pages, and on narrower ones a line to the height on
     * a phone. Between them it is about right.
     */
    public function short(): string
    {
        [$phone, $wide] = [$this->at(self::PHONE), $this->at(self::WIDE)];
        if (abs($phone - $wide) < self::ALIKE) {
            return "{$wide}px";
        }
        [$best, $least] = ["{$wide}px", PHP_INT_MAX];
        foreach (self::SLOPES as $slope) {
            $slope = $phone > $wide ? $slope : -$slope;
            $from = (int) round($phone + $slope * self::PHONE / 100);
            $wrong = 0;
            foreach (self::ASKED as $width) {
                $line = $from - $slope * $width / 100;
                $wrong += abs($this->at($width) - ($phone > $wide ? max($wide, $line) : min($wide, $line)));
            }
            if ($wrong < $least) {
                $least = $wrong;
                $best = $phone > $wide ? "max({$wide}px,{$from}px - {$slope}%)" : "min({$wide}px,{$from}px + ".-$slope.'%)';
            }
        }

        return $best;
    }

    /** How much more or less another takes at most, at any width. @return int CSS pixels; above 0: more */
    public function moreThan(self $other): int
    {
        $most = 0;
        for ($width = 300; $width <= self::WIDEST; $width += 20) {
            $more = $this->at($width) - $other->at($width);
            $most = abs($more) > abs($most) ? $more : $most;
        }

        return $most;
    }

    /**
     * Knots such that no height differs from the lines by more than so many pixels (Ramer 1972; Douglas and Peucker 1973); lines never
     * cross a step, which has a knot at either end.
     *
     * @param  non-empty-array<int, int>  $heights  by widths
     * @return non-empty-array<int, int>
     */
    private static function simplified(array $heights, int $off): array
    {
        $widths = array_keys($heights);
        $last = $widths[count($widths) - 1];
        $kept = [$widths[0] => $heights[$widths[0]]] + self::between($heights, $widths, 0, count($widths) - 1, $off)
            + [$last => $heights[$last]];
        ksort($kept);

        return $kept;
    }

    /**
     * @param  array<int, int>  $heights
     * @param  list<int>  $widths
     * @return array<int, int>
     */
    private static function between(array $heights, array $widths, int $first, int $end, int $off): array
    {
        [$worst, $at] = [0.0, $first];
        for ($index = $first + 1; $index < $end; $index++) {
            $share = ($widths[$index] - $widths[$first]) / ($widths[$end] - $widths[$first]);
            $line = $heights[$widths[$first]] + $share * ($heights[$widths[$end]] - $heights[$widths[$first]]);
            if (abs($heights[$widths[$index]] - $line) > $worst) {
                [$worst, $at] = [abs($heights[$widths[$index]] - $line), $index];
            }
        }

        return $worst <= $off ? [] : [$widths[$at] => $heights[$widths[$at]]]
            + self::between($heights, $widths, $first, $at, $off) + self::between($heights, $widths, $at, $end, $off);
    }

    private static function number(float $number): string
    {
        return rtrim(rtrim(number_format($number, 4, '.', ''), '0'), '.');
    }
}
