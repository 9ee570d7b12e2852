<?php

declare(strict_types=1);

namespace App\Editions;

use RuntimeException;

/** An edition could not be written whole. What is out stays out. */
final class EditionNotWritten extends RuntimeException
{
    public static function at(string $path): self
    {
        return new self("$path cannot be written; the disk may be full. What is out stays out, and it is tried again.");
    }
}
