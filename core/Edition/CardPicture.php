<?php

declare(strict_types=1);

namespace Gnomic\Edition;

/** A picture that belongs to an entry, as a card shows it. */
final readonly class CardPicture
{
    public function __construct(public StoredPicture $stored, public ?string $alt)
    {
    }
}
