<?php

declare(strict_types=1);

namespace Gnomic\Gather\Feed;

/** A feed that a page names in its head. */
final readonly class FeedLink
{
    public function __construct(public string $address, public ?string $title)
    {
    }
}
