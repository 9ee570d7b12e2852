<?php

declare(strict_types=1);

namespace App\Sources\Channels\Feed;

use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use App\Fetching\HttpResponse;
use App\Fetching\Reading\ConfinedReading;
use App\Models\Source;
use App\Sources\Channels\CacheValidators;
use App\Sources\Channels\Channel;
use App\Sources\Channels\Gathered;
use Carbon\CarbonImmutable;
use Closure;
use Gnomic\Entry\Kind;
use Gnomic\Gather\Matching\Coverage;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Reading;
use Gnomic\Tend\RetryAfter;

/** RSS, Atom and JSON feeds. */
final readonly class FeedChannel implements Channel
{
    /** Seconds that somebody in front of a screen waits for the answer, and for its being read. */
    private const IN_SIGHT = 8;

    private const READ_IN_SIGHT = 5.0;

    private const ACCEPT = [
        'Accept' => 'application/rss+xml, application/atom+xml, application/feed+json, application/xml;q=0.9, */*;q=0.5',
    ];

    public function __construct(private Fetcher $fetcher, private ConfinedReading $reading)
    {
    }

    public function name(): string
    {
        return 'Feed';
    }

    public function brings(): string
    {
        return 'posts';
    }

    public function pageOf(Source $source): ?string
    {
        return $source->home;
    }

    public function takesReviews(): bool
    {
        return false;
    }

    public function recognised(string $address): ?string
    {
        return null; // any address may be a feed's
    }

    public function isAsked(): bool
    {
        return true;
    }

    public function kind(): Kind
    {
        return Kind::Post;
    }

    public function saidAt(Source $source): string
    {
        return $source->name;
    }

    public function gather(Source $source, CacheValidators $since, Closure $progress): Gathered
    {
        $answer = $this->fetcher->get($source->address, self::ACCEPT + $since->headers());
        if ($answer->status === 304) {
            return new Gathered(null, Coverage::Newest, $since);
        }

        $reading = $this->read($answer);
        $progress(count($reading->entries));

        return new Gathered($reading, Coverage::Newest, CacheValidators::from($answer), identity: [
            'address' => $answer->address,
            'title' => $reading->title,
            'home' => $reading->home,
        ]);
    }

    /** The same for those who wait in front of a screen. */
    public function inSight(): self
    {
        return new self($this->fetcher->within(self::IN_SIGHT), $this->reading->within(self::READ_IN_SIGHT));
    }

    /** @throws FetchFailed */
    public function fetched(string $address): HttpResponse
    {
        return $this->fetcher->get($address, self::ACCEPT);
    }

    /** An error is an error whatever type it says it has. @throws FetchFailed|PayloadIsUnreadable */
    public function read(HttpResponse $answer): Reading
    {
        if (! $answer->isOk()) {
            $host = (string) parse_url($answer->address, PHP_URL_HOST);
            throw FetchFailed::status($answer->status, $host, RetryAfter::seconds($answer->header('Retry-After'), CarbonImmutable::now()));
        }

        return $this->reading->feed($answer);
    }
}
