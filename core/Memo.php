<?php

declare(strict_types=1);

namespace Gnomic;

/** What was worked out once, for values that never change. */
final class Memo
{
    /** @var array<string, mixed> */
    private array $kept = [];

    /** @param  int  $most  that are kept at once; beyond, all are forgotten, so that what lives long does not grow */
    public function __construct(private readonly int $most = PHP_INT_MAX)
    {
    }

    /**
     * @template T
     *
     * @param  callable(): T  $work  always the same for one name
     * @return T
     */
    public function of(string $name, callable $work): mixed
    {
        if (count($this->kept) >= $this->most && ! isset($this->kept[$name])) {
            $this->kept = [];
        }

        /** @var T */
        return $this->kept[$name] ??= $work();
    }
}
