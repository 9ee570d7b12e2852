<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

use Gnomic\Memo;
use Gnomic\Shape\Card\Card;
use Gnomic\Shape\Card\CardBox;
use Gnomic\Shape\Card\CardHeight;
use Gnomic\Shape\Card\CardHeights;
use Gnomic\Shape\Parts\Metrics;
use Gnomic\Shape\Parts\WordsPart;
use Gnomic\Shape\Shape;
use Gnomic\Shape\Space;

/** How words fit their cards at every width: how large they are, how high cards become at most, and what of them is cut off. */
final readonly class Fitting
{
    /** Of the width of a card, when it is asked whether its words fit. */
    private const SAFE = 0.96;

    /** Lines that a card has at most where nobody says how many. */
    private const LONGEST = 10;

    /** Lines that are not worth being cut off: to read on for them takes as much room as they do, where there is no more to read. */
    private const SPARED = 2;

    private Memo $memo;

    private bool $hasWords;

    /**
     * @param  list<Card>  $cards
     * @param  list<Range>  $ranges
     */
    public function __construct(
        private Shape $shape,
        private array $cards,
        private array $ranges,
        private CardHeights $heights,
        private CardBox $box,
    ) {
        $this->memo = new Memo;
        $this->hasWords = array_filter($cards, fn (Card $card): bool => $card->part(WordsPart::class) !== null) !== [];
    }

    /** @return list<CardHeight> of each card at these widths */
    public function heights(Range $range): array
    {
        return $this->heights->of($range->scale, $range->layout::isOfPictures());
    }

    /** @return array<string, int> of TypeScale::STEPS: how large the words of a card are, by its ref; none where all are of one size */
    public function steps(): array
    {
        return $this->memo->of('steps', function (): array {
            foreach ($this->ranges as $range) {
                if (! $range->scale->isEven()) {
                    return array_combine(
                        array_map(fn (Card $card): string => $card->ref, $this->cards),
                        array_map(fn (CardHeight $height): int => $height->step, $this->heights($range)),
                    );
                }
            }

            return [];
        });
    }

    /** @return array<string, string> first sentences that stand larger than what follows on them, by the ref of their card */
    public function leads(): array
    {
        return $this->memo->of('leads', function (): array {
            if (array_filter($this->ranges, fn (Range $range): bool => $range->scale->leads) === []) {
                return [];
            }
            $leads = [];
            foreach ($this->cards as $card) {
                $leads[$card->ref] = ($this->steps()[$card->ref] ?? 0) === 0 ? $card->part(WordsPart::class)?->lead() : null;
            }

            return array_filter($leads, is_string(...));
        });
    }

    /** Whether cards at these widths are as high as their words, and only what is much longer than others is cut. */
    public function cutsNearMedian(Range $range): bool
    {
        return $this->shape->heights === 'fit' && $range->isFree && $range->layout->isLevel() && $range->lines !== null;
    }

    /** Height of every card at these widths in em, whatever was written; null where each is as high as its words make it. */
    public function level(Range $range): ?float
    {
        return $this->shape->heights !== 'level' || $range->lines === null || ! $range->layout->isLevel() || ! $this->hasWords
            ? null
            : CardHeight::fixed(
                array_values(array_diff($this->shape->card, $range->without)),
                $range->lines,
                $range->scale,
                $this->box,
                $this->shape->composition(),
                $this->cardWidth($range),
            );
    }

    /**
     * What of each card is cut off at these widths. Only what can be read on is: what fits as planned grows where it does not after all,
     * as with the letters set wide by a visitor (WCAG 2.2, 1.4.12). Tiles of pictures have their words in the enlarged view.
     *
     * @return list<Clamp>
     */
    public function clamps(Range $range): array
    {
        return $this->memo->of("clamps $range->from", fn (): array => match (true) {
            $range->lines === null || ! $this->hasWords => array_map(fn (): Clamp => new Clamp(null, false), $this->cards),
            $this->cutsNearMedian($range) => $this->nearMedian($range, $range->lines),
            default => $this->byLines($range, $range->lines),
        });
    }

    /** @return list<string> refs of cards of which something is cut off, at some width */
    public function clamped(): array
    {
        return $this->memo->of('clamped', function (): array {
            $clamped = [];
            foreach ($this->ranges as $range) {
                foreach ($this->clamps($range) as $index => $clamp) {
                    if ($clamp->isCut) {
                        $clamped[$this->cards[$index]->ref] = true;
                    }
                }
            }

            return array_map(strval(...), array_keys($clamped));
        });
    }

    /** In em, where it is narrowest. */
    private function cardWidth(Range $range): float
    {
        $space = $this->shape->space(max($range->from, Space::NARROW));

        return $range->layout->cardWidth($space, $range->arrangement->columns, $range->arrangement->cards) / Metrics::EM;
    }

    /**
     * Long ones are cut so that the highest is near the median, as all in a row are as high as it is.
     *
     * @param  int  $least  lines that all may have
     * @return list<Clamp>
     */
    private function nearMedian(Range $range, int $least): array
    {
        $width = $this->cardWidth($range);
        $natural = array_map(fn (CardHeight $height): float => $height->at($width, null, $range->without), $this->heights($range));
        $shown = array_slice($natural, 0, $range->arrangement->cards);
        sort($shown);
        $fit = $shown === [] ? INF : $range->layout->fit($shown);

        return array_map(function (CardHeight $height, float $is, Card $card) use ($range, $least, $width, $fit): Clamp {
            if ($is <= $fit) {
                return new Clamp(null, false);
            }
            $lines = $height->fixedLines($fit - 2 * $this->box->around, $width, $range->without, false);
            $most = min(max($least, $lines), self::LONGEST);
            $spared = $card->part(WordsPart::class)?->rest === null ? self::SPARED : 0;

            return $height->isCut($width * self::SAFE, $most + $spared, $range->without, false)
                ? new Clamp($most, true)
                : new Clamp(null, false);
        }, $this->heights($range), $natural, $this->cards);
    }

    /** @return list<Clamp> */
    private function byLines(Range $range, int $lines): array
    {
        $level = $this->level($range);
        $width = $this->cardWidth($range);
        $isOfPictures = $range->layout::isOfPictures();

        return array_map(function (CardHeight $height, Card $card) use ($range, $lines, $level, $width, $isOfPictures): Clamp {
            if ($card->isPicture && $isOfPictures) {
                return new Clamp($lines, false);
            }
            $most = $level === null ? $lines : $height->fixedLines($level, $width, $range->without);
            $isCut = $height->isCut($width * self::SAFE, $most, $range->without, $level !== null);

            return new Clamp($isCut || $isOfPictures ? $most : null, $isCut);
        }, $this->heights($range), $this->cards);
    }
}
