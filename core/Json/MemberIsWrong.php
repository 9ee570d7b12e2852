<?php

declare(strict_types=1);

namespace Gnomic\Json;

use DomainException;

/** A member of a JSON document is not what it has to be. */
final class MemberIsWrong extends DomainException
{
    private function __construct(string $message, public readonly string $pointer)
    {
        parent::__construct($message);
    }

    /** @param  string  $pointer JSON Pointer (RFC 6901) of the member */
    public static function at(string $pointer, string $wanted, mixed $found): self
    {
        $shown = match (true) {
            $found === null => 'is null',
            is_string($found) => 'is the text "'.mb_strimwidth($found, 0, 40, '…').'"',
            is_scalar($found) => 'is '.var_export($found, true),
            default => 'is '.(is_array($found) && array_is_list($found) ? 'a list' : 'an object'),
        };

        return new self("$pointer must be $wanted, but $shown.", $pointer);
    }

    public static function missing(string $pointer, string $wanted): self
    {
        return new self("$pointer must be $wanted, but is missing.", $pointer);
    }

    /** @param  list<string>  $known */
    public static function unknown(string $pointer, array $known): self
    {
        return new self("$pointer is not known. Known here: ".implode(', ', $known).'.', $pointer);
    }
}
