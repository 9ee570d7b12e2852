<?php

declare(strict_types=1);

namespace Tests\core;

use DateTimeImmutable;
use Gnomic\Sift\SiteContext;

/** A site with nothing to them but the day. */
trait AtADay
{
    private static function on(string $day = '2026-01-01'): SiteContext
    {
        return new SiteContext(new DateTimeImmutable($day));
    }
}
