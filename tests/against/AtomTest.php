<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Entry\EntryJson;
use Gnomic\Gather\Feed\FeedReader;
use PHPUnit\Framework\TestCase;

/** RFC 4287: the two documents of section 1.1 (files/atom-*.xml), and the constructs of sections 2 to 4. */
final class AtomTest extends TestCase
{
    public function test_the_brief_single_entry_document(): void
    {
        $reading = FeedReader::read((string) file_get_contents(__DIR__.'/files/atom-brief.xml'));
        self::assertSame(
            ['Atom 1.0', 'Example Feed', 'http://example.org/', []],
            [$reading->format, $reading->title, $reading->home, $reading->problems],
        );
        self::assertCount(1, $reading->entries);
        $entry = $reading->entries[0];
        self::assertSame('urn:uuid:1225c695-cfb8-4ebb-aaaa-80da344efa6a', $entry->id);
        self::assertSame('Atom-Powered Robots Run Amok', $entry->title);
        self::assertSame('http://example.org/2003/12/13/atom03', $entry->url);
        self::assertSame('2003-12-13T18:30:02Z', EntryJson::date($entry->published));
        self::assertSame('Some text.', $entry->text);
        self::assertSame('John Doe', $entry->author->name, 'section 4.2.1: the feed\'s author is the entry\'s');
    }

    public function test_the_more_extensive_document(): void
    {
        $reading = FeedReader::read((string) file_get_contents(__DIR__.'/files/atom-full.xml'));
        $entry = $reading->entries[0];
        self::assertSame(['dive into mark', 'http://example.org/'], [$reading->title, $reading->home]);
        self::assertSame('tag:example.org,2003:3.2397', $entry->id);
        self::assertSame('2003-12-13T08:29:29-04:00', EntryJson::date($entry->published));
        self::assertSame('2005-07-31T12:29:29Z', EntryJson::date($entry->updated));
        self::assertSame(['Mark Pilgrim', 'http://example.org/'], [$entry->author->name, $entry->author->url]);
        self::assertSame('[Update: The Atom draft is finished.]', $entry->text);
        self::assertSame('<p><i>[Update: The Atom draft is finished.]</i></p>', $entry->html);
        self::assertSame('en', $entry->language);
        self::assertSame(
            [['audio', 'http://example.org/audio/ph34r_my_podcast.mp3']],
            array_map(fn ($media) => [$media->type, $media->url], $entry->media),
        );
    }

    /** Sections 3.1.1 (text constructs), 2 (xml:base, xml:lang) and 4.1.3 (content). */
    public function test_constructs(): void
    {
        $entry = fn (string $inside, string $attributes = '') => FeedReader::read(
            '<feed xmlns="http://www.w3.org/2005/Atom" xml:base="http://example.org/a/" '
                .'xml:lang="fr"><id>f</id><title>F</title><updated>2003-12-13T18:30:02Z</updated><entry '
                ."$attributes><id>e</id><updated>2003-12-13T18:30:02Z</updated>$inside</entry></feed>",
        )->entries[0];
        self::assertSame('Less: <', $entry('<title>Less: &lt;</title>')->title);
        self::assertSame('Less: <', $entry('<title type="html">Less: &lt;em&gt; &amp;lt; &lt;/em&gt;</title>')->title);
        self::assertSame(
            'Less: <',
            $entry('<title type="xhtml" xmlns:x="http://www.w3.org/1999/xhtml"><x:div>Less: <x:em> &lt; </x:em></x:div></title>')->title,
        );
        self::assertSame('http://example.org/b', $entry('<link href="../b"/>')->url);
        self::assertSame('http://example.org/a/c/d', $entry('<link href="d"/>', 'xml:base="c/"')->url);
        self::assertSame(
            'http://other.example/x',
            $entry('<link rel="self" href="no"/><link href="x" xml:base="http://other.example/"/>')->url,
        );
        self::assertSame('fr', $entry('<title>x</title>')->language);
        self::assertSame('el', $entry('<content xml:lang="el">x</content>')->language);
        self::assertSame(
            '<p><a href="http://example.org/a/y" rel="nofollow ugc noopener noreferrer">z</a></p>',
            $entry('<content type="html">&lt;p&gt;&lt;a href="y"&gt;z&lt;/a&gt;&lt;/p&gt;</content>')->html,
        );
        self::assertSame('1 < 2', $entry('<content type="text">1 &lt; 2</content>')->text);
        self::assertSame('S', $entry('<summary>S</summary><content src="movie.mp4" type="video/mp4"/>')->text);
        self::assertSame(['tea'], $entry('<category term="t" label="tea"/>')->tags);
        self::assertSame('Source', $entry('<source><author><name>Source</name></author></source>')->author->name);
    }
}
