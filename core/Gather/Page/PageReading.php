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
     * @param  list<string>  $links  addresses that it leads to, each once, without what stands behind a hash
     */
    public function __construct(public Reading $reading, public array $described, public array $feeds, public array $links = [])
    {
    }
}
