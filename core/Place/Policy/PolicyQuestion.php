<?php

declare(strict_types=1);

namespace Gnomic\Place\Policy;

/** Something that a page is to load or to have in it. */
final readonly class PolicyQuestion
{
    /**
     * @param  string|null  $address  null for what stands in the page itself
     * @param  string  $nonce  on the element
     * @param  string  $integrity  on the element, as Subresource Integrity writes it
     * @param  bool  $isParsed  whether it stands in the markup, and no script has put it in
     */
    public function __construct(
        public Need $need,
        public ?string $address,
        public string $nonce = '',
        public string $integrity = '',
        public bool $isParsed = true,
    ) {
    }
}
