<?php

declare(strict_types=1);

namespace App\Sources\Access;

use RuntimeException;

/** Granting access came to nothing. The message says why and what to do. */
final class AccessRefused extends RuntimeException
{
    private function __construct(public readonly string $service, string $message)
    {
        parent::__construct($message);
    }

    public static function byOwner(string $service): self
    {
        return new self($service, "You refused access at $service, so nothing was connected. If that was a mistake, start again.");
    }

    public static function byService(string $service): self
    {
        return new self($service, "$service did not take the answer; it was too late, or used before. Begin again.");
    }

    public static function unreachable(string $service): self
    {
        return new self($service, "$service could not be asked for its part. Begin again in a while.");
    }

    public static function otherState(string $service): self
    {
        return new self(
            $service,
            "The answer of $service does not match the request that was started here, so it was ignored. Start again, in one window.",
        );
    }
}
