<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

use Gnomic\Shape\Lines\Paragraphs;

/** Pieces of a head or a foot: how large their words are, and how high they become side by side, as long as there is room. */
final readonly class Pieces
{
    public function __construct(private Paragraphs $paragraphs)
    {
    }

    /** @param  float  $width  in the size of the letters, as what is returned by width() */
    public function lines(string $text, float $width, bool $isBold = false): int
    {
        return $this->paragraphs->of($text, $isBold)->linesAt($width);
    }

    public function width(string $text, bool $isBold = false): float
    {
        return $this->paragraphs->of($text, $isBold)->widest();
    }

    /** @param  list<array{float, float}>  $pieces  widths and heights */
    public static function wide(array $pieces, float $gap): float
    {
        return array_sum(array_column($pieces, 0)) + $gap * max(0, count($pieces) - 1);
    }

    /**
     * Their height, in as many rows as they need.
     *
     * @param  list<array{float, float}>  $pieces  widths and heights
     * @param  float  $across  between them, side by side
     * @param  float  $down  and between rows
     */
    public static function rows(array $pieces, float $width, float $across, float $down): float
    {
        $total = $used = $row = 0.0;
        foreach ($pieces as [$wide, $high]) {
            if ($used > 0 && $used + $across + $wide > $width) {
                $total += $row + $down;
                $used = $row = 0.0;
            }
            $used += ($used > 0 ? $across : 0.0) + $wide;
            $row = max($row, $high);
        }

        return $total + $row;
    }
}
