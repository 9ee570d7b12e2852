<?php

declare(strict_types=1);

namespace Gnomic\Json;

use DomainException;

/** A text that is not JSON, and the place where it stops being so. */
final class JsonIsBroken extends DomainException
{
    /**
     * @param  int  $atLine  1 for the first
     * @param  int  $column  characters, 1 for the first
     */
    public function __construct(public readonly int $atLine, public readonly int $column, public readonly string $what)
    {
        parent::__construct("line $atLine, column $column: $what");
    }
}
