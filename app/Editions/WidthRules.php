<?php

declare(strict_types=1);

namespace App\Editions;

use Gnomic\Edition\Plan\Plan;
use Gnomic\Edition\Plan\Range;
use Gnomic\Shape\Area;
use Gnomic\Shape\Arrangement;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Parts\Metrics;
use Gnomic\Shape\Parts\WordsPart;
use Gnomic\Shape\Space;

/** A plan's ranges of widths as rules of a style sheet, by the width of the widget itself (CSS Containment 3, size queries). */
final class WidthRules
{
    /** Digits of numbers in style sheets. */
    private const DIGITS = 4;

    /** Of the width: a row is whole, but for what is lost by rounding. */
    private const WHOLE = 0.999;

    /** @param  string  $page  class of the first page of several: others do not follow its places; "" where it is the only one */
    public function of(Plan $plan, string $page = ''): string
    {
        $rules = $plan->cards === [] ? '' : $this->each($plan, fn (Range $range): array => [
            ...$this->places($plan, $range, $page),
            'sizes' => $this->sizes($plan, $range),
            ...$this->usual($plan, $range),
            ...$this->clamps($plan, $range, $page),
        ]);
        $side = $plan->shape->space(0)->side;

        return $rules.($side < $plan->shape->frame->side() ? self::within(0, Space::NARROW, '.g{--side:'.self::em($side).'}') : '');
    }

    /** Of a further page whose cards have places of their own. @param  string  $page  its class */
    public function page(Plan $plan, string $page): string
    {
        return $this->each($plan, fn (Range $range): array => [
            ...$this->places($plan, $range, $page),
            ...$this->clamps($plan, $range, $page),
        ]);
    }

    /** Of a further page whose cards follow those before them. @param  string  $page  its class */
    public function following(Plan $plan, string $page): string
    {
        return $this->each($plan, fn (Range $range): array => $this->clamps($plan, $range, $page));
    }

    /** Where a layout holds, of several. */
    public function where(Plan $plan, Layout $layout, string $css): string
    {
        return $this->each($plan, fn (Range $range): array => ['' => $range->layout->equals($layout) ? $css : '']);
    }

    /**
     * All rules of a range together, or each kind of them for all the widths that it holds for: whichever takes fewer letters.
     *
     * @param  callable(Range): array<string, string>  $rules  by kind; none contradicts one of another kind
     */
    private function each(Plan $plan, callable $rules): string
    {
        $each = array_map($rules, $plan->ranges);
        $together = self::written($plan, [array_map(fn (array $kinds): string => implode('', $kinds), $each)]);
        $apart = self::written($plan, array_map(
            fn (string $kind): array => array_map(fn (array $kinds): string => $kinds[$kind] ?? '', $each),
            array_keys(array_merge(...$each)),
        ));

        return strlen($apart) < strlen($together) ? $apart : $together;
    }

    /** @param  list<list<string>>  $kinds  rules of each range; those of neighbours that are the same stand once */
    private static function written(Plan $plan, array $kinds): string
    {
        $runs = [];
        foreach ($kinds as $each) {
            $from = 0;
            foreach ([...$plan->ranges, null] as $index => $range) {
                $last = $each[$index - 1] ?? '';
                if (($each[$index] ?? null) !== $last) {
                    $of = [$from, $range?->from];
                    $runs[implode('-', $of)] = [...$of, ($runs[implode('-', $of)][2] ?? '').$last];
                    $from = $range->from ?? 0;
                }
            }
        }

        return implode('', array_map(fn (array $run): string => self::within(...$run), $runs));
    }

    /** A length that grows with a visitor's own letters. @param  int|float  $pixels  at their usual size */
    public static function em(int|float $pixels): string
    {
        $em = self::number($pixels / Metrics::EM);

        return $em === '0' ? '0px' : "{$em}em";
    }

    /** Size of a first sentence in that of the paragraph. */
    public static function lead(TypeScale $scale): string
    {
        return self::number($scale->sizes[2] / $scale->sizes[0]).'em';
    }

    public static function number(float $number): string
    {
        $rounded = round($number, self::DIGITS);

        return $rounded === 0.0 ? '0' : (string) $rounded;
    }

    /** @param  int  $from  CSS pixels @param  int|null  $to  the first width that does not count any more */
    private static function within(int $from, ?int $to, string $css): string
    {
        return match (true) {
            $css === '' => '',
            $from <= 0 && $to === null => $css,
            $to === null => '@container (width>='.self::em($from)."){{$css}}",
            default => '@container ('.($from > 0 ? self::em($from).'<=' : '').'width<'.self::em($to)."){{$css}}",
        };
    }

