<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

/** Sizes of resources/widget/parts, in the size of a visitor's letters (em); a browser test holds them to what is drawn. */
final class Metrics
{
    /** CSS pixels of an em at the usual size of letters. */
    public const EM = 16.0;

    /** Between the blocks of a card. */
    public const GAP = 0.5;

    /** Height of lines by their size. */
    public const LEADING = 1.5;

    /** Size of small print. */
    public const SMALL = 0.875;

    public const SMALL_LINE = self::SMALL * self::LEADING;

    /** Of titles and of small print, that lines are no longer than. */
    public const WIDEST = 38.0;

    public const WIDEST_SMALL = self::SMALL * 40.0;

    /** "Read more" with what is kept free around it. */
    public const MORE = self::SMALL_LINE + 0.375;
}
