<?php

declare(strict_types=1);

namespace Gnomic\Edition;

use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;

/** The shown entries as JSON Feed 1.1 (jsonfeed.org). What the format has no member for stands in "_gnomic". */
final class JsonFeed
{
    /** @param  list<Entry>  $shown */
    public static function write(string $host, string $key, string $name, array $shown): string
    {
        return json_encode([
            'version' => 'https://jsonfeed.org/version/1.1',
            'title' => $name,
            'home_page_url' => "$host/w/$key",
            'feed_url' => "$host/w/$key.json",
            'items' => array_map(self::item(...), $shown),
        ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE);
    }

    /** The beginning of a feed whose entries are written one by one, up to and with the bracket before them. */
    public static function opening(string $title, string $home): string
    {
        return substr(
            json_encode(
                ['version' => 'https://jsonfeed.org/version/1.1', 'title' => $title, 'home_page_url' => $home, 'items' => []],
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
            ),
            0,
            -2,
        );
    }

    public static function entry(Entry $entry): string
    {
        return json_encode(
            self::item($entry),
            JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE,
        );
    }

    /** @return array<string, mixed> */
    private static function item(Entry $entry): array
    {
        $extension = array_filter([
            'kind' => $entry->kind->value,
            'source' => $entry->source,
            'rating' => $entry->rating === null ? null : EntryJson::writeRating($entry->rating),
            'reply' => $entry->reply?->text,
        ], fn (mixed $value): bool => $value !== null);

        return array_filter([
            'id' => $entry->id,
            'url' => $entry->url,
            'title' => $entry->title,
            // The format wants one of its contents in every item; a rating without words has an empty one.
            'content_text' => $entry->text,
            'date_published' => EntryJson::date($entry->published),
            'date_modified' => EntryJson::date($entry->updated),
            'authors' => $entry->author->name === null ? null : [['name' => $entry->author->name]],
            'language' => $entry->language,
            'tags' => $entry->tags === [] ? null : $entry->tags,
            '_gnomic' => $extension,
        ], fn (mixed $value): bool => $value !== null);
    }
}