    /**
     * Which cards are shown, and where each of them stands.
     *
     * @return array{cards: string, places: string}
     */
    private function places(Plan $plan, Range $range, string $page): array
    {
        $stands = $range->arrangement;
        $cards = array_filter([
            $stands->columns > 1 ? "--across:$stands->columns" : null,
            $this->peek($plan, $range),
            $range->layout->keepsTogether($stands->columns) ? '--foot:0' : null,
            $stands->rows === null ? null : 'grid-template-rows:'.implode(
                ' ',
                array_map(fn (int $at): string => 'minmax('.self::row($range, $at).',auto)', array_keys($stands->rows)),
            ),
        ], is_string(...));
        // Until a visitor asks for more of them.
        $few = $plan->shape->more === 'none' ? '' : '.cards:not(.all) ';
        $css = $this->away($plan, $range, $few, $page);
        $short = self::short($stands);
        foreach ($stands->areas ?? [] as $index => $area) {
            $css .= self::item($index + 1, $page).'{grid-area:'.self::area($area).'}';
        }
        foreach ($stands->shares ?? [] as $index => $share) {
            $css .= self::item($index + 1, $page).'{--share:'.self::number($share).';--count:'.($stands->counts[$index] ?? 1)
                .(isset($stands->ratios[$index]) ? ';--ratio:'.self::number($stands->ratios[$index]) : '')
                .(in_array($index, $short, true) ? ';--grow:0' : '').'}';
        }

        return [
            'cards' => $cards === [] ? '' : ".cards$page{".implode(';', $cards).'}',
            'places' => $css.$this->last($plan, $range, $page),
        ];
    }

    /** Cards that are not shown. @param  string  $few  what holds while nobody has asked for more */
    private function away(Plan $plan, Range $range, string $few, string $page): string
    {
        [$shown, $all] = [$range->arrangement->cards, count($plan->cards)];
        if ($shown >= $all) {
            return '';
        }
        $away = $range->layout->repeats()
            ? array_map(fn (int $place): string => $few.self::one($plan, $range, $place, $page), range($shown, $all - 1))
            : [$few.self::item('n+'.($shown + 1), $page)];

        return implode(',', $away).'{display:none}';
    }

    /** One of the cards, and copies of it that follow on all of them. @param  int  $place  from 0 */
    private static function one(Plan $plan, Range $range, int $place, string $page): string
    {
        $all = count($plan->cards);

        return self::item($range->layout->repeats() ? "{$all}n+".($place + 1) : $place + 1, $page);
    }

    /** What of the next card is seen, where one stands by itself. */
    private function peek(Plan $plan, Range $range): ?string
    {
        [$stands, $space] = [$range->arrangement, $plan->shape->space($range->from)];
        $peek = $range->layout->peek($stands->columns, $stands->cards, $space);

        return $peek === 0 ? null : '--peek:'.self::em($peek);
    }

    /** Least height of a row: of words, what it is at the wide end; of pictures, in proportion to the width between the ends. */
    private static function row(Range $range, int $at): string
    {
        $wide = $range->arrangement->rows[$at] ?? 0.0;
        $narrow = $range->arrangement->narrow[$at] ?? $wide;
        if ($narrow > $wide - 1.0 || $range->at <= $range->from) {
            return self::em($wide);
        }
        $slope = ($wide - $narrow) / ($range->at - $range->from);

        return 'calc('.self::em($narrow - $slope * $range->from).' + '.self::number(100 * $slope).'cqi)';
    }

    /** @return list<int> places of those in rows that do not fill the width */
    private static function short(Arrangement $stands): array
    {
        $short = [];
        for ($place = 0, $all = count($stands->shares ?? []); $place < $all; $place += $count) {
            $count = max(1, $stands->counts[$place] ?? 1);
            if (array_sum(array_slice($stands->shares ?? [], $place, $count)) < self::WHOLE) {
                array_push($short, ...range($place, $place + $count - 1));
            }
        }

        return $short;
    }

    /** One of the cards of a page. @param  int|string  $place  as CSS counts: from 1, or "n+4" */
    private static function item(int|string $place, string $page): string
    {
        return ".item:nth-child($place".($page === '' ? '' : " of $page").')';
    }

    private static function area(Area $area): string
    {
        $rows = $area->rows === 1 && $area->columns === 1 ? '' : "/span $area->rows";

        return "$area->row/$area->column$rows".($area->columns === 1 ? '' : "/span $area->columns");
    }

