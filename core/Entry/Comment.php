<?php

declare(strict_types=1);

namespace Gnomic\Entry;

use DateTimeImmutable;

/** What somebody said under an entry, at its source. */
final readonly class Comment
{
    /** Of an entry, that are kept. */
    public const MOST = 20;

    public function __construct(public string $text, public ?string $author = null, public ?DateTimeImmutable $published = null)
    {
    }
}
