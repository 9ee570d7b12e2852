<?php

declare(strict_types=1);

namespace Gnomic\Gather\Records;

use Gnomic\Dates\DateReader;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\RatingException;
use Gnomic\Entry\Reply;
use Gnomic\Entry\Scale;
use Gnomic\Entry\Translation;
use Gnomic\Gather\Feed\Body;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Problem;
use Gnomic\Gather\Reading;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;
use Gnomic\Text\Address;
use Gnomic\Text\LanguageTag;
use Gnomic\Text\Words;

/** Pages of reviews as the Wayleaf directory answers them. */
final class WayleafReviews
{
    /**
     * One page.
     *
     * @param  int  $before  reviews on the pages before it, for the places named in problems
     *
     * @throws PayloadIsUnreadable where the answer is no page of reviews
     */
    public static function read(string $json, int $before = 0): WayleafPage
    {
        $value = json_decode($json, true, 32);
        if (! is_array($value) || ! is_array($value['reviews'] ?? null) || ! array_is_list($value['reviews'])) {
            throw PayloadIsUnreadable::answer('Wayleaf', 'something else than reviews');
        }
        $page = Members::of($value);
        $place = $page->object('place');
        $entries = [];
        $problems = [];
        foreach ($value['reviews'] as $index => $review) {
            $where = 'review '.($before + $index + 1);
            try {
                $entries[] = self::entry(Members::of($review), $where, $problems);
            } catch (MemberIsWrong $wrong) {
                $problems[] = new Problem($where, $wrong->getMessage().' The review was skipped.');
            }
        }

        return new WayleafPage(
            new Reading(
                'Wayleaf reviews',
                $entries,
                $problems,
                Words::line($place->textOrNull('name')),
                Address::webOrNull($place->textOrNull('url'), null),
            ),
            $page->textOrNull('next'),
        );
    }

    /** @param  list<Problem>  $problems */
    private static function entry(Members $review, string $where, array &$problems): Entry
    {
        $author = $review->object('author');
        $body = Body::ofText((string) $review->textOrNull('comment'));
        $reply = $review->objectOrNull('owner_reply');
        $translation = $review->objectOrNull('translation');
        $translated = LanguageTag::orNull($translation?->textOrNull('language'));
        $date = fn (?string $written) => $written === null ? null : DateReader::read($written);

        return new Entry(
            id: $review->string('review_id'),
            kind: Kind::Review,
            url: Address::webOrNull($review->textOrNull('url'), null),
            author: new Author(
                Words::line($author->textOrNull('name')),
                url: $author->textOrNull('url'),
                image: $author->textOrNull('picture'),
            ),
            rating: self::rating($review, $where, $problems),
            text: $body->text,
            html: $body->html,
            original: $body->original,
            language: LanguageTag::orNull($review->textOrNull('language')),
            published: $date($review->textOrNull('created')),
            updated: $date($review->textOrNull('edited')),
            reply: $reply === null ? null : new Reply(Words::tidy($reply->string('text')), $date($reply->textOrNull('created'))),
            verified: $review->boolOr('verified_visit', false),
            translation: $translation === null || $translated === null
                ? null
                : new Translation(Words::tidy($translation->string('comment')), $translated),
        );
    }

    /** @param  list<Problem>  $problems */
    private static function rating(Members $review, string $where, array &$problems): ?Rating
    {
        $points = $review->numberOrNull('points');
        try {
            return $points === null ? null : Rating::on(Scale::between(1.0, $review->numberOrNull('of') ?? 5.0), $points);
        } catch (RatingException $wrong) {
            $problems[] = new Problem($where, $wrong->getMessage().' The rating was left out.');

            return null;
        }
    }
}
