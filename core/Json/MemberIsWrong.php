<?php

declare(strict_types=1);

namespace Gnomic\Json;

use DomainException;
use Gnomic\Failure;
use Gnomic\Text\Echoed;

/** A member of a JSON document is not what it has to be. */
final class MemberIsWrong extends DomainException implements Failure
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
            is_string($found) => 'is the text "'.Echoed::short($found, 40).'"',
            is_scalar($found) => 'is '.var_export($found, true),
            default => 'is '.(is_array($found) && array_is_list($found) ? 'a list' : 'an object'),
        };

        return new self("$pointer must be $wanted, but $shown.", $pointer);
    }

    /** Something stands twice in a list that has each once. @param  string  $what  as it is written */
    public static function repeated(string $pointer, string $what, int $first): self
    {
        return new self(
            "$pointer repeats ".Echoed::short($what).', which stands at '.$first.' already (counted from 0). Leave one out.',
            $pointer,
        );
    }

    public static function missing(string $pointer, string $wanted): self
    {
        return new self("$pointer must be $wanted, but is missing.", $pointer);
    }

    /** @param  list<string>  $known */
    public static function unknown(string $pointer, array $known): self
    {
        $pointer = Echoed::short($pointer);

        return new self("$pointer is not known. Known here: ".implode(', ', $known).'.', $pointer);
    }

    public function about(): array
    {
        return ['pointer' => $this->pointer];
    }
}
