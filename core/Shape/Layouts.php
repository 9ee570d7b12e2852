<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Json\Schema\VariantSchema;
use Gnomic\Shape\Layouts\CarouselLayout;
use Gnomic\Shape\Layouts\GridLayout;
use Gnomic\Shape\Layouts\ListLayout;
use Gnomic\Shape\Layouts\MasonryLayout;
use Gnomic\Shape\Layouts\MosaicLayout;
use Gnomic\Shape\Layouts\NoticesLayout;
use Gnomic\Shape\Layouts\OneAtATimeLayout;
use Gnomic\Shape\Layouts\PanelLayout;
use Gnomic\Shape\Layouts\PhotoRowsLayout;
use Gnomic\Shape\Layouts\RatingLayout;
use Gnomic\Shape\Layouts\SingleLayout;
use Gnomic\Shape\Layouts\StripLayout;
use Gnomic\Shape\Layouts\TickerLayout;

/** All layouts. A new one stands here and nowhere else. */
final class Layouts
{
    /** @var list<class-string<Layout>> the usual one first */
    public const ALL = [
        GridLayout::class,
        CarouselLayout::class,
        ListLayout::class,
        MasonryLayout::class,
        OneAtATimeLayout::class,
        SingleLayout::class,
        PhotoRowsLayout::class,
        MosaicLayout::class,
        StripLayout::class,
        TickerLayout::class,
        RatingLayout::class,
        PanelLayout::class,
        NoticesLayout::class,
    ];

    public static function schema(): VariantSchema
    {
        return new VariantSchema(
            array_map(fn (string $layout): array => $layout::settings(), self::byName()),
            self::ALL[0]::name(),
            'The layout, with its own settings.',
        );
    }

    /** Of a class of widths; null: the same as everywhere. Only those whose cards stand in the flow. */
    public static function flowing(): VariantSchema
    {
        $flowing = array_filter(self::byName(), fn (string $layout): bool => $layout::flows());

        return new VariantSchema(
            array_map(fn (string $layout): array => $layout::settings(), $flowing),
            self::ALL[0]::name(),
            'Another layout at these widths, where both let their cards stand in the flow; null: the same.',
            nullable: true,
        );
    }

    /** @return class-string<Layout> the usual one where there is none of that name */
    public static function named(string $name): string
    {
        return self::byName()[$name] ?? self::ALL[0];
    }

    /** @return array<string, class-string<Layout>> */
    private static function byName(): array
    {
        $named = [];
        foreach (self::ALL as $layout) {
            $named[$layout::name()] = $layout;
        }

        return $named;
    }
}
