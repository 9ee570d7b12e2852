<?php

declare(strict_types=1);

namespace Gnomic\Gather\Feed;

use DateTimeImmutable;
use Gnomic\Dates\DateReader;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Entry\Html;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\RatingException;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Problem;
use Gnomic\Gather\Reading;
use Gnomic\Json\JsonIsBroken;
use Gnomic\Json\JsonText;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;
use Gnomic\Text\Address;
use Gnomic\Text\Echoed;
use Gnomic\Text\LanguageTag;
use Gnomic\Text\Words;

/** JSON Feed 1.0 and 1.1 (jsonfeed.org), and the ratings of the extension object that Gnomic's own feeds carry. */
final class JsonFeedReader
{
    /** @throws PayloadIsUnreadable where the JSON is broken or is no feed */
    public static function read(string $json, ?string $address): Reading
    {
        try {
            $value = JsonText::decode($json);
        } catch (JsonIsBroken $broken) {
            throw PayloadIsUnreadable::found(
                "broken JSON ({$broken->getMessage()})",
                'The service has to fix it, or it was cut off in transit: try again.',
            );
        }
        $value = is_array($value) ? $value : [];
        $items = $value['items'] ?? null;
        if (! is_array($items) || array_is_list($value)) {
            throw PayloadIsUnreadable::found('JSON of another kind (it has no items)', 'Give the address of an RSS, Atom or JSON feed.');
        }
        $feed = Members::of($value);
        $version = (string) $feed->textOrNull('version');
        $problems = [];
        if (preg_match('~jsonfeed\.org/version/1(\.\d)?/?$~', $version, $found) !== 1) {
            $problems[] = new Problem('', 'It names no version of JSON Feed; it was read as 1.1.');
        }
        $base = Address::webOrNull($feed->textOrNull('feed_url'), $address) ?? $address;
        $seen = [];
        $entries = [];
        if (count($items) > Reading::MOST) {
            $problems[] = Reading::tooMany();
        }
        foreach (array_values(array_slice($items, 0, Reading::MOST)) as $index => $item) {
            $where = 'item '.($index + 1);
            try {
                $entries[] = self::item(Members::of($item), $feed, $base, $where, $problems, $seen);
            } catch (MemberIsWrong $wrong) {
                $problems[] = new Problem($where, $wrong->getMessage().' The item was skipped.');
            }
        }

        return new Reading('JSON Feed '.(isset($found[1]) || ! isset($found[0]) ? '1.1' : '1.0'), $entries, $problems,
            Words::line($feed->textOrNull('title')), Address::webOrNull($feed->textOrNull('home_page_url'), $address));
    }

    /**
     * @param  list<Problem>  $problems
     * @param  array<string, int>  $seen
     */
    private static function item(Members $item, Members $feed, ?string $base, string $where, array &$problems, array &$seen): Entry
    {
        $link = Address::webOrNull($item->textOrNull('url'), $base) ?? Address::webOrNull($item->textOrNull('external_url'), $base);
        $html = $item->textOrNull('content_html');
        $text = $item->textOrNull('content_text') ?? $item->textOrNull('summary');
        $body = $html !== null ? Body::ofHtml($html, $link ?? $base) : Body::ofText((string) $text);
        $title = Words::line($item->textOrNull('title'));
        $published = self::date($item, 'date_published', $where, $problems);
        $media = new MediaList($base);
        $media->add($item->textOrNull('image'), 'image');
        $media->add($item->textOrNull('banner_image'), 'image');
        foreach ($item->list('attachments') as $index => $attachment) {
            $attached = Members::of($attachment, $item->to('attachments')."/$index");
            $media->add($attached->textOrNull('url'), $attached->textOrNull('mime_type'), alt: $attached->textOrNull('title'));
        }
        $media->addPictures($body->pictures);
        $extension = $item->objectOrNull('_gnomic');

        return new Entry(
            id: Identity::unique(Identity::of($item->textOrNull('id'), $link, $title, EntryJson::date($published), $body->text), $seen),
            kind: Kind::tryFrom((string) $extension?->textOrNull('kind')) ?? Kind::Post,
            url: $link,
            author: self::author($item) ?? self::author($feed) ?? new Author,
            rating: self::rating($extension, $where, $problems),
            title: $title,
            text: $html !== null && $body->text === '' ? Html::toText($html) : $body->text,
            html: $body->html,
            language: LanguageTag::orNull($item->textOrNull('language')) ?? LanguageTag::orNull($feed->textOrNull('language')),
            published: $published,
            updated: self::date($item, 'date_modified', $where, $problems),
            media: $media->all(),
            tags: array_values(array_filter($item->list('tags'), is_string(...))),
            original: $body->original,
        );
    }

    /** Version 1.1 has a list of authors, 1.0 one author. */
    private static function author(Members $holder): ?Author
    {
        $first = $holder->list('authors')[0] ?? null;
        $author = is_array($first) ? Members::of($first, $holder->to('authors').'/0') : $holder->objectOrNull('author');

        return $author === null ? null
            : new Author(
                Words::line($author->textOrNull('name')),
                url: Address::webOrNull($author->textOrNull('url'), null),
                image: Address::webOrNull($author->textOrNull('avatar'), null),
            );
    }

    /** @param  list<Problem>  $problems */
    private static function rating(?Members $extension, string $where, array &$problems): ?Rating
    {
        try {
            return EntryJson::rating($extension?->objectOrNull('rating'));
        } catch (RatingException|MemberIsWrong $wrong) {
            $problems[] = new Problem($where, $wrong->getMessage().' The rating was left out.');

            return null;
        }
    }

    /** @param  list<Problem>  $problems */
    private static function date(Members $item, string $name, string $where, array &$problems): ?DateTimeImmutable
    {
        $written = $item->textOrNull($name);
        $date = $written === null ? null : DateReader::read($written);
        if ($written !== null && $date === null) {
            $problems[] = new Problem($where, "$name ".Echoed::quoted($written).' is no date that can be read; it was left out.');
        }

        return $date;
    }
}
