<?php

declare(strict_types=1);

namespace Gnomic\Gather\Records;

use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\RatingException;
use Gnomic\Entry\Reply;
use Gnomic\Entry\Scale;
use Gnomic\Gather\Feed\Body;
use Gnomic\Gather\Page\Figures;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Problem;
use Gnomic\Gather\Reading;
use Gnomic\Text\LanguageTag;

/** A page of Ticketwick's ratings: scores from 0 to 10, a headline, words, and the box office's replies. */
final class TicketwickRatings
{
    /** @throws PayloadIsUnreadable where the answer is none of theirs */
    public static function read(string $json, int $already = 0): Reading
    {
        $page = Record::parsed($json, 'Ticketwick');
        if (! $page->has('ratings')) {
            throw PayloadIsUnreadable::answer('Ticketwick', 'no ratings');
        }
        $entries = $problems = [];
        foreach ($page->records('ratings') as $index => $rating) {
            $id = $rating->text('rating_id');
            if ($id === null) {
                $problems[] = new Problem('rating '.($already + $index + 1), 'It has no identifier; it was skipped.');

                continue;
            }
            $score = $rating->number('score');
            try {
                $rated = $score === null ? null : Rating::on(Scale::between(0.0, 10.0), $score);
            } catch (RatingException $wrong) {
                $rated = null;
                $problems[] = new Problem("rating $id", $wrong->getMessage().' The rating was left out.');
            }
            $body = Body::ofText($rating->raw('body'));
            $reply = $rating->record('reply')->words('body');
            $entries[] = new Entry(
                id: $id,
                kind: Kind::Review,
                author: new Author($rating->record('guest')->text('name')),
                rating: $rated,
                title: $rating->text('headline'),
                text: $body->text,
                html: $body->html,
                original: $body->original,
                language: LanguageTag::orNull($rating->text('language')),
                published: $rating->date('created'),
                updated: $rating->date('edited'),
                reply: $reply === '' ? null : new Reply($reply, $rating->record('reply')->date('at')),
            );
        }

        return new Reading('Ticketwick ratings', $entries, $problems, $page->record('venue')->text('name'));
    }

    /** What the service itself counts for the venue; null where it has none yet. */
    public static function figures(string $json): ?Figures
    {
        $overall = Record::parsed($json, 'Ticketwick')->record('venue')->record('overall');
        $score = $overall->number('score');
        $best = $overall->number('out_of') ?? 10.0;

        return $score === null || $best <= 0.0 || $score < 0.0 || $score > $best
            ? null
            : new Figures(Rating::on(Scale::between(0.0, $best), $score), $overall->int('ratings'));
    }
}
