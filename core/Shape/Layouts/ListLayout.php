<?php

declare(strict_types=1);

namespace Gnomic\Shape\Layouts;

use Gnomic\Json\Members;
use Gnomic\Shape\Layout;

/** One card below the other, as wide as words are read well. */
final readonly class ListLayout extends Layout
{
    public static function name(): string
    {
        return 'list';
    }

    public static function label(): string
    {
        return 'List';
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
        return 'in a list';
    }

    public function across(): int
    {
        return 1;
    }
}
