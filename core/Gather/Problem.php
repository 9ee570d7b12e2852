<?php

declare(strict_types=1);

namespace Gnomic\Gather;

/** Something in a payload that was not as it should be, and what was done about it. */
final readonly class Problem
{
    /** @param  string  $where "line 12", "item 3"; empty where it is about the whole */
    public function __construct(public string $where, public string $what)
    {
    }

    public function __toString(): string
    {
        return $this->where === '' ? $this->what : "$this->where: $this->what";
    }
}
