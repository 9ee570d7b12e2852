<?php

declare(strict_types=1);

namespace Gnomic\Dress;

/** Which of the two sets of colours of a look holds. */
enum Scheme: string
{
    case Light = 'light';
    case Dark = 'dark';

    /** As the page is where it stands: its color-scheme (CSS Color Adjustment 1), or what is behind the widget. */
    case Page = 'page';

    /** As the visitor has asked for (prefers-color-scheme). */
    case Visitor = 'visitor';

    public function hasLight(): bool
    {
        return $this !== self::Dark;
    }

    public function hasDark(): bool
    {
        return $this !== self::Light;
    }

    /** The one of the two sets that holds where nobody says which, as in a picture. */
    public function alone(): self
    {
        return $this === self::Dark ? self::Dark : self::Light;
    }

    public function phrase(): string
    {
        return match ($this) {
            self::Light => 'light',
            self::Dark => 'dark',
            self::Page => 'light or dark as the page is',
            self::Visitor => 'light or dark as visitors prefer',
        };
    }

    /** @return array<string, string> what people read for each */
    public static function said(): array
    {
        return ['light' => 'light', 'dark' => 'dark', 'page' => 'as the page', 'visitor' => 'as visitors prefer'];
    }
}
