<?php

declare(strict_types=1);

namespace Gnomic\Shape\Compositions;

use Gnomic\Shape\Composition;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Parts\Metrics;
use Gnomic\Shape\Parts\Part;

/** One part below the other in the order of the brief, all words of one size: how cards were before there were compositions. */
final readonly class EvenComposition extends Composition
{
    public static function name(): string
    {
        return 'even';
    }

    public static function label(): string
    {
        return 'One below the other';
    }

    public static function phrase(): string
    {
        return 'one part below the other';
    }

    /** Its heads are one line high, as they were when a spread was a sign and not bars. */
    public static function hasRoomForBars(): bool
    {
        return false;
    }

    public static function isFlat(): bool
    {
        return false;
    }

    public static function scale(Layout $layout): TypeScale
    {
        return TypeScale::even($layout->size());
    }

    public static function nameSize(): float
    {
        return Metrics::SMALL;
    }

    /** @param  class-string<Part>  $kind */
    protected static function gap(string $kind): float
    {
        return Metrics::GAP;
    }
}
