<?php

declare(strict_types=1);

namespace Gnomic\Entry;

use DateTimeImmutable;
use DateTimeZone;
use Gnomic\Dates\DateReader;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;
use Gnomic\Text\Words;

/** The normalised entry as JSON: the form in which entries are printed, exported and read back (docs/formats.md). */
final class EntryJson
{
    /** @return array<string, mixed> every member present, null where unknown */
    public static function write(Entry $entry): array
    {
        return [
            'id' => $entry->id,
            'kind' => $entry->kind->value,
            'source' => $entry->source,
            'subject' => $entry->subject,
            'url' => $entry->url,
            'author' => get_object_vars($entry->author),
            'rating' => $entry->rating === null ? null : self::writeRating($entry->rating),
            'title' => $entry->title,
            'text' => $entry->text,
            'html' => $entry->html,
            'language' => $entry->language,
            'published' => self::date($entry->published),
            'updated' => self::date($entry->updated),
            'reply' => $entry->reply === null ? null
                : ['text' => $entry->reply->text, 'published' => self::date($entry->reply->published)],
            'media' => array_map(get_object_vars(...), $entry->media),
            'tags' => $entry->tags,
            'likes' => $entry->likes,
            'comments' => $entry->comments,
        ];
    }

    /** @return array{value: float, best: float, worst: float, stars: float} */
    public static function writeRating(Rating $rating): array
    {
        return ['value' => $rating->value, 'best' => $rating->scale->best, 'worst' => $rating->scale->worst, 'stars' => $rating->stars()];
    }

    /** RFC 3339 with the zone it came with, "Z" for UTC. */
    public static function date(?DateTimeImmutable $date): ?string
    {
        return $date?->format($date->getOffset() === 0 ? 'Y-m-d\TH:i:s\Z' : DATE_RFC3339);
    }

    /**
     * Reads one entry. Members may be missing; without an id, one is made from the words and the author.
     * Words and markup are tidied and sanitised as if they came from outside, because they do.
     *
     * @throws MemberIsWrong where a member has another type than the form says
     * @throws RatingException where the rating is not on its scale
     */
    public static function read(mixed $value): Entry
    {
        return self::made($value, false);
    }

    /**
     * Reads back what write() wrote and we have kept: its markup has been sanitised once and its words tidied.
     *
     * @throws MemberIsWrong|RatingException as read()
     */
    public static function restored(mixed $value): Entry
    {
        return self::made($value, true);
    }

    private static function made(mixed $value, bool $ours): Entry
    {
        $members = Members::of($value);
        if (array_intersect($members->names(), ['id', 'text', 'html', 'title', 'rating']) === []) {
            throw MemberIsWrong::at('/', 'an entry, with an id, a text, a title or a rating', $value);
        }
        $author = $members->object('author');
        $reply = $members->objectOrNull('reply');
        $html = $members->stringOrNull('html');
        $html = $html === null || $ours ? $html : Html::sanitised($html, null);
        $text = $members->stringOrNull('text');
        $text = $text === null ? ($html === null ? '' : Html::toText($html)) : ($ours ? $text : Words::tidy($text));

        return new Entry(
            id: $members->textOrNull('id') ?? substr(hash('sha256', $author->stringOrNull('name')."\n".$text), 0, 16),
            kind: self::kind($members),
            source: $members->stringOrNull('source'),
            subject: $members->stringOrNull('subject'),
            url: $members->stringOrNull('url'),
            author: new Author($author->stringOrNull('name'), $author->stringOrNull('role'), $author->stringOrNull('place'),
                $author->stringOrNull('url'), $author->stringOrNull('image')),
            rating: self::rating($members->objectOrNull('rating')),
            title: $members->stringOrNull('title'),
            text: $text,
            html: $html,
            language: $members->stringOrNull('language'),
            published: self::readDate($members, 'published'),
            updated: self::readDate($members, 'updated'),
            reply: $reply === null ? null : new Reply(Words::tidy($reply->string('text')), self::readDate($reply, 'published')),
            media: self::media($members),
            tags: $members->strings('tags'),
            likes: $members->intOrNull('likes'),
            comments: $members->intOrNull('comments'),
        );
    }

    private static function kind(Members $members): Kind
    {
        $name = $members->stringOrNull('kind') ?? ($members->has('rating') ? 'review' : 'post');

        return Kind::tryFrom($name) ?? throw MemberIsWrong::at($members->to('kind'), '"review", "testimonial" or "post"', $name);
    }

    /** @throws RatingException */
    public static function rating(?Members $rating): ?Rating
    {
        if ($rating === null) {
            return null;
        }
        $value = $rating->numberOrNull('value') ?? throw MemberIsWrong::missing($rating->to('value'), 'a number');

        return Rating::on(Scale::between($rating->numberOrNull('worst') ?? 1.0, $rating->numberOrNull('best') ?? 5.0), $value);
    }

    private static function readDate(Members $members, string $name): ?DateTimeImmutable
    {
        $written = $members->stringOrNull($name);
        if ($written === null) {
            return null;
        }

        return DateReader::read($written, new DateTimeZone('UTC'))
            ?? throw MemberIsWrong::at($members->to($name), 'a date as in RFC 3339', $written);
    }

    /** @return list<Media> */
    private static function media(Members $members): array
    {
        $media = [];
        foreach ($members->list('media') as $index => $value) {
            $item = Members::of($value, $members->to('media')."/$index");
            $url = $item->string('url');
            $type = Media::typeOf($item->stringOrNull('type'), $url);
            if ($type !== null) {
                $media[] = new Media($type, $url, $item->intOrNull('width'), $item->intOrNull('height'), $item->stringOrNull('alt'));
            }
        }

        return $media;
    }
}
