<?php

declare(strict_types=1);

namespace Gnomic\Dress\Own;

/** A rule as it was written: what stands before its braces and in them. */
final readonly class OwnBlock
{
    public function __construct(public string $prelude, public ?string $inside, public int $line, public int $insideLine)
    {
    }
}
