<?php

declare(strict_types=1);

namespace Gnomic\Gather\Records;

use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Media;
use Gnomic\Gather\Feed\Body;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Reading;

/** A page of the pins of a Corkwall board: a picture and a note each. */
final class CorkwallPins
{
    /**
     * @return array{Reading, int} and how many pages there are
     *
     * @throws PayloadIsUnreadable where the answer is none of theirs
     */
    public static function read(string $json): array
    {
        $page = Record::parsed($json, 'Corkwall');
        if (! $page->has('pins')) {
            throw PayloadIsUnreadable::answer('Corkwall', 'no pins');
        }
        $entries = [];
        foreach ($page->records('pins') as $pin) {
            $id = $pin->text('pin_id');
            if ($id === null) {
                continue;
            }
            $body = Body::ofText($pin->raw('note'));
            $picture = $pin->record('picture');
            $url = $picture->address('url');
            $entries[] = new Entry(
                id: $id,
                kind: Kind::Post,
                url: $pin->address('link'),
                author: new Author($pin->text('by')),
                text: $body->text,
                html: $body->html,
                original: $body->original,
                published: $pin->date('pinned'),
                media: $url === null
                    ? []
                    : [new Media('image', $url, $picture->int('width'), $picture->int('height'), $body->text === '' ? null : $body->text)],
                tags: ShutterfenPhotos::tags($body->text),
            );
        }

        return [new Reading('Corkwall pins', $entries), $page->int('pages') ?? 1];
    }
}
