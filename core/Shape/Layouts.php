<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Json\Schema\VariantSchema;
use Gnomic\Shape\Layouts\CarouselLayout;
use Gnomic\Shape\Layouts\ListLayout;

/** All layouts. A new one stands here and nowhere else. */
final class Layouts
{
    /** @var list<class-string<Layout>> the usual one first */
    public const ALL = [CarouselLayout::class, ListLayout::class];

    public static function schema(): VariantSchema
    {
        $members = [];
        foreach (self::ALL as $layout) {
            $members[$layout::name()] = $layout::settings();
        }

        return new VariantSchema($members, self::ALL[0]::name(), 'The layout, with its own settings.');
    }

    /** @return class-string<Layout> the usual one where there is none of that name */
    public static function named(string $name): string
    {
        foreach (self::ALL as $layout) {
            if ($layout::name() === $name) {
                return $layout;
            }
        }

        return self::ALL[0];
    }
}
