<?php

declare(strict_types=1);

namespace Tests\core\Gather;

use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Entry\Media;
use Gnomic\Gather\Feed\FeedReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The older and the odder feeds. */
final class OtherFeedsTest extends TestCase
{
    private static function one(string $feed): Entry
    {
        $entries = FeedReader::read($feed, null, 'https://hill.example/feeds/x')->entries;
        self::assertCount(1, $entries);

        return $entries[0];
    }

    public function test_rss_091_with_its_document_type(): void
    {
        $reading = FeedReader::read(
            "<?xml version=\"1.0\"?>\n<!DOCTYPE rss PUBLIC \"-//Netscape Communications//DTD RSS 0.91//EN\"\n "
                ."\"http://my.netscape.com/publish/formats/rss-0.91.dtd\">\n<rss "
                .'version="0.91"><channel><title>Caf&eacute;</title><item><title>One</title><link>https://a.example/1</link></item></channel></rss>',
        );
        self::assertSame(['RSS 0.91', 'Café', []], [$reading->format, $reading->title, $reading->problems]);
        self::assertSame('https://a.example/1', $reading->entries[0]->id);
    }

    public function test_rss_090(): void
    {
        $reading = FeedReader::read(
            '<rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#" '
                .'xmlns="http://my.netscape.com/rdf/simple/0.9/"><channel><title>T</title></channel><item><title>One</title><link>https://a.example/1</link></item></rdf:RDF>',
        );
        self::assertSame(['RSS 0.90', 'One'], [$reading->format, $reading->entries[0]->title]);
    }

    public function test_atom_03(): void
    {
        $reading = FeedReader::read(
            '<feed version="0.3" '
                .'xmlns="http://purl.org/atom/ns#"><title>Old</title><entry><id>e</id><title>One</title><issued>2003-12-13T08:29:29-04:00</issued><modified>2003-12-14T00:00:00Z</modified><content type="text/html" mode="escaped">&lt;p&gt;Words&lt;/p&gt;</content><author><name>Jo</name><url>https://a.example/jo</url></author></entry></feed>',
        );
        $entry = $reading->entries[0];
        self::assertSame(
            ['Atom 0.3', 'Words', 'Jo', 'https://a.example/jo'],
            [$reading->format, $entry->text, $entry->author->name, $entry->author->url],
        );
        self::assertSame(
            ['2003-12-13T08:29:29-04:00', '2003-12-14T00:00:00Z'],
            [EntryJson::date($entry->published), EntryJson::date($entry->updated)],
        );
    }

    public function test_rss_with_atoms_elements_in_it(): void
    {
        $entry = self::one(
            '<rss version="2.0" xmlns:atom="http://www.w3.org/2005/Atom" '
                .'xmlns:slash="http://purl.org/rss/1.0/modules/slash/"><channel><atom:link rel="self" '
                .'href="https://no.example/"/><item><atom:link rel="alternate" '
                .'href="/1"/><atom:id>a1</atom:id><atom:published>2026-01-02T00:00:00Z</atom:published><atom:updated>2026-01-03T00:00:00Z</atom:updated><atom:author><atom:name>Jo</atom:name></atom:author><slash:comments>7</slash:comments></item></channel></rss>',
        );
        self::assertSame(['a1', 'https://hill.example/1', 'Jo', 7], [$entry->id, $entry->url, $entry->author->name, $entry->comments]);
        self::assertSame(
            ['2026-01-02T00:00:00Z', '2026-01-03T00:00:00Z'],
            [EntryJson::date($entry->published), EntryJson::date($entry->updated)],
        );
    }

