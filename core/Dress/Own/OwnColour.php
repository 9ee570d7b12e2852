<?php

declare(strict_types=1);

namespace Gnomic\Dress\Own;

/** A colour that own rules give to words, and what they put behind them. */
final readonly class OwnColour
{
    public function __construct(public int $line, public string $part, public string $over, public ?string $behind)
    {
    }
}
