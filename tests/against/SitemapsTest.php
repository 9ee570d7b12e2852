<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Gather\Page\Robots;
use Gnomic\Gather\Page\Sitemap;
use PHPUnit\Framework\TestCase;

/** The sitemaps.org protocol: its sample files, from memory of the page, and its bounds. */
final class SitemapsTest extends TestCase
{
    private const SAMPLE = '<?xml version="1.0" encoding="UTF-8"?><urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">
        <url><loc>http://www.example.com/</loc><lastmod>2005-01-01</lastmod><changefreq>monthly</changefreq><priority>0.8</priority></url>
        <url><loc>http://www.example.com/catalog?item=12&amp;desc=vacation_hawaii</loc><changefreq>weekly</changefreq></url>
        <url><loc>http://www.example.com/catalog?item=73&amp;desc=vacation_new_zealand</loc><lastmod>2004-12-23</lastmod></url>
        <url><loc>http://www.example.com/catalog?item=74&amp;desc=vacation_newfoundland</loc><lastmod>2004-12-23T18:00:15+00:00</lastmod></url></urlset>';

    private const INDEX = '<?xml version="1.0" encoding="UTF-8"?><sitemapindex xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">
        <sitemap><loc>http://www.example.com/sitemap1.xml.gz</loc><lastmod>2004-10-01T18:23:17+00:00</lastmod></sitemap>
        <sitemap><loc>http://www.example.com/sitemap2.xml.gz</loc><lastmod>2005-01-01</lastmod></sitemap></sitemapindex>';

    public function test_the_samples(): void
    {
        foreach ([self::SAMPLE, (string) gzencode(self::SAMPLE)] as $text) {
            $sitemap = Sitemap::read($text, 50_000);
            self::assertCount(4, $sitemap->pages);
            self::assertSame('http://www.example.com/catalog?item=12&desc=vacation_hawaii', $sitemap->pages[1]);
            self::assertSame(
                ['http://www.example.com/' => '2005-01-01', 'http://www.example.com/catalog?item=73&desc=vacation_new_zealand' => '2004-12-23',
                    'http://www.example.com/catalog?item=74&desc=vacation_newfoundland' => '2004-12-23T18:00:15+00:00'],
                $sitemap->modified,
            );
        }
        self::assertSame(['http://www.example.com/sitemap1.xml.gz', 'http://www.example.com/sitemap2.xml.gz'], Sitemap::read(self::INDEX, 10)->sitemaps);
        self::assertSame(['http://www.example.com/a', 'http://www.example.com/b'], Sitemap::read("http://www.example.com/a\nhttp://www.example.com/b\n", 10)->pages);
    }

    public function test_its_bounds(): void
    {
        $url = fn (string $address): string => "<url><loc>$address</loc><lastmod>2026-01-01</lastmod></url>";
        $all = '<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">'
            .implode('', array_map(fn (int $number): string => $url("https://a.example/$number"), range(1, 50_010))).'</urlset>';
        $sitemap = Sitemap::read($all, 50_000);
        self::assertSame([50_000, 10], [count($sitemap->pages), $sitemap->left]);
        self::assertSame('https://a.example/50000', $sitemap->pages[49_999]);
        $longest = 'https://a.example/'.str_repeat('x', 2_048 - 18);
        $odd = '<urlset>'.$url($longest).$url($longest.'x').$url('/relative').$url('javascript:x').'</urlset>';
        self::assertSame([$longest], Sitemap::read($odd, 10)->pages, 'addresses are whole, and of 2,048 characters at most');
        $news = '<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9" xmlns:image="http://www.google.com/schemas/sitemap-image/1.1">'
            .'<url><loc>https://a.example/p</loc><image:image><image:loc>https://a.example/i.jpg</image:loc></image:image></url></urlset>';
        self::assertSame(['https://a.example/p'], Sitemap::read($news, 10)->pages, 'pictures of a page are no pages');
    }

    /** What programs write that do not keep to the letter; the protocol itself takes text in UTF-8, and feeds (sitemaps.org, "Other Sitemap formats"). */
    public function test_other_forms(): void
    {
        $two = ['https://a.example/x?a=1&b=2', 'https://a.example/y'];
        $lines = implode("\n", $two)."\n";
        foreach ([
            'text with a byte order mark' => "\xEF\xBB\xBF$lines",
            'text of Windows' => str_replace("\n", "\r\n", $lines),
            'text of an old Mac' => str_replace("\n", "\r", $lines),
            'text indented' => "  $two[0]\n\t$two[1]",
            'text with capitals' => str_replace('https', 'HTTPS', $lines),
            'text of two bytes a letter' => "\xFF\xFE".mb_convert_encoding($lines, 'UTF-16LE', 'UTF-8'),
            'text of two bytes the other way round' => "\xFE\xFF".mb_convert_encoding($lines, 'UTF-16BE', 'UTF-8'),
            'text packed' => gzencode("\xEF\xBB\xBF$lines"),
            'XML with a mark and an ampersand that is not escaped' => "\xEF\xBB\xBF<?xml version=\"1.0\"?><urlset><url><loc>$two[0]</loc></url><url><loc>$two[1]</loc></url></urlset>",
            'XML with one that is' => '<urlset><url><loc>https://a.example/x?a=1&amp;b=2</loc></url><url><loc>https://a.example/y</loc></url></urlset>',
            'XML with one as a number' => '<urlset><url><loc>https://a.example/x?a=1&#38;b=2</loc></url><url><loc>https://a.example/y</loc></url></urlset>',
            'RSS' => "<rss version='2.0'><channel><link>https://a.example/</link><item><link>$two[0]</link></item><item><link>$two[1]</link></item></channel></rss>",
            'RSS 1.0' => "<rdf:RDF xmlns:rdf='http://www.w3.org/1999/02/22-rdf-syntax-ns#' xmlns='http://purl.org/rss/1.0/'><channel/><item><link>$two[0]</link></item><item><link>$two[1]</link></item></rdf:RDF>",
            'Atom' => "<feed xmlns='http://www.w3.org/2005/Atom'><link href='https://a.example/'/><entry><link rel='self' href='https://a.example/z'/><link href='$two[0]'/></entry><entry><link rel='alternate' href='$two[1]'/></entry></feed>",
        ] as $form => $text) {
            self::assertSame($two, array_map(fn (string $one): string => str_replace('HTTPS', 'https', $one), Sitemap::read((string) $text, 10)->pages), $form);
        }
    }

    public function test_where_robots_say_that_they_are(): void
    {
        foreach ([
            'Sitemap: https://a.example/s.xml # made every night' => ['https://a.example/s.xml'],
            'Sitemap: https://a.example/s.xml#part' => ['https://a.example/s.xml#part'],
            "sitemap:https://a.example/s.xml\t#x" => ['https://a.example/s.xml'],
            'Sitemap: # none' => [],
            'Sitemap:' => [],
        ] as $line => $sitemaps) {
            self::assertSame($sitemaps, Robots::read($line, 'gnomic')->sitemaps, $line);
        }
    }
}
