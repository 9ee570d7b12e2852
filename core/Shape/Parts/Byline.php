<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

/** How high what stands together of a byline becomes: the face at one side, the others in their rows. */
final class Byline
{
    /** Height of a face, and the room that it takes beside the rows, in em. */
    private const FACE = 2.5;

    private const FACE_EDGE = 3.125;

    /**
     * On cards that are equally high: a line a row, whatever was written.
     *
     * @param  list<class-string<Part>|Part>  $parts
     */
    public static function kept(array $parts): float
    {
        $rows = [];
        foreach ($parts as $part) {
            $rows[$part::row()->name ?? ''] = true;
        }
        $lines = count(array_diff_key($rows, [Row::Face->name => true]));

        return max(isset($rows[Row::Face->name]) ? self::FACE : 0.0, max(1, $lines) * Metrics::SMALL_LINE);
    }

    /**
     * @param  list<Part>  $parts
     * @param  float  $width  within the card, in em
     */
    public static function height(array $parts, Measure $measure, float $width): float
    {
        $hasFace = self::hasFace($parts);
        $beside = $width - ($hasFace ? self::FACE_EDGE : 0.0);
        $lines = 0;
        foreach (self::rows($parts) as $row => $text) {
            $lines += $measure->small($text, $beside, $row === Row::Name->name);
        }

        return max($hasFace ? self::FACE : 0.0, $lines * Metrics::SMALL_LINE);
    }

    /**
     * From which width within the card on the name, and what stands in the row below it, take a line each.
     *
     * @param  list<Part>  $parts
     */
    public static function lineFrom(array $parts, Measure $measure): float
    {
        $from = 0.0;
        foreach (array_diff_key(self::rows($parts), [Row::Said->name => true]) as $row => $text) {
            $widest = $measure->paragraph($text, $row === Row::Name->name)->widest() * Metrics::SMALL;
            $from = max($from, $widest + (self::hasFace($parts) ? self::FACE_EDGE : 0.0));
        }

        return $from;
    }

    /** @param  list<Part>  $parts */
    private static function hasFace(array $parts): bool
    {
        return array_filter($parts, fn (Part $part): bool => $part::row() === Row::Face) !== [];
    }

    /**
     * @param  list<Part>  $parts
     * @return array<string, string> what each row says, by its name, from above; none that is empty
     */
    private static function rows(array $parts): array
    {
        $rows = [];
        foreach (self::parts($parts) as $row => $of) {
            // What stands in the last row carries its own words before it.
            $text = implode($row === Row::Of->name ? ', ' : '', array_map(fn (Part $part): string => (string) $part->text(), $of));
            $rows += $text === '' || $row === Row::Face->name ? [] : [$row => $text];
        }

        return $rows;
    }

    /**
     * In the order in which they stand, whatever the brief's is.
     *
     * @param  list<Part>  $parts
     * @return array<string, list<Part>> by the name of their row, from above
     */
    public static function parts(array $parts): array
    {
        $rows = [];
        foreach (Row::cases() as $row) {
            foreach (Parts::ALL as $kind) {
                foreach ($kind::row() === $row ? $parts : [] as $part) {
                    if ($part instanceof $kind) {
                        $rows[$row->name][] = $part;
                    }
                }
            }
        }

        return $rows;
    }
}
