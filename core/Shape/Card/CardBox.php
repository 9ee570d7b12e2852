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

    /** Around what is on a tile of words, and of its width at most. */
    private const TILE = 0.875;

    private const TILE_SHARE = 0.08;

    /** Height of lines of words by their size. */
    private const LEADING = 1.53;

    /**
     * @param  float  $pad  above and below what is on a card
     * @param  float  $side  beside it
     * @param  float  $around  above and below the card
     * @param  float  $edge  above and below, of the line around it
     * @param  float  $leading  height of lines of words by their size
     * @param  bool  $quotes  whether words stand in quotation marks
     * @param  int  $measure  characters, of about half their size each, that a line of words is long at most
     * @param  float  $share  of the width of the card, that is kept free within it at most
     */
    private function __construct(
        public float $pad,
        public float $side,
        public float $around,
        public float $edge,
        public float $leading,
        public bool $quotes = false,
        public int $measure = 68,
        private float $share = INF,
    ) {
    }

    public static function usual(): self
    {
        return new self(self::OPEN, 0.0, 0.0, 0.0, self::LEADING);
    }

    /** @param  bool  $isNarrow  whether it is of narrow widgets */
    public static function of(LookTokens $tokens, bool $isNarrow = false): self
    {
        $edge = $tokens->edge / Metrics::EM;
        $isBoxed = $tokens->isBoxed();
        $inset = ($isBoxed && $isNarrow ? $tokens->insetNarrow ?? $tokens->inset : $tokens->inset) / Metrics::EM;

        return new self(
            $isBoxed ? $inset : $tokens->pad / Metrics::EM,
            $inset,
            $isBoxed ? self::AROUND : 0.0,
            $edge,
            $tokens->leading / 100,
            $tokens->quotes === 1,
            $tokens->measure,
        );
    }

    /** Of a tile of words, which stands among pictures. */
    public function tile(): self
    {
        return new self(
            self::TILE,
            self::TILE,
            0.0,
            1 / Metrics::EM,
            $this->leading,
            $this->quotes,
            $this->measure,
            self::TILE_SHARE,
        );
    }

    /** Above and below what is on a card, edges included. @param  float  $width  of the card, in em */
    public function ends(float $width): float
    {
        return 2 * (min($this->pad, $this->share * $width) + $this->edge);
    }

    /** What is left of the width of a card. */
    public function within(float $width): float
    {
        return max(0.5, $width - 2 * (min($this->side, $this->share * $width) + $this->edge));
    }
}
