<?php

declare(strict_types=1);

namespace Gnomic\Shape\Card;

use Gnomic\Dress\LookTokens;
use Gnomic\Shape\Parts\Metrics;

/** What a look makes of the room on cards, in em: lines part them, or they are boxes with room within and around. */
final readonly class CardBox
{
    /** Above and below what is on a card that is parted from others by lines. */
    private const OPEN = 1.75;

    /** Above and below a box. */
    private const AROUND = 0.5;

    /** Height of lines of words by their size. */
    private const LEADING = 1.53;

    /**
     * @param  float  $pad  above and below what is on a card
     * @param  float  $side  beside it, edges included
     * @param  float  $around  above and below the card
     * @param  float  $edge  above and below, of the line around it
     * @param  float  $leading  height of lines of words by their size
     * @param  float  $scale  of all letters and of what is measured by them
     * @param  bool  $quotes  whether words stand in quotation marks
     * @param  int  $measure  characters, of about half their size each, that a line of words is long at most
     */
    private function __construct(
        public float $pad,
        public float $side,
        public float $around,
        public float $edge,
        public float $leading,
        public float $scale,
        public bool $quotes = false,
        public int $measure = 68,
    ) {
    }

    public static function usual(): self
    {
        return new self(self::OPEN, 0.0, 0.0, 0.0, self::LEADING, 1.0);
    }

    public static function of(LookTokens $tokens): self
    {
        $edge = $tokens->edge / Metrics::EM;
        $isBoxed = $tokens->isBoxed();
        $inset = $tokens->inset / Metrics::EM;

        return new self(
            $isBoxed ? $inset : $tokens->pad / Metrics::EM,
            $inset + $edge,
            $isBoxed ? self::AROUND : 0.0,
            $edge,
            $tokens->leading / 100,
            $tokens->size / 100,
            $tokens->quotes === 1,
            $tokens->measure,
        );
    }

    /** Above and below what is on a card, edges included. */
    public function ends(): float
    {
        return 2 * ($this->pad + $this->edge);
    }
}
