<?php

declare(strict_types=1);

namespace Gnomic\Entry;

/** A score on a closed scale. Worst and best as in https://schema.org/Rating. */
final readonly class Rating
{
    /** @param  float  $value points of the scale, worst <= value <= best */
    private function __construct(public float $value, public Scale $scale)
    {
    }

    /** @throws RatingOutOfScale also for NAN and INF */
    public static function on(Scale $scale, float $value): self
    {
        return $scale->contains($value)
            ? new self($value, $scale)
            : throw RatingOutOfScale::forValue($value, $scale);
    }

    /**
     * The same opinion in stars, 1 to 5, rounded to three decimals. The stated conversion:
     * in proportion to the best where the scale starts at 0 or at a tenth of its best (9.2 of 10 is 4.6),
     * never below one star; else affine, worst to 1 and best to 5 (4 of 1–7 is 3).
     */
    public function stars(): float
    {
        ['worst' => $worst, 'best' => $best] = ['worst' => $this->scale->worst, 'best' => $this->scale->best];
        $stars = $this->scale->isProportional()
            ? max(1.0, 5.0 * $this->value / $best)
            : 1.0 + 4.0 * ($this->value - $worst) / ($best - $worst);

        return round($stars, 3);
    }

    /** "9.2 of 10": points without needless decimals; "recommended" where that is all there was to say. */
    public function spoken(): string
    {
        if ($this->isRecommendation()) {
            return $this->value === 1.0 ? 'recommended' : 'not recommended';
        }

        return self::plain($this->value).' of '.self::plain($this->scale->best);
    }

    /** Whether it says recommended or not, and nothing between. */
    public function isRecommendation(): bool
    {
        return $this->scale->worst === 0.0 && $this->scale->best === 1.0 && in_array($this->value, [0.0, 1.0], true);
    }

    private static function plain(float $number): string
    {
        return rtrim(rtrim(number_format($number, 2, '.', ''), '0'), '.');
    }
}
