<?php

declare(strict_types=1);

namespace App\Placing;

use Gnomic\Failure;
use RuntimeException;

/** A site has no room for another spot. */
final class TooManySpots extends RuntimeException implements Failure
{
    public function about(): array
    {
        return [];
    }
}
