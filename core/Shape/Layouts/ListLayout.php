<?php

declare(strict_types=1);

namespace Gnomic\Shape\Layouts;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\BooleanSchema;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Purpose;
use Gnomic\Shape\Space;

/** One card below the other, as wide as words are read well; or a narrow column for the side of a page. */
final readonly class ListLayout extends Layout
{
    private function __construct(public bool $column)
    {
    }

    public static function name(): string
    {
        return 'list';
    }

    public static function label(): string
    {
        return 'List';
    }

    public static function madeFor(): array
    {
        return [Purpose::Reading, Purpose::SmallPlace];
    }

    public static function settings(): array
    {
        return ['column' => new BooleanSchema(false, 'Whether it is a narrow column, for the side of a page.')];
    }

    public static function of(Members $settings): self
    {
        return new self($settings->boolOr('column', false));
    }

    public function phrase(): string
    {
        return $this->column ? 'in a narrow column' : 'in a list';
    }

    public function size(): float
    {
        return $this->column ? 0.9375 : 1.0625;
    }

    public function style(int $cards, int $gap): array
    {
        return $this->column ? ['column' => '22em'] : [];
    }

    public function cardWidth(Space $space, int $columns): float
    {
        return min($this->column ? 352.0 : 640.0, $space->inner);
    }
}
