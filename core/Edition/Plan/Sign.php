<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

use Gnomic\Shape\Card\StoredPicture;

/** The sign by which an owner has a service known: a picture as high as a line, in the place of the name, which it is read as. */
final readonly class Sign
{
    /** Of small words, in em: a line of them (20 of 14 px), and about as wide as the longest name. */
    private const HEIGHT = 1.43;

    private const WIDEST = 8.0;

    /** Pixels of the screen for each em, on screens of two for one. */
    private const PIXELS = 28;

    /**
     * @param  int  $width  of the picture, with its height: the proportions
     * @param  float  $across  how wide it stands there, in em of small words; the style sheet bounds it so
     */
    private function __construct(public string $address, public int $width, public int $height, public float $across)
    {
    }

    public static function of(StoredPicture $picture): self
    {
        $across = min(self::WIDEST, self::HEIGHT * $picture->width / max(1, $picture->height));

        return new self($picture->at((int) ceil($across * self::PIXELS)), $picture->width, $picture->height, $across);
    }
}
