<?php

declare(strict_types=1);

namespace Tests\core\Gather;

use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Gather\Feed\FeedLink;
use Gnomic\Gather\Page\Described;
use Gnomic\Gather\Page\Figures;
use Gnomic\Gather\Page\PageReading;
use Gnomic\Gather\Page\SiteFindings;
use Gnomic\Gather\Reading;
use PHPUnit\Framework\TestCase;

/** What the pages of a website tell of where people speak of it. Types are those of schema.org. */
final class SiteFindingsTest extends TestCase
{
    private const SITE = 'https://quillmoor.example';

    private static function findings(): SiteFindings
    {
        return new SiteFindings(fn (string $address): ?array => str_starts_with($address, 'https://wayleaf.example/')
            ? ['channel' => 'wayleaf', 'address' => substr($address, 24), 'name' => 'Wayleaf']
            : null);
    }

    /**
     * @param  list<Described>  $described
     * @param  list<FeedLink>  $feeds
     * @param  list<string>  $links
     */
    private static function page(array $described = [], array $feeds = [], array $links = []): PageReading
    {
        return new PageReading(new Reading('page', []), $described, $feeds, $links);
    }

    public function test_subjects_are_what_runs_a_site_or_sells_and_each_is_told_once(): void
    {
        $found = self::findings();
        $found->add(self::SITE.'/', self::page([new Described('The Dome', 'TouristAttraction', null, null, null, 0), new Described('Q', 'WebSite', null, null, null, 0)]));
        $found->add(self::SITE.'/visit', self::page([new Described('The Dome', 'Place', null, null, null, 0), new Described('Tea', 'CafeOrRestaurant', null, null, null, 0)]));
        self::assertSame([
            ['name' => 'The Dome', 'kind' => 'TouristAttraction', 'why' => 'described on /'],
            ['name' => 'Tea', 'kind' => 'CafeOrRestaurant', 'why' => 'described on /visit'],
        ], $found->subjects());
        self::assertSame([], $found->sources(), 'nothing is marked up in them');
    }

    public function test_pages_that_mark_up_reviews_are_sources_of_their_subject(): void
    {
        foreach ([[0, 'its overall figures'], [1, 'one review of it'], [7, '7 reviews of it']] as [$reviews, $what]) {
            $found = self::findings();
            $figures = new Figures(Rating::on(Scale::ofStars(), 4.5), 12);
            $found->add(self::SITE.'/shop', self::page([new Described('Moon Atlas', 'Product', null, null, $figures, $reviews)]));
            self::assertSame([['channel' => 'page', 'address' => self::SITE.'/shop', 'name' => 'Moon Atlas', 'subject' => 'Moon Atlas',
                'why' => "/shop marks up $what"]], $found->sources());
        }
    }

    public function test_a_link_says_less_than_who_says_that_it_is_the_same_in_either_order(): void
    {
        $bare = self::page(links: ['https://wayleaf.example/dome', 'https://elsewhere.example/']);
        $same = self::page([new Described('The Dome', 'Place', null, null, null, 0, ['https://wayleaf.example/dome'])]);
        foreach ([[$bare, $same], [$same, $bare]] as $pages) {
            $found = self::findings();
            foreach ($pages as $page) {
                $found->add(self::SITE, $page);
            }
            self::assertSame([['channel' => 'wayleaf', 'address' => 'dome', 'name' => 'The Dome', 'subject' => 'The Dome',
                'why' => 'linked from / as the same']], $found->sources());
        }
        $found = self::findings();
        $found->add(self::SITE.'/visit', $bare);
        self::assertSame(['Wayleaf', null, '/visit links to it'], [$found->sources()[0]['name'], $found->sources()[0]['subject'], $found->sources()[0]['why']]);
    }

    public function test_one_feed_in_several_forms_is_one(): void
    {
        $found = self::findings();
        $found->add(self::SITE.'/news', self::page(feeds: [
            new FeedLink(self::SITE.'/news.atom', 'News'), new FeedLink(self::SITE.'/news.rss', 'News (RSS)'), new FeedLink(self::SITE.'/log/feed/', null),
        ]));
        self::assertSame([['News', self::SITE.'/news.atom'], ['Feed', self::SITE.'/log/feed/']],
            array_map(fn (array $source): array => [$source['name'], $source['address']], $found->sources()));
    }
}
