<?php

declare(strict_types=1);

namespace App\Editions;

use Gnomic\Dress\LookTokens;

/**
 * A size that grows with the screen, in a straight line from narrow screens to wide ones and no further. What is not of the screen is in
 * hundredths of the visitor's own letters, so that it grows with them as well.
 */
final readonly class Growing
{
    /** @param  float  $narrow  CSS pixels at the usual size of letters @param  float  $wide */
    private function __construct(private float $narrow, private float $wide)
    {
    }

    public static function of(float $narrow, float $wide): self
    {
        return new self($narrow, $wide);
    }

    /** A font-size of what stands in letters of the usual size. */
    public function css(): string
    {
        $percent = fn (float $pixels): string => WidthRules::number($pixels / 0.16).'%';
        [$start, $slope] = self::line($this->narrow, $this->wide);
        $ends = [min($this->narrow, $this->wide), max($this->narrow, $this->wide)];

        return 'clamp('.$percent($ends[0]).','.$percent($start).self::screens($slope).','.$percent($ends[1]).')';
    }

    /**
     * A font-size of what stands in letters of this size.
     *
     * @param  float  $narrow  of it, on narrow screens
     * @param  float  $wide  on others
     */
    public function times(float $narrow, float $wide): string
    {
        $em = fn (float $size): string => WidthRules::number($size).'em';
        if ($narrow === $wide) {
            return $em($wide);
        }
        [$around, $slope] = self::line($this->narrow, $this->wide);
        [$start, $own] = self::line($narrow * $this->narrow, $wide * $this->wide);
        // Both are straight lines: the one is so much of the other, and the rest is of the screen alone.
        $share = $around === 0.0 ? 0.0 : $start / $around;
        $ends = [min($narrow, $wide), max($narrow, $wide)];

        return 'clamp('.$em($ends[0]).','.$em($share).self::screens($own - $share * $slope).','.$em($ends[1]).')';
    }

    /** @return array{float, float} what it would be where there is no screen, and how much it grows by a pixel of it */
    private static function line(float $narrow, float $wide): array
    {
        $slope = ($wide - $narrow) / (LookTokens::WIDE - LookTokens::NARROW);

        return [$narrow - $slope * LookTokens::NARROW, $slope];
    }

    private static function screens(float $slope): string
    {
        return ($slope < 0 ? ' - ' : ' + ').WidthRules::number(abs(100 * $slope)).'vw';
    }
}
