<?php

declare(strict_types=1);

namespace App\Sources\Access;

use InvalidArgumentException;

/** The services at which access can be granted, by channel. */
final readonly class OAuthProviders
{
    /** @param  array<string, OAuthProvider>  $services */
    public function __construct(private array $services)
    {
    }

    public function of(string $channel): OAuthProvider
    {
        return $this->services[$channel] ?? throw new InvalidArgumentException("No access can be granted at \"$channel\".");
    }
}
