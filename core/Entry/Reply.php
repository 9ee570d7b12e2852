<?php

declare(strict_types=1);

namespace Gnomic\Entry;

use DateTimeImmutable;

/** What the owner answered, in plain text. */
final readonly class Reply
{
    public function __construct(public string $text, public ?DateTimeImmutable $published = null)
    {
    }
}
