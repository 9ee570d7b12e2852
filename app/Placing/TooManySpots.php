<?php

declare(strict_types=1);

namespace App\Placing;

use RuntimeException;

/** A site has no room for another spot. */
final class TooManySpots extends RuntimeException
{
}
