<?php

declare(strict_types=1);

namespace Gnomic\Gather\Records;

use Gnomic\Entry\Author;
use Gnomic\Entry\Comment;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Media;
use Gnomic\Gather\Feed\Body;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Problem;
use Gnomic\Gather\Reading;

/** A page of Shutterfen's posts: captions with hashtags, pictures in several sizes, films with a still. */
final class ShutterfenPhotos
{
    /** Of the sizes offered, the smallest that is at least so wide is fetched. */
    private const WIDTH = 1_000;

    /**
     * @return array{Reading, string|null} and where the next page begins
     *
     * @throws PayloadIsUnreadable where the answer is none of theirs
     */
    public static function read(string $json): array
    {
        $page = Record::parsed($json, 'Shutterfen');
        if (! $page->has('photos')) {
            throw PayloadIsUnreadable::answer('Shutterfen', 'no posts');
        }
        $entries = $problems = [];
        foreach ($page->records('photos') as $index => $photo) {
            $id = $photo->text('photo_id');
            if ($id === null) {
                $problems[] = new Problem('post '.($index + 1), 'It has no identifier; it was skipped.');

                continue;
            }
            $body = Body::ofText($photo->raw('caption'));
            $entries[] = new Entry(
                id: $id,
                kind: Kind::Post,
                url: $photo->address('permalink'),
                author: new Author($photo->record('by')->text('name') ?? $photo->record('by')->text('handle')),
                text: $body->text,
                html: $body->html,
                original: $body->original,
                published: $photo->date('taken'),
                media: self::media($photo),
                tags: self::tags($body->text),
                likes: $photo->int('likes'),
                comments: $photo->int('comments'),
                said: self::said($photo),
            );
        }

        return [new Reading('Shutterfen posts', $entries, $problems), $page->text('before')];
    }

    /** @return list<Comment> */
    private static function said(Record $photo): array
    {
        $said = [];
        foreach (array_slice($photo->records('remarks'), 0, Comment::MOST) as $one) {
            if ($one->words('text') !== '') {
                $said[] = new Comment($one->words('text'), $one->text('by'), $one->date('at'));
            }
        }

        return $said;
    }

    /**
     * Hashtags of a text, in any script, each once, as written first.
     *
     * @return list<string>
     */
    public static function tags(string $text): array
    {
        preg_match_all('/(?<![\p{L}\p{N}_&])[#＃]([\p{L}\p{M}\p{N}_]*[\p{L}][\p{L}\p{M}\p{N}_]*)/u', $text, $found);
        $tags = [];
        foreach ($found[1] as $tag) {
            $tags[mb_strtolower($tag)] ??= $tag;
        }

        return array_values($tags);
    }

    /** @return list<Media> a film's still stands before it, so that there is something to show at once */
    private static function media(Record $photo): array
    {
        $media = [];
        foreach ($photo->records('media') as $one) {
            $isFilm = $one->text('kind') === 'video';
            $still = self::chosen($one->records($isFilm ? 'poster' : 'sizes'), $one->text('alt'));
            if ($still !== null) {
                $media[] = $still;
            }
            $film = $isFilm ? $one->address('url') : null;
            if ($film !== null) {
                $media[] = new Media('video', $film, seconds: $one->int('seconds'));
            }
        }

        return $media;
    }

    /** @param  list<Record>  $sizes */
    private static function chosen(array $sizes, ?string $alt): ?Media
    {
        usort($sizes, fn (Record $one, Record $other): int => ($one->int('width') ?? 0) <=> ($other->int('width') ?? 0));
        $chosen = null;
        foreach ($sizes as $size) {
            if ($size->address('url') !== null && ($chosen === null || ($chosen->int('width') ?? 0) < self::WIDTH)) {
                $chosen = $size;
            }
        }
        $url = $chosen?->address('url');

        return $url === null ? null : new Media('image', $url, $chosen?->int('width'), $chosen?->int('height'), $alt);
    }
}
