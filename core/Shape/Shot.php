<?php

declare(strict_types=1);

namespace Gnomic\Shape;

/** A picture that belongs to an entry, as a card shows it. */
final readonly class Shot
{
    public function __construct(public Kept $kept, public ?string $alt)
    {
    }
}
