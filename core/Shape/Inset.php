<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Json\Schema\Schema;

/** How far from the edges of the window stands what lies over the page: a page may keep that corner for something of its own. */
final readonly class Inset
{
    private const USUAL = 16;

    private const MOST = 300;

    private function __construct(private int $side, private int $below)
    {
    }

    /** @return array<string, Schema> */
    public static function settings(): array
    {
        return [
            'fromSide' => NumberSchema::whole(0, self::MOST, self::USUAL, 'Pixels from the side of the window.'),
            'fromBelow' => NumberSchema::whole(0, self::MOST, self::USUAL, 'Pixels from the bottom of the window.'),
        ];
    }

    public static function read(Members $settings): self
    {
        return new self((int) $settings->intOrNull('fromSide'), (int) $settings->intOrNull('fromBelow'));
    }

    /** @return array<string, string> custom properties, where they are other than usual */
    public function style(): array
    {
        return array_map(
            fn (int $pixels): string => "{$pixels}px",
            array_filter(['in' => $this->side, 'up' => $this->below], fn (int $pixels): bool => $pixels !== self::USUAL),
        );
    }
}
