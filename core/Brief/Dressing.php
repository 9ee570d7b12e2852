<?php

declare(strict_types=1);

namespace Gnomic\Brief;

/** How a widget looks. */
enum Dressing: string
{
    /** Dark ink on white. */
    case Paper = 'paper';
    /** Light ink on a night sky. */
    case NightInk = 'night-ink';

    public function spoken(): string
    {
        return match ($this) {
            self::Paper => 'Paper',
            self::NightInk => 'Night ink',
        };
    }
}
