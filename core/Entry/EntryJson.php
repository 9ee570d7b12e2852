<?php

declare(strict_types=1);

namespace Gnomic\Entry;

use DateTimeImmutable;
use DateTimeZone;
use Gnomic\Dates\DateReader;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;
use Gnomic\Text\Address;
use Gnomic\Text\Echoed;
use Gnomic\Text\LanguageTag;
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
            'author' => [
                'name' => $entry->author->name,
                'role' => $entry->author->role,
                'place' => $entry->author->place,
                'url' => $entry->author->url,
                'image' => $entry->author->image,
            ],
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
            'verified' => $entry->verified,
            'translation' => $entry->translation === null ? null : get_object_vars($entry->translation),
            'said' => array_map(fn (Comment $one): array => [
                'author' => $one->author,
                'text' => $one->text,
                'published' => self::date($one->published),
            ], $entry->said),
        ];
    }

    /** @return array{value: float, best: float, worst: float, stars: float} */
    public static function writeRating(Rating $rating): array
    {
        return ['value' => $rating->value, 'best' => $rating->scale->best, 'worst' => $rating->scale->worst, 'stars' => $rating->stars()];
    }

    /** RFC 3339 with the zone it came with, "Z" for UTC, and fractions of a second where there are any. */
    public static function date(?DateTimeImmutable $date): ?string
    {
        if ($date === null) {
            return null;
        }
        $fraction = rtrim($date->format('u'), '0');

        return $date->format('Y-m-d\TH:i:s').($fraction === '' ? '' : ".$fraction").$date->format($date->getOffset() === 0 ? '\Z' : 'P');
    }

    /**
     * Reads one entry. All members but the kind may be missing; without an id, one is made from the words and the author.
     * Words and markup are tidied and sanitised as if they came from outside, because they do; addresses that are none of the
     * web's are left out, and told by unusable().
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

        $id = $members->stringOrNull('id');
        if ($id !== null && trim($id) === '') {
            throw MemberIsWrong::at($members->to('id'), 'a text that is not empty', $id);
        }
        $media = self::media($members);

        return new Entry(
            id: $id ?? substr(hash('sha256', $author->stringOrNull('name')."\n".$text), 0, 16),
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
            language: $ours ? $members->stringOrNull('language') : self::language($members),
            published: self::readDate($members, 'published'),
            updated: self::readDate($members, 'updated'),
            reply: $reply === null ? null : new Reply(Words::tidy($reply->string('text')), self::readDate($reply, 'published')),
            media: $ours || $html === null ? $media : self::withPictures($media, $members->string('html')),
            tags: $members->strings('tags'),
            likes: $members->countOrNull('likes'),
            comments: $members->countOrNull('comments'),
            verified: $members->boolOr('verified', false),
            translation: self::translation($members),
            said: self::said($members),
        );
    }

    /**
     * What of the JSON could not be taken over: addresses that are none of the web's.
     *
     * @return list<string> each in a sentence
     */
    public static function unusable(mixed $value, Entry $entry): array
    {
        $members = Members::of($value);
        $author = $members->object('author');
        $told = array_filter([
            $members->to('url') => $entry->url === null ? $members->stringOrNull('url') : null,
            $author->to('url') => $entry->author->url === null ? $author->stringOrNull('url') : null,
            $author->to('image') => $entry->author->image === null ? $author->stringOrNull('image') : null,
        ], fn (?string $written): bool => $written !== null && trim($written) !== '');
        foreach ($members->list('media') as $index => $item) {
            $url = is_array($item) && is_string($item['url'] ?? null) ? $item['url'] : '';
            $told += Address::isWeb($url) ? [] : [$members->to('media')."/$index/url" => $url];
        }

        return array_values(array_map(
            fn (
                string $pointer,
                string $written,
            ): string => "$pointer is no address of the web and was left out: \"".Echoed::short($written).'".',
            array_keys($told),
            $told,
        ));
    }

    /**
     * With the pictures that its markup shows.
     *
     * @param  list<Media>  $media
     * @return list<Media>
     */
    private static function withPictures(array $media, string $html): array
    {
        $known = array_map(fn (Media $one): string => $one->url, $media);
        foreach (Html::pictures($html, null) as $picture) {
            if (! in_array($picture->url, $known, true)) {
                $known[] = $picture->url;
                $media[] = $picture;
            }
        }

        return $media;
    }

    /** A tag as BCP 47 writes it, of a language that there is. "und" is none. */
    private static function language(Members $members): ?string
    {
        $tag = $members->stringOrNull('language');
        if ($tag === null || preg_match('/^und$/i', $tag) === 1) {
            return null;
        }

        return LanguageTag::isSensible($tag) ? $tag
            : throw MemberIsWrong::at($members->to('language'), 'a language tag such as "en" or "pt-BR" (BCP 47)', $tag);
    }

    private static function translation(Members $members): ?Translation
    {
        $translation = $members->objectOrNull('translation');
        $language = $translation === null ? null : self::language($translation);
        $text = $translation === null ? '' : Words::tidy($translation->string('text'));

        return $language === null || $text === '' ? null : new Translation($text, $language);
    }

    /** @return list<Comment> */
    private static function said(Members $members): array
    {
        $said = [];
        foreach (array_slice($members->list('said'), 0, Comment::MOST) as $index => $one) {
            $one = Members::of($one, $members->to('said')."/$index");
            $text = Words::tidy($one->string('text'));
            if ($text !== '') {
                $said[] = new Comment($text, Words::line($one->stringOrNull('author')), self::readDate($one, 'published'));
            }
        }

        return $said;
    }

    private static function kind(Members $members): Kind
    {
        $name = $members->string('kind');

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
                $media[] = new Media($type, $url, $item->countOrNull('width'), $item->countOrNull('height'), $item->stringOrNull('alt'),
                    $item->countOrNull('seconds'));
            }
        }

        return $media;
    }
}
