<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Brief\BriefReader;
use Gnomic\Edition\Files\JsonFeed;
use Gnomic\Edition\Plan\Plan;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Gather\Feed\FeedReader;
use PHPUnit\Framework\TestCase;
use Tests\core\Planned;

/** JSON Feed version 1.1 (jsonfeed.org): the document of its section "Examples", and what Gnomic writes. */
final class JsonFeedTest extends TestCase
{
    use Planned;

    public function test_the_simple_example(): void
    {
        // From memory of the specification's simple example.
        $reading = FeedReader::read('{"version": "https://jsonfeed.org/version/1.1", "title": "My Example Feed", "home_page_url": "https://example.org/", "feed_url": "https://example.org/feed.json",
            "items": [{"id": "2", "content_text": "This is a second item.", "url": "https://example.org/second-item"}, {"id": "1", "content_html": "<p>Hello, world!</p>", "url": "https://example.org/initial-post"}]}');
        self::assertSame(
            ['JSON Feed 1.1', 'My Example Feed', 'https://example.org/', []],
            [$reading->format, $reading->title, $reading->home, $reading->problems],
        );
        self::assertSame([
            ['2', 'This is a second item.', 'https://example.org/second-item'],
            ['1', 'Hello, world!', 'https://example.org/initial-post'],
        ],
            array_map(fn (Entry $entry) => [$entry->id, $entry->text, $entry->url], $reading->entries));
    }

    /** @param  list<Entry>  $shown */
    private static function plan(array $shown): Plan
    {
        $brief = BriefReader::read(['version' => 1]);

        return self::planned($brief, $shown);
    }

    public function test_what_is_written_keeps_the_rules_and_comes_back(): void
    {
        $shown = [
            new Entry(
                'a',
                Kind::Review,
                'dome',
                rating: Rating::on(Scale::between(1, 10), 9.0),
                text: 'Fine',
                language: 'en',
                published: new \DateTimeImmutable('2026-01-02T03:04:05Z'),
            ),
            new Entry('b', Kind::Review, 'dome', rating: Rating::on(Scale::ofStars(), 4.0)),
        ];
        $feed = json_decode(JsonFeed::shown('https://g.example', 'k3y', 'Dome', self::plan($shown), $shown), true, flags: JSON_THROW_ON_ERROR);
        // Required: version, title, items; of an item: id, and one of its contents.
        self::assertSame('https://jsonfeed.org/version/1.1', $feed['version']);
        self::assertSame('Dome', $feed['title']);
        self::assertSame('https://g.example/w/k3y.json', $feed['feed_url']);
        $known = [
            'id',
            'url',
            'external_url',
            'title',
            'content_html',
            'content_text',
            'summary',
            'image',
            'banner_image',
            'date_published',
            'date_modified',
            'authors',
            'tags',
            'language',
            'attachments',
        ];
        foreach ($feed['items'] as $item) {
            self::assertIsString($item['id']);
            self::assertIsString($item['content_text'] ?? $item['content_html'] ?? null);
            foreach (array_map(strval(...), array_keys($item)) as $name) {
                // Extensions begin with an underscore.
                self::assertTrue(in_array($name, $known, true) || str_starts_with($name, '_'), $name);
            }
        }
        $again = FeedReader::read((string) json_encode($feed))->entries;
        self::assertSame([9.0, 4.0], array_map(fn (Entry $entry) => $entry->rating?->value, $again));
        self::assertSame([4.5, 4.0], array_map(fn (Entry $entry) => $entry->stars(), $again));
        self::assertSame('2026-01-02T03:04:05Z', EntryJson::date($again[0]->published));
        self::assertSame(Kind::Review, $again[1]->kind);
    }
}
