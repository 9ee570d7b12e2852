<?php

declare(strict_types=1);

namespace Gnomic\Shape\Compositions;

use Gnomic\Shape\Composition;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Parts\Metrics;
use Gnomic\Shape\Parts\Part;
use Gnomic\Shape\Parts\PicturesPart;

/** The picture, and its caption over the foot of it where that is short; else below. What has no picture has its words alone. */
final readonly class CaptionComposition extends Composition
{
    /** Around the caption, in em. */
    private const INSET = 0.875;

    public static function name(): string
    {
        return 'caption';
    }

    public static function label(): string
    {
        return 'Caption over the picture';
    }

    public static function phrase(): string
    {
        return 'captions over their pictures';
    }

    public static function quotes(): bool
    {
        return false;
    }

    public static function scale(Layout $layout): TypeScale
    {
        return TypeScale::even(min(TypeScale::USUAL, $layout->scale()->sizes[0]));
    }

    public static function groups(array $blocks, callable $kind): array
    {
        $isPictures = fn (mixed $block): bool => $kind($block) === PicturesPart::class;
        $pictures = array_values(array_filter($blocks, $isPictures));
        $others = array_values(array_filter($blocks, fn (mixed $block): bool => ! $isPictures($block)));

        return $pictures === [] || $others === [] ? ['' => $blocks] : ['under' => $pictures, 'over' => $others];
    }

    /** The picture is the card. */
    public static function isBare(array $kinds): bool
    {
        return in_array(PicturesPart::class, $kinds, true) && count($kinds) > 1;
    }

    /** As high as the picture, or as the caption where that is higher. */
    public static function height(array $kinds, float $width, callable $height): float
    {
        $width = min($width, PicturesPart::WIDEST);
        $groups = self::groups(array_keys($kinds), fn (int $place): string => $kinds[$place]);
        if (! isset($groups['over'])) {
            return parent::height($kinds, $width, $height);
        }

        return max(
            self::stacked($groups['under'], $kinds, $width, $height),
            self::stacked($groups['over'], $kinds, self::wordsWidth($width, $kinds), $height) + 2 * self::INSET,
        );
    }

    public static function wordsWidth(float $width, array $kinds): float
    {
        return min($width, PicturesPart::WIDEST) - 2 * self::INSET;
    }

    /** @param  class-string<Part>  $kind */
    protected static function gap(string $kind): float
    {
        return Metrics::GAP;
    }
}
