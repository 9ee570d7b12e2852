<?php

declare(strict_types=1);

namespace Gnomic\Shape\Layouts;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Shape\Arrangement;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Packing\PhotoRows;
use Gnomic\Shape\Purpose;
use Gnomic\Shape\Space;
use Gnomic\Shape\Tile;

/** Pictures in rows of even height that fill the width; nothing of them is cut off. */
final readonly class PhotoRowsLayout extends Layout
{
    /** A row is at most so many times as high as wished; beyond, it stands in the middle and does not fill the width. */
    private const MOST = 2.0;

    /** Pixels of a tile of words that are not theirs, and of a line of them. */
    private const BESIDE = 150;

    private const LINE = 23;

    /** A tile of words is never lower. */
    private const LEAST = 144.0;

    private function __construct(private int $height)
    {
    }

    public static function name(): string
    {
        return 'photo-rows';
    }

    public static function label(): string
    {
        return 'Photo rows';
    }

    public static function madeFor(): array
    {
        return [Purpose::Pictures];
    }

    public static function settings(): array
    {
        return ['rowHeight' => NumberSchema::whole(
            60,
            600,
            220,
            'Wished height of a row in pixels; rows differ from it as little as may be.',
        )];
    }

    public static function of(Members $settings): self
    {
        return new self((int) $settings->intOrNull('rowHeight'));
    }

    public function phrase(): string
    {
        return "in rows of photos about $this->height pixels high";
    }

    public static function isOfPictures(): bool
    {
        return true;
    }

    public static function isFine(): bool
    {
        return true;
    }

    public function why(Space $space): string
    {
        return "rows as near to $this->height pixels as whole rows can be";
    }

    public function arranged(Space $space, Space $narrow, array $tiles): Arrangement
    {
        $shares = $counts = [];
        $longest = 1;
        $ratios = array_map(fn (Tile $tile): float => $tile->ratio, $tiles);
        foreach (PhotoRows::of($ratios, $space->inner, $space->gap, $this->height) as ['count' => $count, 'height' => $height]) {
            $row = array_slice($ratios, count($shares), $count);
            $shown = min($height, self::MOST * $this->height);
            foreach ($row as $ratio) {
                $shares[] = $ratio / array_sum($row) * $shown / max(1.0, $height);
            }
            array_push($counts, ...array_fill(0, $count, $count));
            $longest = max($longest, $count);
        }

        return new Arrangement($longest, count($tiles), shares: $shares, counts: $counts, ratios: $ratios);
    }

    public function usualGap(): int
    {
        return 4;
    }

    public function size(): float
    {
        return 0.9375;
    }

    public function rows(Arrangement $arrangement): int
    {
        $rows = 0;
        for ($place = 0; $place < $arrangement->cards; $place += max(1, $arrangement->counts[$place] ?? 1)) {
            $rows++;
        }

        return $rows;
    }

    public function stacked(Space $space, Arrangement $arrangement, array $heights): float
    {
        $total = 0.0;
        for ($place = 0; $place < $arrangement->cards; $place += $count) {
            $count = max(1, $arrangement->counts[$place] ?? 1);
            $width = ($space->inner - ($count - 1) * $space->gap) * ($arrangement->shares[$place] ?? 1.0);
            $least = max(0.0, ...array_slice($heights, $place, $count)) > 0 ? self::LEAST : 0.0;
            $total += max($least, $width / ($arrangement->ratios[$place] ?? 1.0)) + ($place > 0 ? $space->gap : 0);
        }

        return $total;
    }

    /** As many as fit beside a name on a tile as high as the rows. */
    public function usualLines(): int
    {
        return max(2, intdiv($this->height - self::BESIDE, self::LINE));
    }
}
