<?php

declare(strict_types=1);

namespace Gnomic\Shape\Compositions;

use Gnomic\Shape\Composition;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Parts\Metrics;
use Gnomic\Shape\Parts\Part;

/** As much as a small place holds: small letters, little between. */
final readonly class CompactComposition extends Composition
{
    private const SIZE = 0.9375;

    private const CLOSE = 0.375;

    public static function name(): string
    {
        return 'compact';
    }

    public static function label(): string
    {
        return 'Compact';
    }

    public static function phrase(): string
    {
        return 'compact';
    }

    public static function quotes(): bool
    {
        return false;
    }

    public static function scale(Layout $layout): TypeScale
    {
        return TypeScale::even(self::SIZE);
    }

    public static function nameSize(): float
    {
        return Metrics::SMALL;
    }

    /** @param  class-string<Part>  $kind */
    protected static function gap(string $kind): float
    {
        return self::CLOSE;
    }
}
