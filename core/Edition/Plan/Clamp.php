<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

/** What of a card is cut off at a width, and can be read on. */
final readonly class Clamp
{
    /**
     * @param  int|null  $lines  that its words are clamped to; null: nothing holds them, as they fit
     * @param  bool  $isCut  whether there is more to read; on the safe side, where it is close
     */
    public function __construct(public ?int $lines, public bool $isCut)
    {
    }
}
