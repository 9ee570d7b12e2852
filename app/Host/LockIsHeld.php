<?php

declare(strict_types=1);

namespace App\Host;

use RuntimeException;

/** Somebody else is at it, and goes on being so. */
final class LockIsHeld extends RuntimeException
{
}
