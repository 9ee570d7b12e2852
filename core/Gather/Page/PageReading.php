<?php

declare(strict_types=1);

namespace Gnomic\Gather\Page;

use Gnomic\Gather\Feed\FeedLink;
use Gnomic\Gather\Reading;

/** What a page gave: its entries, what it is about, and the feeds that its head names. */
final readonly class PageReading
{
    /**
     * @param  list<Described>  $described
     * @param  list<FeedLink>  $feeds
     */
    public function __construct(public Reading $reading, public array $described, public array $feeds)
    {
    }
}
