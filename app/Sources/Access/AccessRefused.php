<?php

declare(strict_types=1);

namespace App\Sources\Access;

use Gnomic\Failure;
use RuntimeException;

/** Granting access came to nothing. The message says why and what to do. */
final class AccessRefused extends RuntimeException implements Failure
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
        return new self($service, "$service did not accept the answer. It came too late, or was used before. Start again.");
    }

    public static function unreachable(string $service): self
    {
        return new self($service, "$service could not be reached to complete this. Try again in a few minutes.");
    }

    public static function otherState(string $service): self
    {
        return new self(
            $service,
            "The answer of $service does not match the request that was started here, so it was ignored. Start again, in one window.",
        );
    }

    public function about(): array
    {
        return [];
    }
}
