<?php

declare(strict_types=1);

namespace Gnomic\Shape\Card;

use Gnomic\Memo;
use Gnomic\Shape\Lines\Font;
use Gnomic\Shape\Parts\Measure;
use Gnomic\Shape\Parts\Metrics;
use Gnomic\Shape\Parts\Part;
use Gnomic\Shape\Parts\Parts;
use Gnomic\Shape\Parts\WordsPart;
use Gnomic\Shape\Shape;

/** How high a card becomes at a width, before anything is drawn: that of its parts, and of what is kept free around them. */
final readonly class CardHeight
{
    private Measure $measure;

    private ?WordsPart $words;

    private Memo $memo;

    private function __construct(private Card $card, Font $font, float $size, string $picture, private CardBox $box)
    {
        $this->memo = new Memo;
        $this->measure = new Measure($font, $size, $picture, $box);
        $this->words = $card->part(WordsPart::class);
    }

    /** @param  float  $size  of the words, in em */
    public static function of(Card $card, Shape $shape, Font $font, float $size, ?CardBox $box = null): self
    {
        return new self($card, $font, $size, $shape->picture, $box ?? CardBox::usual());
    }

    /** What is left of the width of a card. */
    private function within(float $width): float
    {
        return max(0.5, $width - 2 * $this->box->side);
    }

    /**
     * Whether words take more lines than these, or on cards that are equally high, a title or a name more than one.
     *
     * @param  list<string>  $without  parts that are not shown
     */
    public function isCut(float $width, int $lines, array $without, bool $isLevel): bool
    {
        $width = $this->within($width);

        return $this->words !== null && ! in_array(WordsPart::name(), $without, true)
            && ($this->words->lines($this->measure, $width) > $lines || ($isLevel && $width < $this->briefFrom($without)));
    }

    /**
     * In em, with what is kept free around the card.
     *
     * @param  float  $width  of the card in em, as of all that is asked here
     * @param  int|null  $most  lines that the words are clamped to
     * @param  list<string>  $without  parts that are not shown
     * @param  bool  $isLevel  whether the title and the name take one line each, as where all cards are equally high: the rest is
     *     read on, where there are words
     */
    public function at(float $width, ?int $most = null, array $without = [], bool $isLevel = false): float
    {
        $width = $this->within($width);
        $isLevel = $isLevel && $this->words !== null && ! in_array(WordsPart::name(), $without, true);
        $heights = [];
        foreach ($this->blocks($without) as $block) {
            $heights[] = $isLevel && $block->isHeld()
                ? (CardBlock::kept($block->parts) ?? 0.0)
                : $block->height($this->measure, $width, $most);
        }

        return $this->box->ends() + array_sum($heights) + Metrics::GAP * max(0, count($heights) - 1) + 2 * $this->box->around;
    }

    /**
     * Of a card whose height is the same whatever was written: each part that cards show, once, and so many lines of words; without
     * what is kept free around it.
     *
     * @param  list<string>  $parts  names of Parts
     */
    public static function fixed(array $parts, int $lines, float $size, CardBox $box): float
    {
        $kept = [];
        foreach ($parts as $name) {
            $part = Parts::named($name);
            if ($part !== null && $part::kept() !== null) {
                $kept[] = $part;
            }
        }
        $blocks = Parts::blocks($kept);
        $height = $box->ends();
        foreach ($blocks as $block) {
            $height += ($block[0] === WordsPart::class ? $lines * $size * $box->leading : 0.0) + (CardBlock::kept($block) ?? 0.0);
        }

        return $height + Metrics::GAP * max(0, count($blocks) - 1);
    }

    /**
     * Lines of words on this card in a height that is fixed: what it lacks of other parts is theirs.
     *
     * @param  list<string>  $without  parts that are not shown
     */
    public function fixedLines(float $height, float $width, array $without): int
    {
        $width = $this->within($width);
        $others = $this->box->ends();
        foreach ($this->blocks($without) as $block) {
            $others += (CardBlock::kept($block->parts) ?? $block->height($this->measure, $width, null))
                + ($block->words === null ? Metrics::GAP : 0.0);
        }

        return max(1, (int) floor(($height - $others + 0.01) / ($this->measure->size * $this->box->leading)));
    }

    /**
     * @param  list<string>  $without  parts that are not shown
     * @return list<CardBlock>
     */
    private function blocks(array $without): array
    {
        if ($without === []) {
            return $this->card->blocks;
        }

        return $this->memo->of('blocks '.implode(' ', $without), function () use ($without): array {
            $isShown = fn (Part $part): bool => ! in_array($part::name(), $without, true);
            $blocks = [];
            foreach ($this->card->blocks as $block) {
                $parts = array_values(array_filter($block->parts, $isShown));
                if ($parts !== []) {
                    $blocks[] = new CardBlock($parts);
                }
            }

            return $blocks;
        });
    }

    /**
     * From which width on the title, the name, and the role with the place take a line each at most.
     *
     * @param  list<string>  $without
     */
    private function briefFrom(array $without): float
    {
        return $this->memo->of('brief '.implode(' ', $without), fn (): float => max(0.0, ...array_map(
            fn (CardBlock $block): float => $block->lineFrom($this->measure),
            $this->blocks($without),
        )));
    }
}
