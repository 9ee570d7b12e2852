<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/** What a brief chose: the entries shown, in their order, and the sieve's account. */
final readonly class Selection
{
    /**
     * @param  list<string>  $shown  identifiers
     * @param  list<Step>  $steps  from "collected" to "shown"
     */
    public function __construct(public array $shown, public array $steps)
    {
    }

    /** How many passed every clause but wait behind the limit. */
    public function waiting(): int
    {
        return $this->steps === [] ? 0 : $this->steps[count($this->steps) - 1]->dropped;
    }
}
