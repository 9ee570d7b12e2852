<?php

declare(strict_types=1);

namespace Gnomic\Shape\Compositions;

use Gnomic\Shape\Composition;
use Gnomic\Shape\Parts\Metrics;

/** Who said it, then what was said. */
final readonly class FaceComposition extends Composition
{
    public static function name(): string
    {
        return 'face';
    }

    public static function label(): string
    {
        return 'Face first';
    }

    public static function phrase(): string
    {
        return 'a face first';
    }

    public static function quotes(): bool
    {
        return false;
    }

    public static function groups(array $blocks, callable $kind): array
    {
        [$bylines, $others] = self::apart($blocks, $kind);

        return ['' => [...$bylines, ...$others]];
    }

    /** The byline stands above, with as much below it as it has above it elsewhere. */
    public static function height(array $kinds, float $width, callable $height): float
    {
        $total = Metrics::GAP * max(0, count($kinds) - 1);
        foreach ($kinds as $place => $kind) {
            $total += $height($place, $width) + ($kind::row() !== null ? self::ABOVE_BYLINE : 0.0);
        }

        return $total;
    }
}
