<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use DomainException;
use Gnomic\Failure;
use Gnomic\Json\MemberIsWrong;

/** A brief breaks its schema. The message names the member and what it has to be. */
final class BriefIsWrong extends DomainException implements Failure
{
    /** @param  string  $pointer JSON Pointer (RFC 6901) of the member */
    private function __construct(public readonly string $pointer, string $message)
    {
        parent::__construct($message);
    }

    public static function at(MemberIsWrong $wrong): self
    {
        return new self($wrong->pointer, 'The brief breaks its schema: '.$wrong->getMessage());
    }

    public static function syntax(string $why): self
    {
        return new self('/', "The brief is not JSON: $why");
    }

    public function about(): array
    {
        return ['pointer' => $this->pointer];
    }
}
