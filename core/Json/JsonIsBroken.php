<?php

declare(strict_types=1);

namespace Gnomic\Json;

use DomainException;
use Gnomic\Failure;

/** A text that is not JSON, and the place where it stops being so. */
final class JsonIsBroken extends DomainException implements Failure
{
    /**
     * @param  int  $atLine  1 for the first
     * @param  int  $column  characters, 1 for the first
     */
    public function __construct(public readonly int $atLine, public readonly int $column, public readonly string $what)
    {
        parent::__construct("line $atLine, column $column: $what");
    }

    public function about(): array
    {
        return ['line' => $this->atLine, 'column' => $this->column];
    }
}
