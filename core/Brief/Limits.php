<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Json\Members;

/** How many, and fewer where there is less room. */
final readonly class Limits
{
    /**
     * @param  int  $most  1 to 100
     * @param  int|null  $phone  at widths below Limits::TABLET; null: as many as on a tablet
     * @param  int|null  $tablet  at widths below Limits::DESKTOP; null: as many as on a desktop
     */
    public function __construct(public int $most, public ?int $phone = null, public ?int $tablet = null)
    {
    }

    /** Widths of the widget in CSS pixels from which it counts as one. */
    public const TABLET = 600;

    public const DESKTOP = 1000;

    public static function read(Members $sift): self
    {
        $most = Fields::within($sift, 'limit', 1, 100) ?? 10;
        $fewer = $sift->object('fewer');
        Fields::only($fewer, ['phone', 'tablet']);

        return new self($most, Fields::within($fewer, 'phone', 1, 100), Fields::within($fewer, 'tablet', 1, 100));
    }

    /** @param  int  $width  of the widget in CSS pixels */
    public function at(int $width): int
    {
        $tablet = min($this->most, $this->tablet ?? $this->most);

        return match (true) {
            $width < self::TABLET => min($tablet, $this->phone ?? $tablet),
            $width < self::DESKTOP => $tablet,
            default => $this->most,
        };
    }

    /** @return array<string, int|null> */
    public function fewer(): array
    {
        return ['phone' => $this->phone, 'tablet' => $this->tablet];
    }
}
