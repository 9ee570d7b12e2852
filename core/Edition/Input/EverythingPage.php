<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

/** A page of everything: what it is made of, or that it is the same as before. */
final readonly class EverythingPage
{
    /**
     * @param  string  $name  of its file
     * @param  string  $digest  of all that it is made from
     * @param  VariantInput|null  $input  null where the edition that is out has the very same page
     * @param  string|null  $note  under it
     * @param  string|null  $newer  name of the page before it
     * @param  string|null  $older  name of the page behind it
     */
    public function __construct(
        public string $name,
        public string $digest,
        public ?VariantInput $input,
        public ?string $note,
        public ?string $newer,
        public ?string $older,
    ) {
    }
}
