<?php

declare(strict_types=1);

namespace Gnomic;

/** What was worked out once, for values that never change. */
final class Memo
{
    /** @var array<string, mixed> */
    private array $kept = [];

    /**
     * @template T
     *
     * @param  callable(): T  $work  always the same for one name
     * @return T
     */
    public function of(string $name, callable $work): mixed
    {
        /** @var T */
        return $this->kept[$name] ??= $work();
    }
}
