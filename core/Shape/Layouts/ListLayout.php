<?php

declare(strict_types=1);

namespace Gnomic\Shape\Layouts;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\BooleanSchema;
use Gnomic\Shape\Compositions\RowComposition;
use Gnomic\Shape\Compositions\WordsComposition;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Lines\TypeScale;
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

    /** Where lines of words end long before the place does, authors stand beside them. */
    public function composed(string $composition): string
    {
        return $composition === WordsComposition::name() && ! $this->column ? RowComposition::name() : $composition;
    }

    public function scale(): TypeScale
    {
        return $this->column ? TypeScale::even(TypeScale::USUAL) : TypeScale::of(TypeScale::USUAL, 1.3125, 1.6875);
    }

    public function size(): float
    {
        return $this->column ? 0.9375 : TypeScale::USUAL;
    }

    public function style(int $cards, int $gap): array
    {
        return $this->column ? ['column' => '22em'] : [];
    }

    public function cardWidth(Space $space, int $columns, int $cards = PHP_INT_MAX): float
    {
        return $this->column ? min(352.0, $space->inner) : $space->inner;
    }
}
