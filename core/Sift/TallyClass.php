<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/** Entries that are alike to a brief: how many, and what they have in common. */
final readonly class TallyClass
{
    /**
     * @param  int  $failures  as Sieve::failures()
     * @param  bool  $counts  in the overall figures
     * @param  float|null  $oldest  seconds since 1970 of the first of them
     */
    public function __construct(
        public int $failures,
        public bool $counts,
        public string $source,
        public ?float $stars,
        public bool $isWorded,
        public int $times,
        public ?float $oldest,
    ) {
    }
}
