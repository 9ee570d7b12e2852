<?php

declare(strict_types=1);

namespace Gnomic\Entry;

/** Who said it, as the source tells it. Every member may be unknown. */
final readonly class Author
{
    public function __construct(
        public ?string $name = null,
        public ?string $role = null,
        public ?string $place = null,
        public ?string $url = null,
        public ?string $image = null,
    ) {
    }
}
