<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

use Gnomic\Shape\Card\CardPicture;

/** Pictures and videos: those that are kept; those that are not yet, or were lost, leave no gap. */
final readonly class PicturesPart extends Part
{
    /** Height by width of pictures that are cut to a shape. */
    private const SHAPES = ['landscape' => 0.75, 'square' => 1.0, 'portrait' => 4 / 3, 'wide' => 9 / 16];

    /** Of all of them together, in em. */
    public const WIDEST = 40.0;

    /** Of pictures that are not cut, in em. */
    private const TALLEST = 40.0;

    /** Between pictures, in em. */
    private const GAP = 0.375;

    /**
     * @param  non-empty-list<CardPicture>  $pictures  that its card shows
     * @param  int  $all  that there are
     */
    private function __construct(public array $pictures, public int $all)
    {
    }

    public static function name(): string
    {
        return 'pictures';
    }

    public static function label(): string
    {
        return 'Pictures and videos';
    }

    public static function of(PartContext $context): ?self
    {
        $pictures = array_slice($context->pictures, 0, $context->mostPictures);

        return $pictures === [] ? null : new self($pictures, count($context->pictures));
    }

    public static function isOnEverything(): bool
    {
        return false;
    }

    public static function kept(): ?float
    {
        return null;
    }

    public static function isHeld(): bool
    {
        return false;
    }

    public function height(Measure $measure, float $width): float
    {
        $width = min($width, self::WIDEST);
        $count = count($this->pictures);
        // As they are, they are as high as their width makes them, up to a bound.
        $most = isset(self::SHAPES[$measure->picture]) ? INF : self::TALLEST;
        $ratio = self::SHAPES[$measure->picture] ?? 1 / max(0.2, $this->pictures[0]->ratio() ?? 4 / 3);

        return $count === 1
            ? min($most, $width * $ratio)
            : (int) ceil($count / 2) * (min($most, ($width - self::GAP) / 2 * $ratio) + self::GAP) - self::GAP;
    }
}
