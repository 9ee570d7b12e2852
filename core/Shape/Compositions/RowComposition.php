<?php

declare(strict_types=1);

namespace Gnomic\Shape\Compositions;

use Gnomic\Shape\Composition;
use Gnomic\Shape\Parts\Metrics;
use Gnomic\Shape\Parts\Part;
use Gnomic\Shape\Parts\RatingPart;

/**
 * The author at the left, what was said in the middle, the rating in a column of its own at the right, where a list is scanned for it;
 * with less room the rating above what was said, and with little all below each other.
 */
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

    /** A rating that the brief has elsewhere than before what was said stays there. */
    public static function groups(array $blocks, callable $kind): array
    {
        [$bylines, $others] = self::apart($blocks, $kind);

        return match (true) {
            $bylines === [] || $others === [] => ['' => $blocks],
            $kind($others[0]) === RatingPart::class => [
                'from' => $bylines,
                'told rate' => [$others[0]],
                'told said' => array_slice($others, 1),
            ],
            default => ['from' => $bylines, 'told' => $others],
        };
    }

    public static function height(array $kinds, float $width, callable $height): float
    {
        $groups = self::groups(array_keys($kinds), fn (int $place): string => $kinds[$place]);
        if (! isset($groups['from'])) {
            return parent::height($kinds, $width, $height);
        }
        $isBeside = $width >= self::FROM;
        $who = self::stacked($groups['from'], $kinds, $isBeside ? self::author($width) : $width, $height);
        $told = self::stacked($groups['told said'] ?? $groups['told'], $kinds, self::wordsWidth($width, $kinds), $height);
        if (isset($groups['told rate'])) {
            $isScanned = self::isScanned($width);
            $rate = self::stacked($groups['told rate'], $kinds, $isScanned ? RatingPart::WIDE : self::told($width), $height);
            $told = $isScanned ? max($rate, $told) : $rate + Metrics::GAP + $told;
        }

        return $isBeside ? max($who, $told) : $who + self::UNDER + $told;
    }

    public static function wordsWidth(float $width, array $kinds): float
    {
        $groups = self::groups($kinds, fn (string $kind): string => $kind);

        return self::told($width) - (isset($groups['told rate']) && self::isScanned($width) ? self::BETWEEN + RatingPart::WIDE : 0.0);
    }

    /** Of what was said with its rating, in em. */
    private static function told(float $width): float
    {
        return $width >= self::FROM ? $width - self::author($width) - self::BETWEEN : $width;
    }

    private static function author(float $width): float
    {
        return max(self::AUTHOR, self::SHARE * $width);
    }

    /** Whether the rating has a column of its own: where what was said is as wide with it as a whole that has no room for the author. */
    private static function isScanned(float $width): bool
    {
        return self::told($width) >= self::FROM;
    }

    /** @param  class-string<Part>  $kind */
    protected static function gap(string $kind): float
    {
        return Metrics::GAP;
    }
}
