<?php

declare(strict_types=1);

namespace App\Host;

/** Gnomic's own address, as the owner has set it. */
trait KnowsHost
{
    /** Without a slash at its end. */
    private function host(): string
    {
        return rtrim(config()->string('app.url'), '/');
    }
}
