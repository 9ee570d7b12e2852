<?php

declare(strict_types=1);

namespace Gnomic\Gather\Feed;

use Gnomic\Entry\Html;
use Gnomic\Text\Address;
use Gnomic\Text\Pieces;
use Gnomic\Text\Words;

/** Feeds named by a page: `<link rel="alternate">` with a feed's media type (common practice; the HTML standard, §4.6.6.1). */
final class Discovery
{
    private const TYPES = [
        'application/rss+xml',
        'application/atom+xml',
        'application/feed+json',
        'application/json',
        'application/rdf+xml',
        'text/xml',
        'application/xml',
    ];

    /** @return list<FeedLink> each address once, in the order of the page */
    public static function feedsIn(string $html, ?string $address): array
    {
        $document = Html::document(mb_substr($html, 0, 500_000));
        $base = Html::elements($document, 'base')[0] ?? null;
        $base = Address::resolved((string) $base?->getAttribute('href'), $address);
        $found = [];
        foreach (Html::elements($document, 'link') as $link) {
            $rel = Pieces::of(strtolower($link->getAttribute('rel')));
            $type = strtolower(trim(Pieces::before($link->getAttribute('type'), ';')));
            $url = Address::webOrNull($link->getAttribute('href'), $base === '' ? $address : $base);
            if (in_array('alternate', $rel, true) && in_array($type, self::TYPES, true) && $url !== null) {
                $found[$url] ??= new FeedLink($url, Words::line($link->getAttribute('title')));
            }
        }

        return array_values($found);
    }
}
