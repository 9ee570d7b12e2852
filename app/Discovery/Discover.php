<?php

declare(strict_types=1);

namespace App\Discovery;

use App\Channels\Channels;
use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use App\Fetching\HttpResponse;
use App\Models\Site;
use Gnomic\Entry\Html;
use Gnomic\Gather\Page\Described;
use Gnomic\Gather\Page\PageReader;
use Gnomic\Gather\Page\Robots;
use Gnomic\Gather\Page\Sitemap;
use Gnomic\Text\Address;

/**
 * Reads an owner's own website: its sitemap and front pages, for what it says of itself (schema.org with sameAs), links
 * to known channels, feeds, and reviews marked up in pages. Proposes; connects nothing.
 */
final readonly class Discover
{
    private const MOST_PAGES = 12;

    private const LONGEST_SECONDS = 30;

    private const AGENT = 'Gnomic';

    /** What runs a site or sells is a subject; what only builds a page is none. */
    private const SUBJECTS = '/^(?:Organization|LocalBusiness|Place|Product|Service|Event|Course|Person|Museum|TouristAttraction'
        .'|.*(?:Business|Store|Attraction|Venue|Organization|Restaurant|Hotel))$/';

    public function __construct(private Fetcher $fetcher, private Channels $channels)
    {
    }

    /** @throws FetchFailed where not even the front page can be read */
    public function at(Site $site, string $address): Proposal
    {
        $front = $this->fetcher->get($address);
        if (! $front->isOk()) {
            throw FetchFailed::status($front->status, (string) parse_url($address, PHP_URL_HOST));
        }
        $deadline = microtime(true) + self::LONGEST_SECONDS;
        $robots = $this->robots($front->address);
        $found = new Findings($this->channels);
        $found->page(
            $front->address,
            PageReader::read($front->body, $front->header('Content-Type'), $front->address),
            self::links($front),
        );
        $read = [$front->address];
        foreach ($this->pages($front, $robots) as $page) {
            if (count($read) >= self::MOST_PAGES || microtime(true) > $deadline) {
                break;
            }
            if (
                in_array(rtrim($page, '/'), array_map(fn (string $one): string => rtrim($one, '/'), $read), true)
                || ! $robots->allows((string) parse_url($page, PHP_URL_PATH) ?: '/')
            ) {
                continue;
            }
            $read[] = $page;
            try {
                $answer = $this->fetcher->get($page);
                if ($answer->isOk()) {
                    $found->page(
                        $answer->address,
                        PageReader::read($answer->body, $answer->header('Content-Type'), $answer->address),
                        self::links($answer),
                    );
                } else {
                    $found->problems[] = "$page answered with status $answer->status.";
                }
            } catch (FetchFailed $failed) {
                $found->problems[] = $failed->getMessage();
            }
        }

        return $found->proposal($site, $read);
    }

    public static function isSubject(Described $described): bool
    {
        return preg_match(self::SUBJECTS, $described->type) === 1;
    }

    private function robots(string $front): Robots
    {
        try {
            $answer = $this->fetcher->get(Address::resolved('/robots.txt', $front));

            return Robots::read($answer->isOk() ? $answer->body : '', self::AGENT);
        } catch (FetchFailed) {
            return Robots::read('', self::AGENT);
        }
    }

    /** @return list<string> of the same origin: those of the sitemap, else those that the front page links to */
    private function pages(HttpResponse $front, Robots $robots): array
    {
        $pages = [];
        foreach (array_slice(
            $robots->sitemaps === [] ? [Address::resolved('/sitemap.xml', $front->address)] : $robots->sitemaps,
            0,
            3,
        ) as $address) {
            try {
                $answer = $this->fetcher->get(Address::resolved($address, $front->address));
                $sitemap = Sitemap::read($answer->isOk() ? $answer->body : '', 200);
                array_push($pages, ...$sitemap->pages);
                foreach (array_slice($sitemap->sitemaps, 0, 3) as $further) {
                    $answer = $this->fetcher->get($further);
                    array_push($pages, ...Sitemap::read($answer->isOk() ? $answer->body : '', 200)->pages);
                }
            } catch (FetchFailed) {
                continue; // a sitemap is a help, not a condition
            }
        }
        $origin = self::originOf($front->address);
        $own = fn (array $pages): array => array_values(
            array_unique(array_filter($pages, fn (string $page): bool => self::originOf($page) === $origin)),
        );
        $pages = $own($pages);
        $pages = $pages === [] ? $own(self::links($front)) : $pages;
        // Front pages first: what a site says of itself stands near its root.
        usort($pages, fn (string $one, string $other): int => substr_count($one, '/') <=> substr_count($other, '/'));

        return $pages;
    }

    private static function originOf(string $address): string
    {
        return preg_match('~^https?://[^/?#]+~i', $address, $found) === 1 ? strtolower($found[0]) : '';
    }

    /** @return list<string> */
    private static function links(HttpResponse $answer): array
    {
        $links = [];
        foreach (Html::elements(Html::document(mb_substr($answer->body, 0, 1_000_000)), 'a') as $link) {
            $url = Address::webOrNull($link->getAttribute('href'), $answer->address);
            if ($url !== null) {
                $links[] = (string) preg_replace('/#.*$/', '', $url);
            }
        }

        return array_slice(array_values(array_unique($links)), 0, 300);
    }
}
