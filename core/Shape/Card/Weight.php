<?php

declare(strict_types=1);

namespace Gnomic\Shape\Card;

/** What may make an entry larger than others. */
final readonly class Weight
{
    /**
     * @param  float  $likes  how often it was liked; 0 where that is not known
     * @param  float  $stars  1 to 5; 0 where it is not rated
     */
    public function __construct(public float $likes, public float $stars, public bool $isPinned)
    {
    }
}
