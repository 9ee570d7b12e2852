<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Json\Members;
use Gnomic\Json\Schema\NumberSchema;
use Gnomic\Json\Schema\ObjectSchema;

/** How many, and fewer where there is less room. */
final readonly class Limits
{
    /** Widths of the widget in CSS pixels from which it counts as one. */
    public const TABLET = 600;

    public const DESKTOP = 1000;

    /**
     * @param  int  $most  1 to 100
     * @param  int|null  $phone  at widths below Limits::TABLET; null: as many as on a tablet
     * @param  int|null  $tablet  at widths below Limits::DESKTOP; null: as many as on a desktop
     */
    public function __construct(public int $most, public ?int $phone = null, public ?int $tablet = null)
    {
    }

    public static function schema(): ObjectSchema
    {
        return ObjectSchema::of(['phone' => NumberSchema::whole(1, 100), 'tablet' => NumberSchema::whole(1, 100)],
            about: 'How many where there is less room: on phones (narrower than 600 pixels) and tablets (narrower than 1000); null '
                .'for as many.');
    }

    public static function read(Members $sift): self
    {
        return new self(
            (int) $sift->intOrNull('limit'),
            $sift->object('fewer')->intOrNull('phone'),
            $sift->object('fewer')->intOrNull('tablet'),
        );
    }

    /** Names it where what was worked out for it is kept. */
    public function key(): string
    {
        return "$this->most $this->phone $this->tablet";
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
}
