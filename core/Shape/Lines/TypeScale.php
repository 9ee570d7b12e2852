<?php

declare(strict_types=1);

namespace Gnomic\Shape\Lines;

use Gnomic\Dress\LookTokens;

/**
 * Sizes of words by how much was said: few words stand large, a paragraph at a size that is read on. A step is 0 for a paragraph, 1 for
 * some sentences, 2 for one short sentence; narrow cards have smaller ones. Common practice of setting quotations; the figures are ours.
 */
final readonly class TypeScale
{
    public const STEPS = [0, 1, 2];

    /** Of a paragraph where a layout has no reason for another, in em. */
    public const USUAL = LookTokens::WORDS;

    /** How long a text in one line may be for the last step and for the one before it, in its own size. */
    private const SHORT = 30.0;

    private const MIDDLE = 56.0;

    /**
     * Widths of cards, in em, under which the larger sizes are less: this share of what they have over the smallest. Of columns, cards are
     * as wide by default.
     */
    private const NARROW = [[15.0, 0.35], [17.5, 0.7]];

    /** Sizes beyond this are for wide places alone; paragraphs are less there, too. In em. */
    private const LARGE = 1.75;

    private const LESS = 1.25;

    private const WIDE = 32.0;

    /** Height of lines of the larger steps, as a share of what is beyond their size. */
    private const TIGHT = [1.0, 0.79, 0.64];

    /**
     * @param  array{float, float, float}  $sizes  by step, in em
     * @param  bool  $leads  whether the first sentence of a paragraph stands as large as a short one
     */
    private function __construct(public array $sizes, public bool $leads = false)
    {
    }

    /** All of one size, whatever was said. */
    public static function even(float $size): self
    {
        return new self([$size, $size, $size]);
    }

    /** @param  float  $long  sizes of the steps, in em */
    public static function of(float $long, float $middle, float $short): self
    {
        return new self([$long, $middle, $short]);
    }

    /** The same where a paragraph begins as large as one sentence would stand: for one voice alone. */
    public function withLead(): self
    {
        return new self($this->sizes, true);
    }

    /** The same where every paragraph begins as it goes on. */
    public function withoutLead(): self
    {
        return $this->leads ? new self($this->sizes) : $this;
    }

    public function isEven(): bool
    {
        return $this->sizes[0] === $this->sizes[2];
    }

    /** Names it where what was measured by it is kept. */
    public function key(): string
    {
        return implode(' ', $this->sizes).($this->leads ? ' leads' : '');
    }

    /** The same on cards so wide. @param  float  $width  of what is said, in em */
    public function on(float $width): self
    {
        if ($this->isEven()) {
            return $this;
        }
        if ($width < self::WIDE && $this->sizes[2] > self::LARGE) {
            return $this->like(min($this->sizes[0], self::LESS), min($this->sizes[1], self::LARGE), self::LARGE)->on($width);
        }
        foreach (self::NARROW as [$below, $share]) {
            if ($width < $below) {
                $less = fn (float $size): float => round(16 * ($this->sizes[0] + $share * ($size - $this->sizes[0]))) / 16;

                return $this->like($this->sizes[0], $less($this->sizes[1]), $less($this->sizes[2]));
            }
        }

        return $this;
    }

    private function like(float $long, float $middle, float $short): self
    {
        $other = self::of($long, $middle, $short);

        return $this->leads ? $other->withLead() : $other;
    }

    /** @param  float  $extent  of the whole text in one line, in its own size */
    public function step(float $extent): int
    {
        return match (true) {
            $this->isEven(), $extent > self::MIDDLE => 0,
            $extent > self::SHORT => 1,
            default => 2,
        };
    }

    /** Height of lines by their size. @param  float  $leading  of a paragraph */
    public function leading(int $step, float $leading): float
    {
        return $this->isEven() ? $leading : round(1 + ($leading - 1) * (self::TIGHT[$step] ?? 1.0), 3);
    }
}
