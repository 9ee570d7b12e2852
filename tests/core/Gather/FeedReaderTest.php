<?php

declare(strict_types=1);

namespace Tests\core\Gather;

use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Gather\Feed\Discovery;
use Gnomic\Gather\Feed\FeedReader;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FeedReaderTest extends TestCase
{
    private static function rss(string $items, string $head = ''): string
    {
        return "<?xml version=\"1.0\"?>\n<rss version=\"2.0\" xmlns:dc=\"http://purl.org/dc/elements/1.1/\" "
            .'xmlns:content="http://purl.org/rss/1.0/modules/content/" '
            ."xmlns:media=\"http://search.yahoo.com/mrss/\"><channel><title>T</title>$head$items</channel></rss>";
    }

    private static function only(string $feed, ?string $type = null, ?string $address = 'https://hill.example/feeds/all.xml'): Entry
    {
        $entries = FeedReader::read($feed, $type, $address)->entries;
        self::assertCount(1, $entries);

        return $entries[0];
    }

    public function test_an_item_with_everything(): void
    {
        $entry = self::only(self::rss('<item><title>Clear &amp;amp; cold</title><link>/posts/1</link><guid isPermaLink="false">p1</guid>
            <pubDate>Thu, 01 Jan 2004 19:48:21 GMT</pubDate><dc:creator><![CDATA[Jo Moss]]></dc:creator><category>Sky</category><category>Sky</category>
            <description>Short</description><content:encoded><![CDATA[<p>Long <a href="map">way</a></p><img src="a.png" alt="Hill"><img src="https://count.example/x.gif" width="1" height="1">]]></content:encoded>
            <media:content url="b.jpg" medium="image" width="640" height="400"/><enclosure url="https://hill.example/c.mp3" type="audio/mpeg" length="1"/></item>',
            '<language>en-gb</language>'));
        self::assertSame('p1', $entry->id);
        self::assertSame('Clear & cold', $entry->title);
        self::assertSame('https://hill.example/posts/1', $entry->url);
        self::assertSame('2004-01-01T19:48:21Z', EntryJson::date($entry->published));
        self::assertSame('Jo Moss', $entry->author->name);
        self::assertSame(['Sky'], $entry->tags);
        self::assertSame('Long way', $entry->text);
        self::assertSame('<p>Long <a href="https://hill.example/feeds/map" rel="nofollow ugc noopener noreferrer">way</a></p>', $entry->html);
        self::assertSame('en-gb', $entry->language);
        self::assertSame(
            ['https://hill.example/c.mp3', 'https://hill.example/feeds/b.jpg', 'https://hill.example/feeds/a.png'],
            array_map(fn ($media) => $media->url, $entry->media),
        );
    }

    public function test_identity_is_guid_else_link_else_a_digest(): void
    {
        $read = fn (string $item): string => self::only(self::rss("<item>$item</item>"))->id;
        self::assertSame('g', $read('<guid>g</guid><link>https://a.example/</link>'));
        self::assertSame('https://a.example/', $read('<link>https://a.example/</link><title>x</title>'));
        $made = $read('<title>x</title><description>y</description>');
        self::assertStringStartsWith('made:', $made);
        self::assertSame($made, $read('<title>x</title><description>y</description>'));
        self::assertNotSame($made, $read('<title>x</title><description>z</description>'));
    }

    public function test_twins_are_told_apart(): void
    {
        $reading = FeedReader::read(self::rss('<item><guid>a</guid></item><item><guid>a</guid></item>'));
        self::assertSame(['a', 'a #2'], array_map(fn (Entry $entry) => $entry->id, $reading->entries));
    }

    public function test_rss_1_has_its_items_beside_the_channel(): void
    {
        $reading = FeedReader::read('<rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#" xmlns="http://purl.org/rss/1.0/" xmlns:dc="http://purl.org/dc/elements/1.1/">
            <channel rdf:about="https://a.example/"><title>Old</title><link>https://a.example/</link></channel>
            <item rdf:about="https://a.example/1"><title>One</title><link>https://a.example/1</link><dc:date>2003-12-13T18:30:02+02:00</dc:date><dc:creator>Jo</dc:creator></item></rdf:RDF>');
        self::assertSame('RSS 1.0', $reading->format);
        self::assertSame('https://a.example/1', $reading->entries[0]->id);
        self::assertSame('2003-12-13T18:30:02+02:00', EntryJson::date($reading->entries[0]->published));
        self::assertSame('Jo', $reading->entries[0]->author->name);
    }

    #[DataProvider('authors')]
    public function test_an_authors_address_is_never_kept(string $written, ?string $name): void
    {
        self::assertSame($name, self::only(self::rss('<item><author>'.htmlspecialchars($written).'</author></item>'))->author->name);
    }

    /** @return iterable<array{string, ?string}> */
    public static function authors(): iterable
    {
        yield ['jo@hill.example (Jo Moss)', 'Jo Moss'];
        yield ['"Jo Moss" <jo@hill.example>', 'Jo Moss'];
        yield ['jo@hill.example', null];
        yield ['Jo Moss', 'Jo Moss'];
    }

    #[DataProvider('encodings')]
    public function test_declared_and_real_encodings(string $bytes, ?string $type, string $title, bool $toldOf): void
    {
        $reading = FeedReader::read($bytes, $type);
        self::assertSame($title, $reading->entries[0]->title);
        self::assertSame($toldOf, $reading->problems !== []);
    }

    /** @return iterable<string, array{string, ?string, string, bool}> */
    public static function encodings(): iterable
    {
        $feed = fn (
            string $declared,
            string $title,
        ): string => "<?xml version=\"1.0\"$declared?><rss version=\"2.0\"><channel><item><title>$title</title></item></channel></rss>";
        $as = fn (string $encoding, string $text): string => (string) mb_convert_encoding($text, $encoding, 'UTF-8');
        yield 'plain UTF-8' => [$feed('', 'Ελένη'), null, 'Ελένη', false];
        yield 'with a byte order mark' => ["\xEF\xBB\xBF".$feed('', 'Ελένη'), null, 'Ελένη', false];
        yield 'declared Latin 1' => [$as('ISO-8859-1', $feed(' encoding="ISO-8859-1"', 'Maëlle')), null, 'Maëlle', false];
        yield 'Windows-1252 called Latin 1' => [$as('Windows-1252', $feed(' encoding="iso-8859-1"', '“Maëlle”')), null, '“Maëlle”', false];
        yield 'the type speaks before the document' => [
            $as('Windows-1251', $feed(' encoding="utf-8"', 'Київ')),
            'application/xml; charset=windows-1251',
            'Київ',
            false,
        ];
        yield 'UTF-16 with a mark' => ["\xFF\xFE".$as('UTF-16LE', $feed(' encoding="utf-16"', 'さくら')), null, 'さくら', false];
        yield 'UTF-16 without one' => [$as('UTF-16BE', $feed(' encoding="utf-16"', 'さくら')), null, 'さくら', false];
        yield 'Shift JIS' => [$as('SJIS-win', $feed(' encoding="Shift_JIS"', '高野')), null, '高野', false];
        yield 'Latin 1 called UTF-8' => [$as('ISO-8859-1', $feed(' encoding="UTF-8"', 'Maëlle')), null, 'Maëlle', true];
        yield 'UTF-8 called Latin 1' => [$feed(' encoding="ISO-8859-1"', 'Maëlle'), null, 'Maëlle', true];
        yield 'an encoding that nobody knows' => [$feed(' encoding="x-owl"', 'Maëlle'), null, 'Maëlle', true];
    }

    /** @param  list<string>  $titles */
    #[DataProvider('broken')]
    public function test_broken_xml_is_read_as_far_as_it_goes(string $feed, array $titles, string $where): void
    {
        $reading = FeedReader::read($feed);
        self::assertSame($titles, array_map(fn (Entry $entry) => $entry->title, $reading->entries));
        self::assertContains($where, array_map(fn (Problem $problem) => $problem->where, $reading->problems));
    }

    /** @return iterable<string, array{string, list<string>, string}> */
    public static function broken(): iterable
    {
        yield 'a bare ampersand' => [self::rss('<item><title>Tea & cake</title></item>'), ['Tea & cake'], 'line 2'];
        yield 'HTML entities that XML does not know' => [
            self::rss("<item><title>Caf&eacute;&nbsp;&hellip;</title></item>\n<item><title>x &nosuch; y</title></item>"),
            ['Café …', 'x &nosuch; y'],
            'line 3',
        ];
        yield 'a tag that is never closed' => [
            self::rss("<item><title>One</title><description><b>x</description></item>\n<item><title>Two</title></item>"),
            ['One', 'Two'],
            'line 2',
        ];
        yield 'cut off' => [
            "<rss version=\"2.0\"><channel><item><title>One</title></item>\n<item><title>Two</title><descr",
            ['One', 'Two'],
            'line 2',
        ];
        yield 'a prefix that is not declared' => [
            "<rss version=\"2.0\"><channel>\n<item><title>One</title><dc:creator>Jo</dc:creator></item></channel></rss>",
            ['One'],
            'line 2',
        ];
        yield 'control characters' => [self::rss("<item><title>O\x07ne</title></item>"), ['One'], ''];
        yield 'text before it' => ['Warning: something. '.self::rss('<item><title>One</title></item>'), ['One'], 'line 1'];
        yield 'a date that is none' => [self::rss('<item><title>One</title><pubDate>yesterday</pubDate></item>'), ['One'], 'item 1'];
    }

    public function test_entities_that_grow_are_not_grown(): void
    {
        $bomb = '<?xml version="1.0"?><!DOCTYPE r [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;"><!ENTITY c SYSTEM '
            .'"file:///etc/passwd">]><rss version="2.0"><channel><item><title>&b;&c;</title></item></channel></rss>';
        self::assertSame('&b;&c;', self::only($bomb)->title);
    }

    #[DataProvider('others')]
    public function test_what_is_no_feed_is_named(string $bytes, string $found): void
    {
        $this->expectException(PayloadIsUnreadable::class);
        $this->expectExceptionMessageMatches("/$found/");
        FeedReader::read($bytes, 'application/rss+xml', 'https://hill.example/');
    }

    /** @return iterable<string, array{string, string}> */
    public static function others(): iterable
    {
        yield 'nothing' => ['', 'empty'];
        yield 'a page' => ['<!DOCTYPE html><html><head><title>x</title></head></html>', 'a web page.*names no feed'];
        yield 'a page with a feed' => [
            '<html><head><link rel="alternate" type="application/rss+xml" href="/f"></head></html>',
            'https:\/\/hill\.example\/f',
        ];
        yield 'a zip' => ["PK\x03\x04rest", 'a zip archive'];
        yield 'a gzip' => [(string) gzencode('x'), 'a gzip archive'];
        yield 'a picture' => ["\x89PNG\r\n", 'a picture'];
        yield 'text' => ['Hello', 'plain text'];
        yield 'a sitemap' => ['<urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9"/>', 'a sitemap'];
        yield 'a drawing' => ['<svg xmlns="http://www.w3.org/2000/svg"/>', 'root is <svg>'];
        yield 'broken JSON' => ['{"version":', 'broken JSON'];
        yield 'other JSON' => ['{"a":1}', 'no items'];
        yield 'noise' => [str_repeat("\x07<<%% &&& ]]>", 40), 'broken beyond|another kind|not a feed'];
    }

    public function test_json_feed_with_wrong_types_loses_only_what_is_wrong(): void
    {
        $reading = FeedReader::read((string) json_encode(['version' => 'https://jsonfeed.org/version/1', 'title' => 'J', 'author' => ['name' => 'Jo'],
            'items' => [
                ['id' => 7, 'content_text' => "a\nb", 'date_published' => 'never'],
                'x',
                ['id' => 'b', 'content_html' => '<p>c</p>', '_gnomic' => ['rating' => ['value' => 9]]],
            ]]));
        self::assertSame('JSON Feed 1.0', $reading->format);
        self::assertSame(['7', 'b'], array_map(fn (Entry $entry) => $entry->id, $reading->entries));
        self::assertSame('Jo', $reading->entries[0]->author->name);
        self::assertSame(['item 1', 'item 2', 'item 3'], array_map(fn (Problem $problem) => $problem->where, $reading->problems));
    }

    public function test_a_page_names_its_feeds(): void
    {
        $links = Discovery::feedsIn(
            '<head><base href="/blog/"><link rel="alternate" type="application/atom+xml" href="a.xml" title="Posts"><link '
                .'rel="alternate" hreflang="de" href="/de"><link rel="stylesheet alternate" type="application/rss+xml" href="/b"></head>',
            'https://hill.example/x',
        );
        self::assertSame(
            [['https://hill.example/blog/a.xml', 'Posts'], ['https://hill.example/b', null]],
            array_map(fn ($link) => [$link->address, $link->title], $links),
        );
    }

    public function test_an_unclosed_tag_in_a_title_swallows_nothing_behind_it(): void
    {
        $reading = FeedReader::read(
            '<rss version="2.0"><channel><title>T</title><item><title>A <b>bold '
                .'one</title><link>https://a.example/1</link><description>Words<br></description></item><item><title>B</title><link>https://a.example/2</link></item></channel></rss>',
        );
        self::assertSame([['A bold one', 'https://a.example/1', 'Words'], ['B', 'https://a.example/2', '']],
            array_map(fn (Entry $entry): array => [$entry->title, $entry->url, $entry->text], $reading->entries));
        self::assertNotSame([], $reading->problems);
    }

    /** XML tells capitals apart, and some programs do not. */
    public function test_tags_in_capitals(): void
    {
        $feed = '<RSS VERSION="2.0"><CHANNEL><TITLE>Dome news</TITLE><LINK>https://dome.example/</LINK><ITEM><TITLE>Open NIGHT</TITLE>'
            .'<LINK>https://dome.example/1</LINK><GUID ISPERMALINK="false">1</GUID><PUBDATE>Fri, 27 Nov 2026 08:00:00 GMT</PUBDATE>'
            .'<DESCRIPTION><![CDATA[<B>Come</B> A = "B"]]></DESCRIPTION><ENCLOSURE URL="https://dome.example/A.PNG" TYPE="image/png" LENGTH="1"/></ITEM></CHANNEL></RSS>';
        $mixed = str_replace(['<ITEM>', '</ITEM>', '<TITLE>', '</TITLE>'], ['<Item>', '</Item>', '<Title>', '</Title>'], $feed);
        foreach ([$feed, $mixed] as $text) {
            $reading = FeedReader::read($text, 'https://dome.example/feed');
            $entry = $reading->entries[0] ?? self::fail('no item');
            self::assertSame(
                ['Dome news', 'Open NIGHT', 'https://dome.example/1', 'Come A = "B"', '2026-11-27T08:00:00Z', ['https://dome.example/A.PNG']],
                [$reading->title, $entry->title, $entry->url, $entry->text, EntryJson::date($entry->published), array_map(fn ($media): string => $media->url, $entry->media)],
            );
        }
    }
}
