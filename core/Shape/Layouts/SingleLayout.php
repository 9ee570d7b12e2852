<?php

declare(strict_types=1);

namespace Gnomic\Shape\Layouts;

use Gnomic\Json\Members;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Lines\TypeScale;
use Gnomic\Shape\Purpose;
use Gnomic\Shape\Space;

/** One entry, set large. */
final readonly class SingleLayout extends Layout
{
    public static function name(): string
    {
        return 'single';
    }

    public static function label(): string
    {
        return 'Single';
    }

    public static function madeFor(): array
    {
        return [Purpose::Reading, Purpose::SmallPlace];
    }

    public static function settings(): array
    {
        return [];
    }

    public static function of(Members $settings): self
    {
        return new self;
    }

    public function phrase(): string
    {
        return 'the first of them alone, set large';
    }

    public static function most(): int
    {
        return 1;
    }

    public function cardsAt(Space $space, int $cards): int
    {
        return min(1, $cards);
    }

    public function scale(): TypeScale
    {
        return TypeScale::of(1.5, 1.875, 2.875)->withLead();
    }

    public function size(): float
    {
        return 1.5;
    }

    public function cardWidth(Space $space, int $columns, int $cards = PHP_INT_MAX): float
    {
        return min(704.0, $space->inner);
    }
}
