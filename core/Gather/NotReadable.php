<?php

declare(strict_types=1);

namespace Gnomic\Gather;

use DomainException;

/** A payload that holds nothing of the kind that was asked for. The message says what was found and what to do. */
final class NotReadable extends DomainException
{
    public static function found(string $what, string $remedy): self
    {
        return new self("This is $what, not a feed. $remedy");
    }

    public static function without(string $what, string $remedy): self
    {
        return new self("This page has no $what. $remedy");
    }
}
