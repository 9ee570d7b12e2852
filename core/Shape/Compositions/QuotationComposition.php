<?php

declare(strict_types=1);

namespace Gnomic\Shape\Compositions;

use Gnomic\Shape\Composition;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Parts\Metrics;
use Gnomic\Shape\Parts\RatingPart;
use Gnomic\Shape\Parts\WordsPart;

/** A centred quotation under a hanging mark, its author centred below. */
final readonly class QuotationComposition extends Composition
{
    /** Height of the mark, with what is kept free below it, in em. */
    private const MARK = 2.0;

    /** Words of a paragraph are a step larger here. */
    private const LARGER = 1.125;

    public static function name(): string
    {
        return 'quotation';
    }

    public static function label(): string
    {
        return 'Centred quotation';
    }

    public static function phrase(): string
    {
        return 'as centred quotations';
    }

    /** The mark over them says it once. */
    public static function quotes(): bool
    {
        return false;
    }

    public static function hasFacesAbove(): bool
    {
        return true;
    }

    public static function isFlat(): bool
    {
        return false;
    }

    public static function scale(Layout $layout): TypeScale
    {
        [$long, $middle, $short] = $layout->scale()->sizes;

        return TypeScale::of(max($long, self::LARGER), max($middle, self::LARGER), max($short, self::LARGER));
    }

    /** The rating stands between what was said and who said it. */
    public static function groups(array $blocks, callable $kind): array
    {
        [$bylines, $others] = self::apart($blocks, $kind);
        $isRating = fn (mixed $block): bool => $kind($block) === RatingPart::class;

        return ['' => [
            ...array_values(array_filter($others, fn (mixed $block): bool => ! $isRating($block))),
            ...array_values(array_filter($others, $isRating)),
            ...$bylines,
        ]];
    }

    public static function height(array $kinds, float $width, callable $height): float
    {
        $isSaid = in_array(WordsPart::class, $kinds, true);
        $places = self::groups(array_keys($kinds), fn (int $place): string => $kinds[$place])[''];

        return self::stacked($places, $kinds, $width, $height) + ($isSaid ? self::MARK + Metrics::GAP : 0.0);
    }
}
