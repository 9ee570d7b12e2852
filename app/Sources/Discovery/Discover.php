<?php

declare(strict_types=1);

namespace App\Sources\Discovery;

use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use App\Fetching\HttpResponse;
use App\Fetching\Reading\ConfinedReading;
use App\Models\Site;
use App\Placing\Pages\SiteRobots;
use App\Sources\Channels\Channels;
use Gnomic\Gather\Page\Robots;
use Gnomic\Gather\Page\SiteFindings;
use Gnomic\Gather\Page\Sitemap;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Text\Address;

/**
 * Reads an owner's own website: its sitemap and front pages, for what it says of itself (schema.org with sameAs), links
 * to known channels, feeds, and reviews marked up in pages. Proposes; connects nothing.
 */
final readonly class Discover
{
    private const MOST_PAGES = 12;

    private const LONGEST_SECONDS = 30;

    /** What has to be done besides ticking, by channel. */
    private const NEEDS = [
        'ticketwick' => 'your permission at Ticketwick',
        'shutterfen' => 'your permission at Shutterfen',
        'corkwall' => 'your token from Corkwall',
    ];

    public function __construct(
        private Fetcher $fetcher,
        private ConfinedReading $reading,
        private Channels $channels,
        private SiteRobots $robots,
    ) {
    }

    /** @throws FetchFailed where not even the front page can be read */
    public function at(Site $site, string $address): ProposedSource
    {
        $front = $this->fetcher->get($address);
        if (! $front->isOk()) {
            throw FetchFailed::status($front->status, (string) parse_url($address, PHP_URL_HOST));
        }
        $deadline = microtime(true) + self::LONGEST_SECONDS;
        $robots = $this->robots->at($front->address);
        $found = new SiteFindings($this->recognised(...));
        $page = $this->reading->page($front);
        $found->add($front->address, $page);
        $read = [$front->address];
        $problems = [];
        foreach ($this->pages($front, $page->links, $robots, $deadline) as $page) {
            if (count($read) >= self::MOST_PAGES || microtime(true) > $deadline) {
                break;
            }
            if (
                in_array(rtrim($page, '/'), array_map(fn (string $one): string => rtrim($one, '/'), $read), true)
                || ! SiteRobots::lets($robots, $page)
            ) {
                continue;
            }
            $read[] = $page;
            try {
                $answer = $this->fetcher->get($page);
                if ($answer->isOk()) {
                    $found->add($answer->address, $this->reading->page($answer));
                } else {
                    $problems[] = "$page answered with status $answer->status.";
                }
            } catch (FetchFailed|PayloadIsUnreadable $failed) {
                $problems[] = $failed->getMessage();
            }
        }

        return new ProposedSource($found->subjects(), $this->connectable($site, $found->sources()), $read, array_slice($problems, 0, 10));
    }

    /** @return array{channel: string, address: string, name: string}|null */
    private function recognised(string $address): ?array
    {
        $known = $this->channels->recognised($address);

        return $known === null ? null : $known + ['name' => $this->channels->of($known['channel'])->name()];
    }

    /**
     * @param  list<array{channel: string, address: string, name: string, subject: string|null, why: string}>  $sources
     * @return list<array{channel: string, channelName: string, address: string, name: string, subject: string|null, why: string,
     *     needs: string|null, connected: bool}>
     */
    private function connectable(Site $site, array $sources): array
    {
        $connected = [];
        foreach ($site->sources()->whereNull('disconnected_at')->get() as $source) {
            $connected["$source->channel $source->address"] = true;
        }

        return array_map(fn (array $source): array => $source + [
            'channelName' => $this->channels->of($source['channel'])->name(),
            'needs' => self::NEEDS[$source['channel']] ?? null,
            'connected' => isset($connected["$source[channel] $source[address]"]),
        ], $sources);
    }

    /**
     * @param  list<string>  $links  of the front page
     * @return list<string> of the same origin: those of the sitemap, else those that the front page links to
     */
    private function pages(HttpResponse $front, array $links, Robots $robots, float $deadline): array
    {
        $pages = [];
        foreach (array_slice(
            $robots->sitemaps === [] ? [Address::resolved('/sitemap.xml', $front->address)] : $robots->sitemaps,
            0,
            3,
        ) as $address) {
            try {
                $sitemap = $this->sitemap(Address::resolved($address, $front->address), $deadline);
                array_push($pages, ...$sitemap->pages ?? []);
                foreach (array_slice($sitemap->sitemaps ?? [], 0, 3) as $further) {
                    array_push($pages, ...$this->sitemap($further, $deadline)->pages ?? []);
                }
            } catch (FetchFailed|PayloadIsUnreadable) {
                continue; // a sitemap is a help, not a condition
            }
        }
        $origin = Address::origin($front->address);
        $isOwn = fn (string $page): bool => Address::origin($page) === $origin;
        $own = array_filter($pages, $isOwn);
        $pages = array_values(array_unique($own === [] ? array_filter($links, $isOwn) : $own));
        // Front pages first: what a site says of itself stands near its root.
        usort($pages, fn (string $one, string $other): int => substr_count($one, '/') <=> substr_count($other, '/'));

        return $pages;
    }

    /** @throws FetchFailed|PayloadIsUnreadable */
    private function sitemap(string $address, float $deadline): ?Sitemap
    {
        $response = microtime(true) < $deadline ? $this->fetcher->get($address) : null;

        return $response !== null && $response->isOk() ? $this->reading->sitemap($response) : null;
    }
}
