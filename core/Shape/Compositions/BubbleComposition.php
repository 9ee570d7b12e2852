<?php

declare(strict_types=1);

namespace Gnomic\Shape\Compositions;

use Gnomic\Shape\Composition;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Parts\Metrics;

/** What was said in a bubble, its author under it. */
final readonly class BubbleComposition extends Composition
{
    /** Within the bubble, above and below what is said, in em. */
    private const INSET = 1.0;

    /** Beside it. */
    private const SIDE = 1.125;

    /** Of the width, where that is less. */
    private const SHARE = 0.08;

    /** The tail, with what is kept free under it. */
    private const TAIL = 1.0;

    public static function name(): string
    {
        return 'bubble';
    }

    public static function label(): string
    {
        return 'Bubble';
    }

    public static function phrase(): string
    {
        return 'in bubbles';
    }

    public static function quotes(): bool
    {
        return false;
    }

    public static function scale(Layout $layout): TypeScale
    {
        [$long, $middle] = $layout->scale()->sizes;

        return TypeScale::of($long, $middle, $middle);
    }

    public static function groups(array $blocks, callable $kind): array
    {
        [$bylines, $others] = self::apart($blocks, $kind);

        return $bylines === [] || $others === [] ? ['' => $blocks] : ['told' => $others, 'from' => $bylines];
    }

    public static function height(array $kinds, float $width, callable $height): float
    {
        $groups = self::groups(array_keys($kinds), fn (int $place): string => $kinds[$place]);
        if (! isset($groups['told'])) {
            return parent::height($kinds, $width, $height);
        }
        $total = 2 * self::INSET + self::TAIL + Metrics::GAP * (count($kinds) - 2);
        foreach ($groups['told'] as $place) {
            $total += $height($place, self::wordsWidth($width, $kinds));
        }
        foreach ($groups['from'] as $place) {
            $total += $height($place, $width);
        }

        return $total;
    }

    public static function wordsWidth(float $width, array $kinds): float
    {
        return max(0.5, $width - 2 * min(self::SIDE, self::SHARE * $width));
    }
}