    public function test_media_rss_grouped_alone_and_by_its_thumbnail(): void
    {
        $media = fn (string $inside): array => array_map(fn (Media $one): string => "$one->type ".basename($one->url).($one->width === null ? '' : " $one->width").($one->alt === null ? '' : " ($one->alt)"),
            self::one(
                '<rss version="2.0" '
                    ."xmlns:media=\"http://search.yahoo.com/mrss/\"><channel><item><guid>a</guid>$inside</item></channel></rss>",
            )->media);
        self::assertSame(
            ['image a.jpg 640 (Rings)'],
            $media(
                '<media:content url="a.jpg" medium="image" '
                    .'width="640"><media:description>Rings</media:description></media:content><media:thumbnail url="t.jpg"/>',
            ),
        );
        self::assertSame(
            ['video v.mp4', 'image b.jpg'],
            $media('<media:group><media:content url="v.mp4" type="video/mp4"/><media:content url="b.jpg"/></media:group>'),
        );
        self::assertSame(['image t.jpg 80'], $media('<media:thumbnail url="t.jpg" width="80"/>'));
        self::assertSame(
            ['image a.jpg'],
            $media('<enclosure url="a.jpg" type="image/jpeg"/><media:content url="a.jpg" medium="image" width="9"/>'),
            'each address once',
        );
        self::assertSame([], $media('<enclosure url="a.pdf" type="application/pdf"/><media:content url="javascript:x" medium="image"/>'));
    }

    public function test_json_feed_attachments_images_and_authors(): void
    {
        $entry = self::one((string) json_encode(['version' => 'https://jsonfeed.org/version/1.1', 'language' => 'fr', 'authors' => [['name' => 'The feed']], 'items' => [[
            'id' => 'a',
            'url' => '/p/1',
            'content_html' => '<p>Un <a href="b">mot</a></p>',
            'image' => 'i.png',
            'banner_image' => 'https://cdn.example/b.png',
            'tags' => ['ciel', 3],
            'authors' => [['name' => 'Maëlle', 'avatar' => 'https://a.example/m.png', 'url' => 'javascript:x']],
            'attachments' => [['url' => 's.mp3', 'mime_type' => 'audio/mpeg', 'title' => 'Sound']]]]]));
        self::assertSame(
            ['https://hill.example/p/1', 'Maëlle', 'https://a.example/m.png', null, 'fr', ['ciel']],
            [$entry->url, $entry->author->name, $entry->author->image, $entry->author->url, $entry->language, $entry->tags],
        );
        self::assertSame(
            ['https://hill.example/feeds/i.png', 'https://cdn.example/b.png', 'https://hill.example/feeds/s.mp3'],
            array_map(fn (Media $one) => $one->url, $entry->media),
        );
        self::assertSame('<p>Un <a href="https://hill.example/p/b" rel="nofollow ugc noopener noreferrer">mot</a></p>', $entry->html);
    }

    #[DataProvider('titles')]
    public function test_titles_of_rss_are_text_whatever_they_hold(string $written, string $title): void
    {
        self::assertSame($title, self::one("<rss version=\"2.0\"><channel><item><title>$written</title></item></channel></rss>")->title);
    }

    /** @return iterable<array{string, string}> */
    public static function titles(): iterable
    {
        yield ['Plain', 'Plain'];
        yield ['Tea &amp; cake', 'Tea & cake'];
        yield ['Tea &amp;amp; cake', 'Tea & cake'];
        yield ['1 &lt; 2', '1 < 2'];
        yield ['&lt;b&gt;Bold&lt;/b&gt; move', 'Bold move'];
        yield ['Use &lt;cake&gt; here', 'Use <cake> here'];
        yield ['<![CDATA[A & B]]>', 'A & B'];
        yield ["  two\n   lines ", 'two lines'];
        yield ['&#x1F52D; &#233;', '🔭 é'];
    }

    public function test_one_broken_item_does_not_hide_the_others(): void
    {
        $items = '';
        for ($number = 1; $number <= 20; $number++) {
            $items .= $number === 7
                ? "<item><guid>7</guid><title>Seven</title><description>a <<< b </item>\n"
                : "<item><guid>$number</guid><title>N$number</title></item>\n";
        }
        $reading = FeedReader::read("<rss version=\"2.0\"><channel><title>T</title>\n$items</channel></rss>");
        self::assertSame(array_map(strval(...), range(1, 20)), array_map(fn (Entry $entry) => $entry->id, $reading->entries));
        self::assertNotSame([], $reading->problems);
    }

    public function test_deep_and_wide_markup_is_read_within_bounds(): void
    {
        $deep = str_repeat('<b>', 5000).'x'.str_repeat('</b>', 5000);
        self::assertSame(
            'x',
            self::one(
                '<rss version="2.0"><channel><item><guid>a</guid><description>'
                    .htmlspecialchars($deep)
                    .'</description></item></channel></rss>',
            )->text,
        );
    }
}
