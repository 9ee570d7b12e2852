<?php

declare(strict_types=1);

namespace Gnomic\Shape\Card;

/** Where the entries of a source were said, for visitors. */
final readonly class SourcePage
{
    /**
     * @param  string  $name  "Wayleaf"
     * @param  string|null  $url  its own page, where people read and write; null where it has none
     * @param  bool  $takesReviews  whether everybody can write a review there
     * @param  string|null  $sign  what the owner has it known by, the address of a picture; null: its name
     */
    public function __construct(
        public string $name,
        public ?string $url = null,
        public bool $takesReviews = false,
        public ?string $sign = null,
    ) {
    }
}
