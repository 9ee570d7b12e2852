<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use Gnomic\Sift\Limits;

/** What a widget's width counts as; of the widget itself, not of the window. */
enum WidthClass: string
{
    case Phone = 'phone';
    case Tablet = 'tablet';
    case Desktop = 'desktop';

    /** @param  int  $width  CSS pixels */
    public static function at(int $width): self
    {
        return match (true) {
            $width < Limits::TABLET => self::Phone,
            $width < Limits::DESKTOP => self::Tablet,
            default => self::Desktop,
        };
    }

    /** The width in CSS pixels from which it counts. */
    public function least(): int
    {
        return match ($this) {
            self::Phone => 0,
            self::Tablet => Limits::TABLET,
            self::Desktop => Limits::DESKTOP,
        };
    }

    /** The width from which it does not count any more; null for the widest. */
    public function below(): ?int
    {
        return match ($this) {
            self::Phone => Limits::TABLET,
            self::Tablet => Limits::DESKTOP,
            self::Desktop => null,
        };
    }
}
