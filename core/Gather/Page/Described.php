<?php

declare(strict_types=1);

namespace Gnomic\Gather\Page;

/** What a page is about: a product, a place, an event, an organisation, with the figures that come along. */
final readonly class Described
{
    /**
     * @param  string  $type  as schema.org names it: "Product"
     * @param  int  $reviews  how many are marked up in the page
     * @param  list<string>  $sameAs  addresses of the same thing elsewhere
     */
    public function __construct(
        public string $name,
        public string $type,
        public ?string $url,
        public ?string $image,
        public ?Figures $figures,
        public int $reviews,
        public array $sameAs = [],
        public ?string $town = null,
    ) {
    }
}
