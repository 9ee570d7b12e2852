<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use Closure;

/**
 * How wide the content of a box is, where it can be known without laying a page out: of blocks in blocks (CSS 2.2, 10.3.3). Of what
 * floats, of cells of grids and of tables it is not sure, and about as wide as what it stands in.
 */
final readonly class BoxWidth
{
    private const BLOCKS = ['block', 'flow-root', 'list-item', 'flex', 'grid'];

    private function __construct(public float $pixels, public bool $isSure)
    {
    }

    /**
     * @param  Closure(string): string  $value  of a property, as it is specified
     * @param  Closure(string, float): (float|null)  $length  pixels of a value, with what a hundred per cent are
     * @param  float  $inside  borders and paddings, both sides together
     */
    public static function of(?Computed $parent, Viewport $viewport, Closure $value, Closure $length, float $inside): self
    {
        $whole = $parent->width ?? (float) $viewport->width;
        $isSure = $parent->isWidthSure ?? true;
        $around = strtolower($value('display'));
        $isBlock = in_array($around, self::BLOCKS, true) && strtolower($value('float')) === 'none'
            && ! in_array(strtolower($value('position')), ['absolute', 'fixed'], true);
        $isOne = $parent === null || self::stacks($parent);
        $own = $length($value('width'), $whole);
        $isBorderBox = strtolower($value('box-sizing')) === 'border-box';
        $outer = fn (float $width): float => $isBorderBox ? $width : $width + $inside;
        $width = $own === null
            ? $whole - max(0.0, $length($value('margin-left'), $whole) ?? 0.0) - max(0.0, $length($value('margin-right'), $whole) ?? 0.0)
            : $outer($own);
        $most = $length($value('max-width'), $whole);
        $least = $length($value('min-width'), $whole);
        $width = $most === null ? $width : min($width, $outer($most));
        $width = $least === null ? $width : max($width, $outer($least));

        return new self(max(0.0, $width - $inside), $isSure && (($isBlock && $isOne) || $own !== null));
    }

    /** Whether what stands in it is as wide as it. */
    private static function stacks(Computed $parent): bool
    {
        $display = strtolower($parent->value('display'));
        $columns = strtolower($parent->value('grid-template-columns'));

        return match ($display) {
            'block', 'flow-root', 'list-item', 'inline-block', 'table-cell', 'table-td' => true,
            'grid' => in_array(str_replace(' ', '', $columns), ['none', '1fr', '100%', 'minmax(0,1fr)'], true),
            'flex' => str_starts_with(strtolower($parent->value('flex-direction')), 'column')
                && in_array(strtolower($parent->value('align-items')), ['normal', 'stretch'], true),
            default => false,
        };
    }
}
