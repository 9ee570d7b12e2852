<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

/** What stands together of a byline: the face at one side, the others in their rows. */
final readonly class Byline
{
    /** Height of a face, and the room that it takes beside the rows, in em. */
    private const FACE = 2.5;

    private const FACE_EDGE = 3.16;

    /** Below a face that stands above the rows. */
    private const UNDER_FACE = 0.328;

    /** Between a name and what is said of it on its line. */
    private const BETWEEN = 0.5;

    /** Of a width, in which what just fits does so although letters are set on whole pixels. */
    private const SURE = 0.993;

    private bool $hasFace;

    /** @var array<string, list<Part>> its parts in the order in which they stand, by the name of their row */
    public array $parts;

    /** @var array<string, string> what each row says, by its name */
    private array $rows;

    /** @param  list<Part>  $parts */
    public function __construct(array $parts)
    {
        $ordered = [];
        foreach ($parts as $part) {
            $ordered[Parts::placeOf($part)] = $part;
        }
        ksort($ordered);
        $byRow = $rows = [];
        foreach ($ordered as $part) {
            $row = $part::row()->name ?? '';
            $byRow[$row][] = $part;
            if ($row !== Row::Face->name) {
                // What stands in the last row carries its own words before it.
                $between = $row === Row::Of->name && isset($rows[$row]) ? ', ' : '';
                $rows[$row] = ($rows[$row] ?? '').$between.$part->text();
            }
        }
        $this->parts = $byRow;
        $this->rows = $rows;
        $this->hasFace = isset($byRow[Row::Face->name]);
    }

    /**
     * On cards that are equally high, in em: a line a row, whatever was written.
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

    /** In em. @param  float  $width  within the card, in em */
    public function height(Measure $measure, float $width): float
    {
        $isAbove = $this->hasFace && $measure->composition::hasFacesAbove();
        $beside = $width - ($this->hasFace && ! $isAbove ? self::FACE_EDGE : 0.0);
        $flat = $this->flat($measure, $beside);
        if ($flat !== null) {
            return $flat;
        }
        $height = 0.0;
        foreach ($this->rows as $row => $text) {
            $size = $row === Row::Name->name ? $measure->composition::nameSize() : Metrics::SMALL;
            $lines = $text === '' ? 0 : $measure->paragraph($text, $row === Row::Name->name)->linesAt($beside / $size);
            $height += $lines * $size * Metrics::LEADING;
        }

        return $isAbove ? self::FACE + self::UNDER_FACE + $height : max($this->hasFace ? self::FACE : 0.0, $height);
    }

    /** Whether the name and what stands below it can stand on one line: there is no face beside them. */
    public function isFlat(): bool
    {
        return ! $this->hasFace && array_keys($this->rows) === [Row::Name->name, Row::Said->name];
    }

    /** Height of the name with what is said of it on its line, where both have room there; null: one stands below the other. */
    private function flat(Measure $measure, float $width): ?float
    {
        if (! $this->isFlat() || ! $measure->composition::isFlat()) {
            return null;
        }
        $name = $measure->paragraph($this->rows[Row::Name->name] ?? '', true)->widest() * $measure->composition::nameSize();
        $said = $measure->paragraph($this->rows[Row::Said->name] ?? '')->widest() * Metrics::SMALL;

        return $name + self::BETWEEN + $said <= $width * self::SURE ? $measure->composition::nameSize() * Metrics::LEADING : null;
    }

    /** From which width within the card on the name, and what stands in the row below it, take a line each. */
    public function lineFrom(Measure $measure): float
    {
        $from = 0.0;
        foreach (array_diff_key($this->rows, [Row::Said->name => true]) as $row => $text) {
            $size = $row === Row::Name->name ? $measure->composition::nameSize() : Metrics::SMALL;
            $widest = $measure->paragraph($text, $row === Row::Name->name)->widest() * $size;
            $from = max($from, $widest + ($this->hasFace ? self::FACE_EDGE : 0.0));
        }

        return $from;
    }
}
