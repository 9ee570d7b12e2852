<?php

declare(strict_types=1);

namespace App\Sources\Channels;

use App\Fetching\FetchFailed;
use App\Fetching\Reading\ConfinedReading;
use App\Sources\Channels\Feed\FeedChannel;
use Gnomic\Gather\Feed\FeedLink;
use Gnomic\Gather\Page\PageReading;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Reading;

/** What is at an address that an owner pastes: another channel's place, a feed, a page with reviews, a page that names feeds. */
final readonly class AtAddress
{
    /** Seconds that somebody in front of a screen waits for a page to be read. */
    private const SECONDS = 5.0;

    public function __construct(private FeedChannel $feeds, private ConfinedReading $reading, private Channels $channels)
    {
    }

    /**
     * @return array{other: array{channel: string, address: string}|null, address: string, feed: Reading|null, page: PageReading|null,
     *     links: list<FeedLink>}
     *
     * @throws FetchFailed|PayloadIsUnreadable
     */
    public function look(string $address): array
    {
        $recognised = $this->channels->recognised($address);
        if ($recognised !== null && $recognised['channel'] !== 'page') {
            return ['other' => $recognised, 'address' => $address, 'feed' => null, 'page' => null, 'links' => []];
        }
        $feeds = $this->feeds->inSight();
        $answer = $feeds->fetched($address);
        try {
            return ['other' => null, 'address' => $answer->address, 'feed' => $feeds->read($answer), 'page' => null, 'links' => []];
        } catch (PayloadIsUnreadable $notAFeed) {
            $page = $this->reading->within(self::SECONDS)->page($answer);
            if ($page->reading->entries === [] && $page->feeds === []) {
                throw $notAFeed->isPage
                    ? PayloadIsUnreadable::without(
                        'reviews marked up, and it names no feed',
                        'Use the address of the page that lists the reviews, or upload them as a spreadsheet.',
                    )
                    : $notAFeed;
            }

            return [
                'other' => null,
                'address' => $answer->address,
                'feed' => null,
                'page' => $page->reading->entries === [] ? null : $page,
                'links' => $page->feeds,
            ];
        }
    }
}
