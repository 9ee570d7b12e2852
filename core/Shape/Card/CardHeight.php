<?php

declare(strict_types=1);

namespace Gnomic\Shape\Card;

use Gnomic\Memo;
use Gnomic\Shape\Composition;
use Gnomic\Shape\Lines\Paragraphs;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Parts\Measure;
use Gnomic\Shape\Parts\Metrics;
use Gnomic\Shape\Parts\Part;
use Gnomic\Shape\Parts\Parts;
use Gnomic\Shape\Parts\WordsPart;
use Gnomic\Shape\Shape;

/** How high a card becomes at a width, before anything is drawn: that of its parts and of what is around them. */
final readonly class CardHeight
{
    /** Of TypeScale::STEPS: how large its words are. */
    public int $step;

    private Measure $measure;

    private ?WordsPart $words;

    private Memo $memo;

    /** @param  class-string<Composition>  $composition */
    private function __construct(
        private Card $card,
        Paragraphs $paragraphs,
        TypeScale $scale,
        string $picture,
        private CardBox $box,
        private string $composition,
    ) {
        $this->memo = new Memo;
        $this->words = $card->part(WordsPart::class);
        $text = $this->words?->set($box);
        $this->step = $text === null || $scale->isEven() ? 0 : $scale->step($paragraphs->extent($text));
        $this->measure = new Measure(
            $paragraphs,
            $scale->sizes[$this->step] ?? 1.0,
            $scale->leading($this->step, $box->leading),
            $scale->leads && $this->step === 0 ? $scale->sizes[2] : null,
            $picture,
            $box,
            $composition,
        );
    }

    /** @param  TypeScale  $scale  of the words, on cards as wide as these */
    public static function of(Card $card, Shape $shape, Paragraphs $paragraphs, TypeScale $scale, ?CardBox $box = null): self
    {
        return new self($card, $paragraphs, $scale, $shape->picture, $box ?? CardBox::usual(), $shape->composition());
    }

    /**
     * Whether words take more lines than these, or on cards that are equally high, a title or a name more than one.
     *
     * @param  list<string>  $without  parts that are not shown
     */
    public function isCut(float $width, int $lines, array $without, bool $isLevel): bool
    {
        $width = $this->wordsWidth($width, $without);

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
     * @param  bool  $isCut  whether there is more to read, of whichever part
     */
    public function at(float $width, ?int $most = null, array $without = [], bool $isLevel = false, bool $isCut = false): float
    {
        $hasWords = $this->words !== null && ! in_array(WordsPart::name(), $without, true);
        $isLevel = $isLevel && $hasWords;
        $words = $this->wordsWidth($width, $without);
        $more = $isCut && $hasWords && ! $this->words->isMore($this->measure, $words, $most) ? Metrics::MORE : 0.0;

        return $more + $this->ends($without, $width) + 2 * $this->box->around + $this->composed(
            $without,
            $width,
            fn (CardBlock $block, float $within): float => $isLevel && $block->isHeld()
                ? (CardBlock::kept($block->parts) ?? 0.0)
                : $block->height($this->measure, $within, $most),
        );
    }

    /**
     * Of a card whose height is the same whatever was written: each part that cards show, once, and so many lines of words; without
     * what is kept free around it.
     *
     * @param  list<string>  $parts  names of Parts
     * @param  class-string<Composition>  $composition
     */
    public static function fixed(array $parts, int $lines, TypeScale $scale, CardBox $box, string $composition, float $width): float
    {
        $kept = [];
        foreach ($parts as $name) {
            $part = Parts::named($name);
            if ($part !== null && $part::kept() !== null) {
                $kept[] = $part;
            }
        }
        $blocks = Parts::blocks($kept);
        $words = $lines * $scale->sizes[0] * $box->leading;

        return $box->ends($width) + $composition::height(
            array_map(fn (array $block): string => $block[0], $blocks),
            $box->within($width),
            fn (int $place): float => ($blocks[$place][0] === WordsPart::class ? $words : 0.0) + (CardBlock::kept($blocks[$place]) ?? 0.0),
        );
    }

    /**
     * Lines of words on this card in a height that is given: what it lacks of other parts is theirs.
     *
     * @param  list<string>  $without  parts that are not shown
     * @param  bool  $isLevel  whether so much is kept free for other parts as for all cards
     */
    public function fixedLines(float $height, float $width, array $without, bool $isLevel = true): int
    {
        $others = $this->ends($without, $width) + $this->composed(
            $without,
            $width,
            fn (CardBlock $block, float $within): float => ($isLevel || $block->words !== null ? CardBlock::kept($block->parts) : null)
                ?? $block->height($this->measure, $within, null),
        );

        return max(1, (int) floor(($height - $others + 0.01) / ($this->measure->size * $this->measure->leading)));
    }

    /**
     * @param  list<string>  $without  parts that are not shown
     * @param  callable(CardBlock, float): float  $height
     */
    private function composed(array $without, float $width, callable $height): float
    {
        $blocks = $this->blocks($without);

        return $this->composition::height(
            $this->kinds($without),
            $this->box->within($width),
            fn (int $place, float $within): float => $height($blocks[$place], $within),
        );
    }

    /** @param  list<string>  $without  parts that are not shown */
    private function wordsWidth(float $width, array $without): float
    {
        return $this->composition::wordsWidth($this->box->within($width), $this->kinds($without));
    }

    /**
     * What is kept free above and below all of them, in em.
     *
     * @param  list<string>  $without  parts that are not shown
     */
    private function ends(array $without, float $width): float
    {
        return $this->composition::isBare($this->kinds($without)) ? 2 * $this->box->edge : $this->box->ends($width);
    }

    /**
     * @param  list<string>  $without  parts that are not shown
     * @return list<class-string<Part>> of the first part of each block
     */
    private function kinds(array $without): array
    {
        return $this->memo->of('kinds '.implode(' ', $without), fn (): array => array_map(
            fn (CardBlock $block): string => $block->parts[0]::class,
            $this->blocks($without),
        ));
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
