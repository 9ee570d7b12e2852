<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use DomainException;

/** A brief breaks its schema. The message names the member and what it has to be. */
final class BriefIsWrong extends DomainException
{
    /** @param  string  $pointer JSON Pointer (RFC 6901) of the member */
    public function __construct(public readonly string $pointer, string $message)
    {
        parent::__construct($message);
    }
}
