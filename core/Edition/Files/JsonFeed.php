<?php

declare(strict_types=1);

namespace Gnomic\Edition\Files;

use Gnomic\Edition\Plan\Plan;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Shape\Card\Card;
use Gnomic\Shape\Parts\DatePart;
use Gnomic\Shape\Parts\NamePart;
use Gnomic\Shape\Parts\RatingPart;
use Gnomic\Shape\Parts\ReplyPart;
use Gnomic\Shape\Parts\SourcePart;
use Gnomic\Shape\Parts\TitlePart;
use Gnomic\Shape\Parts\WordsPart;

/** The shown entries as JSON Feed 1.1 (jsonfeed.org). What the format has no member for stands in "_gnomic". */
final class JsonFeed
{
    /**
     * What a widget shows, and of each entry no more than its card does.
     *
     * @param  Plan|null  $plan  null where nothing is shown
     * @param  list<Entry>  $shown  in the order of its cards
     */
    public static function shown(string $host, string $key, string $name, ?Plan $plan, array $shown): string
    {
        return json_encode([
            'version' => 'https://jsonfeed.org/version/1.1',
            'title' => $name,
            'home_page_url' => "$host/w/$key",
            'feed_url' => "$host/w/$key.json",
            'items' => $plan === null ? [] : array_map(self::card(...), $plan->cards, array_slice($shown, 0, count($plan->cards))),
        ], JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE);
    }

    /** @return array<string, mixed> */
    private static function card(Card $card, Entry $entry): array
    {
        return self::members(
            [
                'kind' => $entry->kind->value,
                'source' => $card->part(SourcePart::class) === null ? null : $entry->source,
                'rating' => $card->part(RatingPart::class) === null || $entry->rating === null
                    ? null
                    : EntryJson::writeRating($entry->rating),
                'reply' => $card->part(ReplyPart::class)?->text,
            ],
            [
                'id' => $card->id,
                'url' => $card->url,
                'title' => $card->part(TitlePart::class)?->text,
                'content_text' => (string) $card->part(WordsPart::class)?->whole(),
                'date_published' => $card->part(DatePart::class) === null ? null : EntryJson::date($entry->published),
                'date_modified' => $card->part(DatePart::class) === null ? null : EntryJson::date($entry->updated),
                'authors' => $card->part(NamePart::class) === null ? null : [['name' => $card->part(NamePart::class)->text]],
                'language' => $card->part(WordsPart::class) === null && $card->part(TitlePart::class) === null ? null : $entry->language,
            ],
        );
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
        return self::members(
            [
                'kind' => $entry->kind->value,
                'source' => $entry->source,
                'rating' => $entry->rating === null ? null : EntryJson::writeRating($entry->rating),
                'reply' => $entry->reply?->text,
            ],
            [
                'id' => $entry->id,
                'url' => $entry->url,
                'title' => $entry->title,
                'content_text' => $entry->text,
                'date_published' => EntryJson::date($entry->published),
                'date_modified' => EntryJson::date($entry->updated),
                'authors' => $entry->author->name === null ? null : [['name' => $entry->author->name]],
                'language' => $entry->language,
                'tags' => $entry->tags === [] ? null : $entry->tags,
            ],
        );
    }

    /**
     * Those that there are. The format wants one of its contents in every item; a rating without words has an empty one.
     *
     * @param  array<string, mixed>  $extension
     * @param  array<string, mixed>  $members
     * @return array<string, mixed>
     */
    private static function members(array $extension, array $members): array
    {
        $isThere = fn (mixed $value): bool => $value !== null;

        return array_filter($members, $isThere) + ['_gnomic' => array_filter($extension, $isThere)];
    }
}
