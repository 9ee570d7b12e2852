<?php

declare(strict_types=1);

namespace Gnomic\Entry;

use Gnomic\Text\Address;

/** Who said it, as the source tells it. Every member may be unknown. */
final readonly class Author
{
    public ?string $url;

    public ?string $image;

    /**
     * @param  string|null  $url  a page about them; addresses that are none of the web's are left out
     * @param  string|null  $image  likewise
     */
    public function __construct(
        public ?string $name = null,
        public ?string $role = null,
        public ?string $place = null,
        ?string $url = null,
        ?string $image = null,
    ) {
        $this->url = Address::webOrNull($url, null);
        $this->image = Address::webOrNull($image, null);
    }
}
