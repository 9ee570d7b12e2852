<?php

declare(strict_types=1);

namespace App\Placing\Pages;

use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use App\Fetching\Reading\ConfinedReading;
use App\Models\Page;
use App\Models\Site;
use Gnomic\Gather\Page\Robots;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Place\Check\FetchedPage;
use Gnomic\Place\Check\PageTags;
use Gnomic\Text\Address;
use Gnomic\Text\Words;
use Illuminate\Support\Facades\DB;

/** Finds the pages of a site: by its sitemaps (sitemaps.org), and where it has none, by following its links. */
final class FindPages
{
    /** Pages of a site that are kept. */
    public const MOST = 50_000;

    private const MOST_SITEMAPS = 60;

    /** Pages that are opened for their links, where there is no sitemap. */
    private const MOST_OPENED = 60;

    /** Pages that are opened for their titles. */
    private const MOST_TITLES = 40;

    private const SECONDS = 90;

    /** @var list<string> */
    private array $problems = [];

    private float $deadline = 0;

    public function __construct(
        private readonly Fetcher $fetcher,
        private readonly ConfinedReading $reading,
        private readonly SiteRobots $robots,
        private readonly string $host,
    ) {
    }

    /**
     * @param  callable(int): void  $progress  told how many were found so far
     * @return array{found: int, added: int, sitemaps: int, problems: list<string>}
     *
     * @throws FetchFailed where nothing at all can be had of the site
     */
    public function of(Site $site, callable $progress): array
    {
        $this->problems = [];
        $this->deadline = microtime(true) + self::SECONDS;
        $front = $this->fetcher->within(15)->get($site->front(), ['Accept' => 'text/html']);
        if (! $front->isOk()) {
            throw FetchFailed::status($front->status, (string) parse_url($site->front(), PHP_URL_HOST));
        }
        $robots = $this->robots->at($front->address);
        $modified = [];
        [$pages, $sitemaps] = $this->bySitemaps($front->address, $robots, $modified, $progress);
        $by = 'sitemap';
        if ($pages === []) {
            $pages = $this->byLinks($front->address, $robots, $progress);
            $by = 'link';
        }
        $pages = [$front->address => true] + $pages;
        $added = $this->keep($site, array_keys($pages), $modified, $by);
        $this->titles($site, $robots);

        return [
            'found' => count($pages),
            'added' => $added,
            'sitemaps' => $sitemaps,
            'problems' => array_slice(array_unique($this->problems), 0, 20),
        ];
    }

    /** One page by hand. @return Page the one that was there, where it was */
    public function add(Site $site, string $address): Page
    {
        return Page::at($site->id, $address) ?? Page::query()->create(Page::columns($site->id, $address) + ['found_by' => 'hand']);
    }

    /**
     * @param  array<string, string>  $modified
     * @param  callable(int): void  $progress
     * @return array{array<string, true>, int} pages, and how many sitemaps were read
     */
    private function bySitemaps(string $front, Robots $robots, array &$modified, callable $progress): array
    {
        $waiting = $robots->sitemaps === [] ? [Address::resolved('/sitemap.xml', $front)]
            : array_map(fn (string $one): string => Address::resolved($one, $front), $robots->sitemaps);
        $pages = $read = [];
        while ($waiting !== [] && count($read) < self::MOST_SITEMAPS && microtime(true) < $this->deadline && count($pages) < self::MOST) {
            $address = array_shift($waiting);
            // One that leads to itself, by whatever way, is read once.
            if (isset($read[$address])) {
                continue;
            }
            $read[$address] = true;
            try {
                $answer = $this->fetcher->get($address, ['Accept' => 'application/xml,text/xml,text/plain']);
                if (! $answer->isOk()) {
                    $this->problems[] = "The sitemap $address answered with status $answer->status.";

                    continue;
                }
                $sitemap = $this->reading->sitemap($answer);
            } catch (FetchFailed|PayloadIsUnreadable $failed) {
                $this->problems[] = "The sitemap $address: {$failed->getMessage()}";

                continue;
            }
            $strange = 0;
            foreach ($sitemap->pages as $page) {
                if (Address::origin($page) !== Address::origin($front)) {
                    $strange++;
                } elseif (count($pages) < self::MOST) {
                    $pages[$page] = true;
                } else {
                    $this->problems[] = 'There are more than '.number_format(self::MOST).' pages; the rest is left out.';
                    break;
                }
            }
            if ($strange > 0) {
                $this->problems[] = "$strange addresses of $address are of another host than the site, and left out.";
            }
            if ($sitemap->left > 0) {
                $this->problems[] = "$address has more addresses than the protocol allows; $sitemap->left are left out.";
            }
            $modified += $sitemap->modified;
            $waiting = [...$waiting, ...$sitemap->sitemaps];
            $progress(count($pages));
        }
        if ($waiting !== []) {
            $this->problems[] = 'Some sitemaps were not read: there are too many, or they took too long.';
        }

        return [$pages, count($read)];
    }

