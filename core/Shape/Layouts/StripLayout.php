<?php

declare(strict_types=1);

namespace Gnomic\Shape\Layouts;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Shape\Arrangement;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Purpose;
use Gnomic\Shape\Space;

/** One row of small squares that always fills its width, with more of them or fewer. */
final readonly class StripLayout extends Layout
{
    /** Pixels that a square keeps free at both sides, and of a line of its words. */
    private const SIDES = 18;

    private const LINE = 19.5;

    private function __construct(private int $size)
    {
    }

    public static function name(): string
    {
        return 'strip';
    }

    public static function label(): string
    {
        return 'Strip';
    }

    public static function madeFor(): array
    {
        return [Purpose::Pictures, Purpose::SmallPlace];
    }

    public static function settings(): array
    {
        return ['size' => NumberSchema::whole(40, 400, 120, 'Wished width of a square in pixels: as many stand in the row as fit.')];
    }

    public static function of(Members $settings): self
    {
        return new self((int) $settings->intOrNull('size'));
    }

    public function phrase(): string
    {
        return 'in a strip from side to side';
    }

    public static function isOfPictures(): bool
    {
        return true;
    }

    public function acrossAt(Space $space): int
    {
        return $space->columns($this->size);
    }

    public function why(Space $space): string
    {
        return 'as many of '.$this->size.' pixels as fit side by side';
    }

    public function cardsAt(Space $space, int $cards): int
    {
        return min($cards, $this->acrossAt($space));
    }

    public function size(): float
    {
        return 0.8125;
    }

    public function linesIn(Space $space, int $columns): int
    {
        return max(1, (int) (($space->column($columns) - self::SIDES) / self::LINE));
    }

    public function stacked(Space $space, Arrangement $arrangement, array $heights): float
    {
        return $heights === [] ? 0.0 : $space->column($arrangement->columns);
    }
}
