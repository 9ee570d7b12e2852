<?php

declare(strict_types=1);

namespace Tests\app;

use App\Fetching\FetchFailed;
use App\Models\Site;
use App\Sources\Channels\Channels;
use App\Sources\Channels\PublicAddress;
use App\Sources\Discovery\Discover;
use App\Sources\Discovery\ProposedSource;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Websites of every kind, read for where people speak of them; served by a server of their own. */
final class DiscoveryTest extends TestCase
{
    use Servers;

    private Site $mine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->mine = $this->site();
    }

    /** @param  array<string, string>  $pages  by path; "{o}" in them is the origin */
    private function found(array $pages, string $path = '/'): ProposedSource
    {
        $folder = getenv('GNOMIC_DATA').'/discovery';
        @mkdir((string) $folder, 0755, true);
        file_put_contents("$folder/pages.json", json_encode($pages));
        file_put_contents("$folder/server.php", '<?php $pages = json_decode(file_get_contents(__DIR__."/pages.json"), true); $path = parse_url($_SERVER["REQUEST_URI"], PHP_URL_PATH);
            if (!isset($pages[$path])) { http_response_code(404); echo "<p>None"; return; }
            header("Content-Type: ".(str_ends_with($path, ".xml") ? "application/xml" : (str_ends_with($path, ".txt") ? "text/plain" : "text/html"))); echo str_replace("{o}", "http://".$_SERVER["HTTP_HOST"], $pages[$path]);');
        $origin = $this->serve("$folder/server.php", []);

        return $this->app->make(Discover::class)->at($this->mine, $origin.$path);
    }

    private static function linked(string $json): string
    {
        return "<script type=\"application/ld+json\">$json</script>";
    }

    public function test_without_a_sitemap_the_front_pages_links_lead_on(): void
    {
        $found = $this->found([
            '/' => '<a href="/about">About</a><a href="https://elsewhere.example/">Away</a><a href="/missing">Gone</a>',
            '/about' => self::linked('{"@type":"LocalBusiness","name":"The Dome"}'),
        ]);
        self::assertSame(['The Dome'], array_column($found->subjects, 'name'));
        self::assertCount(3, $found->read, 'its own pages, and nobody else\'s');
        self::assertStringContainsString('/missing answered with status 404', $found->problems[0]);
    }

    public function test_a_sitemap_of_sitemaps_and_what_robots_ask(): void
    {
        $found = $this->found([
            '/' => '<title>Front</title>',
            '/robots.txt' => "User-agent: *\nDisallow: /secret\nSitemap: {o}/all.xml",
            '/all.xml' => '<sitemapindex '
                .'xmlns="http://www.sitemaps.org/schemas/sitemap/0.9"><sitemap><loc>{o}/pages.xml</loc></sitemap></sitemapindex>',
            '/pages.xml' => '<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9"><url><loc>{o}/shop</loc></url><url><loc>{o}/secret</loc></url><url><loc>https://elsewhere.example/x</loc></url></urlset>',
            '/shop' => self::linked(
                '{"@type":"Product","name":"Wheel","review":{"@type":"Review","reviewBody":"Turns well.","author":"Jo"}}',
            ),
            '/secret' => self::linked('{"@type":"Product","name":"Never read"}'),
        ]);
        self::assertSame([['Wheel', 'Product', 'described on /shop']], array_map(array_values(...), $found->subjects));
        self::assertSame(
            [['page', 'Wheel', '/shop marks up one review of it', null]],
            array_map(
                fn (array $source): array => [$source['channel'], $source['subject'], $source['why'], $source['needs']],
                $found->sources,
            ),
        );
    }

    public function test_one_feed_in_several_forms_is_one_and_what_is_connected_says_so(): void
    {
        $pages = [
            '/' => '<head><link rel="alternate" type="application/rss+xml" title="Posts" href="/feed.rss"><link rel="alternate" '
                .'type="application/atom+xml" href="/feed.atom"><link rel="alternate" type="application/feed+json" '
                .'href="/feed.json"></head>',
        ];
        $found = $this->found($pages);
        self::assertSame(
            [['feed', 'Posts', false]],
            array_map(fn (array $source): array => [$source['channel'], $source['name'], $source['connected']], $found->sources),
        );
        $this->source($this->mine, 'posts', 'feed', $found->sources[0]['address']);
        config(
            ['gnomic.private_hosts' => [
                ...config('gnomic.private_hosts'),
                parse_url($found->sources[0]['address'], PHP_URL_HOST).':'.parse_url($found->sources[0]['address'], PHP_URL_PORT),
            ]],
        );
        self::assertTrue($this->app->make(Discover::class)->at($this->mine, $found->read[0])->sources[0]['connected']);
    }

    public function test_who_says_what_it_is_of_knows_more_than_a_bare_link(): void
    {
        $address = config('gnomic.channels.wayleaf.address').'/places/wl-dome';
        $found = $this->found([
            '/' => "<a href=\"$address\">Find us</a><a href=\"/about\">About</a>",
            '/about' => self::linked(
                "{\"@type\":\"Museum\",\"name\":\"The Dome\",\"sameAs\":[\"$address\",\"https://unknown.example/us\"]}",
            ),
        ]);
        self::assertSame(
            [['wayleaf', 'wl-dome', 'The Dome']],
            array_map(fn (array $source): array => [$source['channel'], $source['address'], $source['subject']], $found->sources),
        );
    }

    public function test_frames_of_a_page_are_no_subjects(): void
    {
        $found = $this->found(
            [
                '/' => self::linked(
                    '{"@graph":[{"@type":"WebSite","name":"Site"},{"@type":"BreadcrumbList","name":"Crumbs"},{"@type":"WebPage",'
                        .'"name":"Page"},{"@type":"SportsActivityLocation","name":"Track"},{"@type":"Article","name":"News"},'
                        .'{"@type":"BookStore","name":"Books"}]}',
                ),
            ],
        );
        self::assertSame(['Books'], array_column($found->subjects, 'name'));
    }

    public function test_a_site_that_tells_nothing_and_one_that_is_not_there(): void
    {
        self::assertSame([[], []], [($nothing = $this->found(['/' => '<p>Hello']))->subjects, $nothing->sources]);
        $this->expectException(FetchFailed::class);
        $this->found([], '/none');
    }

    #[DataProvider('addresses')]
    public function test_public_addresses(string $address, ?string $identifier): void
    {
        self::assertSame($identifier, PublicAddress::identifier('https://wayleaf.example', '/places/([\w-]+)', $address));
    }

    /** @return iterable<array{string, string|null}> */
    public static function addresses(): iterable
    {
        yield ['https://wayleaf.example/places/wl-dome', 'wl-dome'];
        yield ['http://www.wayleaf.example/places/wl-dome/', 'wl-dome'];
        yield ['wayleaf.example/places/wl-dome?tab=reviews#top', 'wl-dome'];
        yield ['https://wayleaf.example/places/wl-dome/reviews', 'wl-dome'];
        yield [' https://WAYLEAF.example/places/wl-dome ', 'wl-dome'];
        yield ['https://wayleaf.example/people/wl-dome', null];
        yield ['https://wayleaf.example.evil.example/places/wl-dome', null];
        yield ['https://evil.example/wayleaf.example/places/wl-dome', null];
        yield ['https://wayleaf.example/places/', null];
        yield ['', null];
    }

    public function test_every_channel_says_what_it_is(): void
    {
        foreach ($this->app->make(Channels::class)->all() as $key => $channel) {
            self::assertNotSame('', $channel->name(), $key);
            self::assertNotSame('', $channel->brings(), $key);
            self::assertNull($channel->recognised('https://nobody.example/x'), $key);
        }
        self::assertSame(
            ['table', 'hand'],
            array_keys(array_filter($this->app->make(Channels::class)->all(), fn ($channel): bool => ! $channel->isAsked())),
        );
    }
}
