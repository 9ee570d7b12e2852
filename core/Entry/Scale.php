<?php

declare(strict_types=1);

namespace Gnomic\Entry;

/** A closed scale of points, as worstRating and bestRating in https://schema.org/Rating. */
final readonly class Scale
{
    private function __construct(public float $worst, public float $best)
    {
    }

    /** @throws ScaleIsEmpty where worst is not below best, or one of them is not finite */
    public static function between(float $worst, float $best): self
    {
        return is_finite($worst) && is_finite($best) && $worst < $best
            ? new self($worst, $best)
            : throw ScaleIsEmpty::between($worst, $best);
    }

    /** The scale of stars, 1 to 5: also what schema.org assumes where a rating names no scale. */
    public static function ofStars(): self
    {
        return new self(1.0, 5.0);
    }

    public function contains(float $value): bool
    {
        return $value >= $this->worst && $value <= $this->best;
    }

    /**
     * Whether points are read in proportion to the best: the scale starts at nothing, or at one tenth of its best
     * (1 to 10), where people read "9.2 of 10" as 92 of 100. Every other scale is read from its declared worst.
     */
    public function isProportional(): bool
    {
        return $this->best > 0.0 && ($this->worst === 0.0 || abs($this->worst * 10.0 - $this->best) < 1e-9);
    }
}
