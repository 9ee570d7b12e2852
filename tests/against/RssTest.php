<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Entry\Entry;
use Gnomic\Gather\Feed\FeedReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** npm feedparser and rss-parser on the same files: the same items, addresses, dates, authors and words. */
final class RssTest extends TestCase
{
    #[DataProvider('files')]
    public function test_independent_readers_see_the_same(string $file): void
    {
        $process = new Process(['node', __DIR__.'/read-feed.mjs', $file]);
        $process->mustRun();
        $seen = json_decode($process->getOutput(), true, flags: JSON_THROW_ON_ERROR);
        $entries = FeedReader::read((string) file_get_contents($file), null, 'https://hill.example/feed.xml')->entries;
        $utc = fn (Entry $entry): ?string => $entry->published?->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s.000\Z');

        self::assertSame(
            array_map(fn (array $item): array => [$item['id'], $item['url'], $item['date'], $item['author']], $seen['feedparser']),
            array_map(fn (Entry $entry): array => [$entry->id, $entry->url, $utc($entry), $entry->author->name], $entries),
        );
        self::assertSame(
            array_map(fn (array $item): array => [$item['url'], $item['date']], $seen['rssParser']),
            array_map(fn (Entry $entry): array => [$entry->url, $utc($entry)], $entries),
        );
        $titles = array_map(fn (Entry $entry): ?string => $entry->title, $entries);
        foreach ($seen['rssParser'] as $index => $item) {
            self::assertSame($item['title'], $titles[$index]);
        }
    }

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        foreach (['rss2', 'rss1', 'atom-full', 'atom-brief'] as $name) {
            yield $name => [__DIR__."/files/$name.xml"];
        }
    }
}