    /** Cards that do not fill the last row, until others come behind them. */
    private function last(Plan $plan, Range $range, string $page): string
    {
        $columns = $range->arrangement->columns;
        $over = $columns > 1 && $range->arrangement->areas === null ? $range->arrangement->cards % $columns : 0;
        $how = $range->layout->lastRow();
        if ($over === 0 || $how === null) {
            return '';
        }
        // Counted in half columns, so that they can stand in the middle.
        $first = $range->arrangement->cards - $over + 1;
        $all = $how === 'centred' ? 2 * $columns : self::multiple($columns, $over);
        $cards = ".cards$page".($plan->shape->more === 'none' ? '' : ':not(.followed)');
        $css = "$cards{grid-template-columns:repeat($all,minmax(0,1fr))}$cards .item{grid-column:span ".intdiv($all, $columns).'}';

        return $css.($how === 'centred'
            ? "$cards .item:nth-child($first){grid-column:".($columns - $over + 1).'/span 2}'
            : "$cards .item:nth-child(n+$first){grid-column:span ".intdiv($all, $over).'}');
    }

    /** The least number that both divide. */
    private static function multiple(int $one, int $other): int
    {
        $all = $one;
        while ($all % $other !== 0) {
            $all += $one;
        }

        return $all;
    }

    /** How large words are on cards that are narrower than those that the layout's sizes are for. */
    private function sizes(Plan $plan, Range $range): string
    {
        $composition = $plan->shape->composition();
        [$usual, $scale] = [$composition::scale($range->layout), $range->scale];
        if ($scale->sizes === $usual->sizes) {
            return '';
        }
        $css = '';
        // Of what comes in later nobody knows how long it is.
        foreach ($plan->shape->more === 'none' ? array_intersect([1, 2], $plan->fitting->steps()) : [1, 2] as $step) {
            $css .= $scale->sizes[$step] === $usual->sizes[$step] ? '' : ".s$step{--size:{$scale->sizes[$step]}}";
        }
        $isLed = $plan->fitting->leads() !== [] && self::lead($scale) !== self::lead($usual);
        $css .= $isLed ? '.cards .lead{font-size:'.self::lead($scale).'}' : '';
        $css = ($scale->sizes[0] === $usual->sizes[0] ? '' : ".words{--size:{$scale->sizes[0]}}").$css;

        return $css;
    }

    /**
     * What holds for all cards that do not say otherwise: how many lines words have, how high cards are, and which parts are away.
     *
     * @return array{lines: string, height: string, away: string}
     */
    private function usual(Plan $plan, Range $range): array
    {
        $away = array_map(fn (string $part): string => ".card .$part", $range->without);
        $away = in_array('words', $range->without, true) ? [...$away, '.card .more'] : $away;
        $height = $plan->fitting->level($range);

        $isEach = $range->lines === null || $plan->fitting->cutsNearMedian($range);
        $lines = $isEach ? '' : "--lines:$range->lines".($height === null ? '' : ';--once:1');

        return [
            'lines' => $lines === '' ? '' : ".cards{{$lines}}",
            'height' => $height === null ? '' : '.card{min-height:'.self::number($height).'em}',
            'away' => $away === [] ? '' : implode(',', $away).'{display:none}',
        ];
    }

    /**
     * Cards of which less is cut off than of others, or nothing. No card has two of these rules.
     *
     * @return array<string, string> by what they say
     */
    private function clamps(Plan $plan, Range $range, string $page): array
    {
        if ($range->lines === null && $plan->fitting->clamped() === []) {
            return [];
        }
        $other = [];
        $isFit = $plan->fitting->cutsNearMedian($range);
        foreach ($plan->fitting->clamps($range) as $index => $clamp) {
            $card = $plan->cards[$index];
            $isWhole = ! $clamp->isCut && $card->part(WordsPart::class)?->rest === null;
            $rule = implode(';', array_filter([
                match (true) {
                    $range->lines === null => null,
                    $isFit => $clamp->lines === null ? null : "--lines:$clamp->lines",
                    $clamp->lines === null => '--lines:none;--once:none',
                    default => $clamp->lines === $range->lines ? null : "--lines:$clamp->lines",
                },
                $isWhole && in_array($card->ref, $plan->fitting->clamped(), true) ? '--more:none' : null,
            ]));
            if ($rule !== '') {
                $other[$rule][] = self::one($plan, $range, $index, $page);
            }
        }
        $css = [];
        foreach ($other as $rule => $cards) {
            $css[$rule] = implode(',', $cards)."{{$rule}}";
        }

        return $css;
    }
}
