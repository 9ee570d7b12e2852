<?php

declare(strict_types=1);

namespace Gnomic\Dress\Own;

/** Something in own rules that was left out, and why. */
final readonly class OwnProblem
{
    public function __construct(public int $line, public string $text)
    {
    }
}