    /**
     * @param  callable(int): void  $progress
     * @return array<string, true>
     */
    private function byLinks(string $front, Robots $robots, callable $progress): array
    {
        $pages = [$front => true];
        $waiting = [$front];
        for ($opened = 0; $waiting !== [] && $opened < self::MOST_OPENED && microtime(true) < $this->deadline; $opened++) {
            $address = array_shift($waiting);
            if (! SiteRobots::lets($robots, $address)) {
                continue;
            }
            try {
                $answer = $this->fetcher->within(10)->get($address, ['Accept' => 'text/html']);
                $links = $answer->isOk() && self::isHtml($answer->header('Content-Type')) ? $this->reading->page($answer)->links : [];
            } catch (FetchFailed|PayloadIsUnreadable $failed) {
                $this->problems[] = $failed->getMessage();

                continue;
            }
            foreach ($links as $link) {
                $link = (string) preg_replace('/#.*$/', '', $link);
                $isPage = preg_match(
                    '~\.(?:jpe?g|png|gif|webp|svg|pdf|zip|mp[34]|css|js|xml|ico|woff2?)$~i',
                    (string) parse_url($link, PHP_URL_PATH),
                ) !== 1;
                $isOwn = Address::origin($link) === Address::origin($front);
                if ($isPage && $isOwn && ! isset($pages[$link]) && count($pages) < self::MOST) {
                    $pages[$link] = true;
                    $waiting[] = $link;
                }
            }
            $progress(count($pages));
        }

        return $pages;
    }

    /**
     * @param  list<string>  $addresses
     * @param  array<string, string>  $modified
     * @return int those that are new
     */
    private function keep(Site $site, array $addresses, array $modified, string $by): int
    {
        $before = $site->pages()->count();
        foreach (array_chunk($addresses, 500) as $chunk) {
            $now = now()->toDateTimeString();
            $rows = array_map(fn (string $address): array => Page::columns($site->id, $address)
                + ['modified' => $modified[$address] ?? null, 'found_by' => $by, 'created_at' => $now, 'updated_at' => $now], $chunk);
            DB::table('pages')->upsert($rows, ['site_id', 'digest'], ['modified', 'updated_at']);
        }

        return $site->pages()->count() - $before;
    }

    /** Titles and languages of pages that have none yet; the nearest to the root first. */
    private function titles(Site $site, Robots $robots): void
    {
        $query = $site->pages();
        $query->whereNull('title')->whereNull('seen_at')->orderByRaw(
            "length(path) - length(replace(path, '/', ''))",
        )->orderBy('path')->limit(self::MOST_TITLES);
        foreach ($query->get() as $page) {
            if (microtime(true) > $this->deadline) {
                return;
            }
            if (! SiteRobots::lets($robots, $page->address)) {
                $page->update(['failure' => 'The site’s robots.txt asks programs not to read it.']);

                continue;
            }
            try {
                $answer = $this->fetcher->within(8)->get($page->address, ['Accept' => 'text/html']);
                if ($answer->isOk() && self::isHtml($answer->header('Content-Type')) && strlen($answer->body) < 2_000_000) {
                    $tags = PageTags::of(new FetchedPage($answer->body, $answer->address), $this->host);
                    $page->update([
                        'title' => mb_strcut((string) $tags->title, 0, 290),
                        'language' => Words::filled(mb_strcut((string) $tags->language, 0, 35)),
                        'seen_at' => now(),
                        'failure' => null,
                    ]);
                }
            } catch (FetchFailed $failed) {
                $page->update(['failure' => $failed->getMessage()]);
            }
        }
    }

    private static function isHtml(?string $type): bool
    {
        return $type === null || preg_match('~^\s*(?:text/html|application/xhtml\+xml)~i', $type) === 1;
    }
}
