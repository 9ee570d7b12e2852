<?php

declare(strict_types=1);

namespace Gnomic\Gather\Matching;

/** What is stored of an entry, as far as matching needs it. */
final readonly class Known
{
    /**
     * @param  string  $digest  of the stored entry, by Digest::of
     * @param  int|null  $published  seconds since 1970
     */
    public function __construct(public string $digest, public bool $gone, public ?int $published)
    {
    }
}
