<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Closure;

/** What a layout knows of an entry: its shape, not its words. */
final readonly class Tile
{
    /** Proportions of pictures beyond these are laid out as if they had these. */
    private const LEAST = 0.4;

    private const MOST = 3.0;

    /** Of what has no picture. */
    private const OF_WORDS = 1.25;

    /** Width by height. */
    public float $ratio;

    public bool $isPictured;

    /**
     * @param  float|null  $ratio  width by height of its first picture; null where it has none
     * @param  Closure(float): float  $height  of its card at a width, both in CSS pixels
     * @param  float  $likes  how often it was liked
     * @param  float  $stars  0 where it is not rated
     */
    public function __construct(
        ?float $ratio,
        private Closure $height,
        public float $likes = 0,
        public float $stars = 0,
        public bool $isPinned = false,
    ) {
        $this->isPictured = $ratio !== null;
        $this->ratio = $ratio === null ? self::OF_WORDS : max(self::LEAST, min(self::MOST, $ratio));
    }

    public function heightAt(float $width): float
    {
        return ($this->height)($width);
    }
}
