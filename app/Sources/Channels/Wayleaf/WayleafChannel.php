<?php

declare(strict_types=1);

namespace App\Sources\Channels\Wayleaf;

use App\Fetching\FetchFailed;
use App\Models\Site;
use App\Models\Source;
use App\Sources\Channels\CacheValidators;
use App\Sources\Channels\Channel;
use App\Sources\Channels\Gathered;
use Closure;
use Gnomic\Entry\Kind;
use Gnomic\Gather\Matching\Coverage;
use Gnomic\Gather\Reading;
use Gnomic\Gather\Records\WayleafReviews;

/** The Wayleaf directory: places are looked up by name, and their reviews come in pages, newest first. */
final readonly class WayleafChannel implements Channel
{
    /** Pages asked for in one round. Far more than any place here has; what is beyond is told. */
    private const MOST_PAGES = 200;

    public function __construct(private WayleafClient $client)
    {
    }

    public function name(): string
    {
        return 'Wayleaf';
    }

    public function brings(): string
    {
        return 'reviews, with your replies';
    }

    public function pageOf(Source $source): string
    {
        return $this->client->pageOf($source->address);
    }

    public function takesReviews(): bool
    {
        return true;
    }

    public function recognised(string $address): ?string
    {
        return $this->client->identifierIn($address);
    }

    public function isAsked(): bool
    {
        return true;
    }

    public function kind(): Kind
    {
        return Kind::Review;
    }

    public function saidAt(Source $source): string
    {
        return $this->name();
    }

    /**
     * Places of that name, in whatever town.
     *
     * @return list<Place>
     *
     * @throws FetchFailed also where the key is missing or refused
     */
    public function places(Site $site, string $query): array
    {
        $found = json_decode($this->client->get($site, '/v1/places', ['query' => $query])->body, true);

        return array_values(
            array_filter(array_map(
                Place::fromRecord(...),
                is_array($found) && is_array($found['places'] ?? null) ? array_values($found['places']) : [],
            )),
        );
    }

    /**
     * One place, by its identifier.
     *
     * @throws FetchFailed where there is none
     */
    public function place(Site $site, string $id): Place
    {
        $record = json_decode($this->client->get($site, '/v1/places/'.rawurlencode($id).'/reviews', [])->body, true);

        return Place::fromRecord(is_array($record) ? ($record['place'] ?? null) : null) ?? throw FetchFailed::status(404, $this->name());
    }

    public function gather(Source $source, CacheValidators $since, Closure $progress): Gathered
    {
        $path = '/v1/places/'.rawurlencode($source->address).'/reviews';
        $first = $answer = $this->client->get($source->site, $path, [], $since->headers());
        if ($answer->status === 304) {
            return new Gathered(null, Coverage::Whole, $since, quota: WayleafClient::quotaOf($answer));
        }
        $page = WayleafReviews::read($answer->body);
        [$entries, $problems] = [$page->reading->entries, $page->reading->problems];
        $progress(count($entries));
        for ($pages = 1; $page->next !== null && $pages < self::MOST_PAGES; $pages++) {
            $answer = $this->client->get($source->site, $path, ['cursor' => $page->next]);
            $page = WayleafReviews::read($answer->body, count($entries));
            array_push($entries, ...$page->reading->entries);
            array_push($problems, ...$page->reading->problems);
            $progress(count($entries));
        }
        $whole = $page->next === null;

        return new Gathered(
            new Reading($page->reading->format, $entries, $problems, $page->reading->title, $page->reading->home),
            $whole ? Coverage::Whole : Coverage::Newest,
            CacheValidators::from($first),
            quota: WayleafClient::quotaOf($answer),
        );
    }
}
