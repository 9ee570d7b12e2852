<?php

declare(strict_types=1);

namespace App\Sources\Channels\Page;

use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use App\Fetching\HttpResponse;
use App\Fetching\Reading\ConfinedReading;
use App\Models\Source;
use App\Sources\Channels\CacheValidators;
use App\Sources\Channels\Channel;
use App\Sources\Channels\Gathered;
use App\Sources\Channels\PublicAddress;
use Carbon\CarbonImmutable;
use Closure;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Gather\Matching\Coverage;
use Gnomic\Gather\Page\Described;
use Gnomic\Gather\Page\PageReading;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Reading;
use Gnomic\Tend\RetryAfter;

/** Pages that mark up reviews of something: a marketplace's product pages, or anybody's. */
final readonly class PageChannel implements Channel
{
    private const ACCEPT = ['Accept' => 'text/html, application/xhtml+xml;q=0.9, */*;q=0.5'];

    /** @param  array<string, string>  $marketplaces names by the address of those that are known to mark up their reviews */
    public function __construct(private Fetcher $fetcher, private ConfinedReading $reading, private array $marketplaces)
    {
    }

    public function name(): string
    {
        return 'Marked-up page';
    }

    public function brings(): string
    {
        return 'reviews marked up in the page, and the overall figures it gives';
    }

    public function kind(): Kind
    {
        return Kind::Review;
    }

    public function saidAt(Source $source): string
    {
        foreach ($this->marketplaces as $address => $name) {
            if (str_starts_with($source->address, $address)) {
                return $name;
            }
        }

        return (string) parse_url($source->address, PHP_URL_HOST);
    }

    public function pageOf(Source $source): string
    {
        return $source->address;
    }

    public function takesReviews(): bool
    {
        return true;
    }

    public function recognised(string $address): ?string
    {
        foreach (array_keys($this->marketplaces) as $base) {
            if (PublicAddress::identifier($base, '/((?:items|stalls)/[\w-]+)', $address) !== null) {
                return $address;
            }
        }

        return null;
    }

    public function isAsked(): bool
    {
        return true;
    }

    /**
     * What is marked up at an address.
     *
     * @return array{address: string, page: PageReading}
     *
     * @throws FetchFailed
     */
    public function look(string $address): array
    {
        $answer = $this->fetcher->get($address, self::ACCEPT);

        return ['address' => $answer->address, 'page' => $this->read($answer)];
    }

    /** A page that the fetcher has brought already. */
    public function read(HttpResponse $answer): PageReading
    {
        if (! $answer->isOk()) {
            throw FetchFailed::status(
                $answer->status,
                (string) parse_url($answer->address, PHP_URL_HOST),
                RetryAfter::seconds($answer->header('Retry-After'), CarbonImmutable::now()),
            );
        }

        return $this->reading->page($answer);
    }

    public function gather(Source $source, CacheValidators $since, Closure $progress): Gathered
    {
        $answer = $this->fetcher->get($source->address, self::ACCEPT + $since->headers());
        if ($answer->status === 304) {
            return new Gathered(null, Coverage::Whole, $since);
        }
        $page = $this->read($answer);
        $of = $source->settings['of'] ?? null;
        $entries = array_values(array_filter(
            $page->reading->entries,
            fn (Entry $entry): bool => ! is_string($of) || $entry->subject === $of,
        ));
        $described = array_values(array_filter(
            $page->described,
            fn (Described $one): bool => $one->name === $of || (! is_string($of) && $one->figures !== null),
        ))[0] ?? null;
        if ($entries === [] && $described?->figures === null) {
            // Pages lose their markup in a redesign: that is no word about the reviews.
            throw PayloadIsUnreadable::without(
                'reviews marked up any more',
                'What was collected stays. Check whether the address is still correct.',
            );
        }
        $progress(count($entries));

        // A page shows a choice or the newest of them, never surely all.
        return new Gathered(
            new Reading('Page', $entries, $page->reading->problems, $page->reading->title, $source->address),
            Coverage::Newest,
            CacheValidators::from($answer),
            $described?->figures,
            identity: ['address' => $answer->address],
        );
    }
}
