<?php

declare(strict_types=1);

namespace App\Access;

use InvalidArgumentException;

/** The services at which access can be granted, by channel. */
final readonly class Services
{
    /** @param  array<string, Service>  $services */
    public function __construct(private array $services)
    {
    }

    public function of(string $channel): Service
    {
        return $this->services[$channel] ?? throw new InvalidArgumentException("No access can be granted at \"$channel\".");
    }
}
