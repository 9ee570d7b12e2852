<?php

declare(strict_types=1);

namespace Gnomic\Shape\Compositions;

use Gnomic\Shape\Composition;
use Gnomic\Shape\Parts\Metrics;
use Gnomic\Shape\Parts\Part;

/** The author at the left, what was said at the right; below each other where there is no room for that. */
final readonly class RowComposition extends Composition
{
    /** Of the column of the author, of what is between the two, and of the whole from which there is room for both; in em. */
    private const AUTHOR = 17.5;

    private const BETWEEN = 2.0;

    private const FROM = 38.5;

    /** Of the whole that the author has where that is more: a day and who verified it stand in one line then. */
    private const SHARE = 0.285;

    /** Between the two where they stand below each other. */
    private const UNDER = 1.0;

    public static function name(): string
    {
        return 'row';
    }

    public static function label(): string
    {
        return 'Author at the left';
    }

    public static function phrase(): string
    {
        return 'authors at the left';
    }

    public static function groups(array $blocks, callable $kind): array
    {
        [$bylines, $others] = self::apart($blocks, $kind);

        return $bylines === [] || $others === [] ? ['' => $blocks] : ['who' => $bylines, 'told' => $others];
    }

    public static function height(array $kinds, float $width, callable $height): float
    {
        $groups = self::groups(array_keys($kinds), fn (int $place): string => $kinds[$place]);
        if (! isset($groups['told'])) {
            return parent::height($kinds, $width, $height);
        }
        $isBeside = $width >= self::FROM;
        $who = self::stacked($groups['who'], $kinds, $isBeside ? self::author($width) : $width, $height);
        $told = self::stacked($groups['told'], $kinds, self::wordsWidth($width), $height);

        return $isBeside ? max($who, $told) : $who + self::UNDER + $told;
    }

    public static function wordsWidth(float $width): float
    {
        return $width >= self::FROM ? $width - self::author($width) - self::BETWEEN : $width;
    }

    private static function author(float $width): float
    {
        return max(self::AUTHOR, self::SHARE * $width);
    }

    /** @param  class-string<Part>  $kind */
    protected static function gap(string $kind): float
    {
        return Metrics::GAP;
    }
}
