<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Entry\Kind;
use Gnomic\Sift\Caps;
use Gnomic\Sift\Clauses\Stars;
use Gnomic\Sift\Sieve;

/** A brief read aloud, in English. */
final class Sentence
{
    /** Which phrase speaks of a clause, where it is none of its own name. */
    private const PHRASES = ['length' => 'words', 'said' => 'words', 'hashtags' => 'words', 'pictures' => 'media', 'reply' => 'media'];

    /** @return list<Phrase> joined, their texts are the sentence */
    public static function of(Brief $brief, Surroundings $around): array
    {
        return [
            new Phrase('Show '),
            new Phrase(self::limit($brief), 'order', 'sift'),
            new Phrase(' from '),
            new Phrase(self::sources($brief, $around), 'sources', 'gather'),
            ...self::wishes($brief, $around),
            new Phrase('. Lay them '),
            new Phrase(self::layout($brief->shape), 'layout', 'shape'),
            new Phrase(', '),
            new Phrase(self::head($brief->shape), 'head', 'shape'),
            new Phrase(', dressed in '),
            new Phrase($brief->dressing->spoken(), 'dress', 'dress'),
            new Phrase(', on '),
            new Phrase('any page with its code', 'place', 'place'),
            new Phrase(', looked at '),
            new Phrase($around->cadences === [] ? 'as its sources are' : Numbers::listed($around->cadences), 'cadence', 'tend'),
            new Phrase('.'),
        ];
    }

    /**
     * The part that chooses entries, for a list of them: "Reviews, newest first, from all nine sources, three stars and down".
     *
     * @return list<Phrase>
     */
    public static function ofListing(Brief $brief, Surroundings $around): array
    {
        $order = match ($brief->order) {
            Order::Newest => 'newest first',
            Order::Oldest => 'oldest first',
            Order::Highest => 'best first',
            Order::Lowest => 'worst first',
            Order::Liked => 'most liked first',
            Order::Longest => 'longest first',
            Order::Shuffled => 'shuffled',
            Order::Balanced => 'in good balance',
        };
        $noun = $brief->kinds === null ? 'entries' : Numbers::listed(array_map(fn (Kind $kind): string => $kind->noun(2), $brief->kinds));

        return [
            new Phrase(ucfirst($noun).", $order", 'order', 'sift'),
            new Phrase(', from '),
            new Phrase(self::sources($brief, $around), 'sources', 'gather'),
            ...self::wishes($brief, $around, false),
            new Phrase('.'),
        ];
    }

    public static function text(Brief $brief, Surroundings $around): string
    {
        return implode('', array_map(fn (Phrase $phrase): string => $phrase->text, self::of($brief, $around)));
    }

    /** "the newest nine reviews", "nine reviews, shuffled daily". */
    public static function limit(Brief $brief): string
    {
        $count = Numbers::spoken($brief->limits->most);
        $noun = self::noun($brief);
        $one = $brief->limits->most === 1;

        return match ($brief->order) {
            Order::Newest => $one ? "the newest $noun" : "the newest $count $noun",
            Order::Oldest => $one ? "the oldest $noun" : "the oldest $count $noun",
            Order::Highest => $one ? "the highest rated $noun" : "the $count highest rated $noun",
            Order::Lowest => $one ? "the lowest rated $noun" : "the $count lowest rated $noun",
            Order::Liked => $one ? "the most liked $noun" : "the $count most liked $noun",
            Order::Longest => $one ? "the longest $noun" : "the $count longest $noun",
            Order::Shuffled => "$count $noun, ".match ($brief->shuffle) {
                Shuffle::Day => 'shuffled daily',
                Shuffle::Visit => 'shuffled at every visit',
                Shuffle::Fixed => 'shuffled once',
            },
            Order::Balanced => $one ? "the best balanced $noun" : "$count $noun in good balance",
        };
    }

    private static function noun(Brief $brief): string
    {
        $count = $brief->limits->most;

        return $brief->kinds === null
            ? ($count === 1 ? 'entry' : 'entries')
            : Numbers::listed(array_map(fn (Kind $kind): string => $kind->noun($count), $brief->kinds));
    }

    private static function sources(Brief $brief, Surroundings $around): string
    {
        $from = match (true) {
            $brief->sources === null && $brief->channels !== null => 'every source',
            $brief->sources === null => $around->sources > 1 ? 'all '.Numbers::counted($around->sources, 'source') : 'every source',
            $brief->sources === [] => 'no source',
            count($brief->sources) < 3 => Numbers::listed(array_map(fn (string $key): string => $around->names[$key] ?? $key, $brief->sources)),
            default => Numbers::counted(count($brief->sources), 'source'),
        };
        if ($brief->channels !== null) {
            $from .= count($brief->channels) > 2 ? ' of '.Numbers::counted(count($brief->channels), 'channel')
                : ' at '.($brief->channels === [] ? 'no channel' : Numbers::listed(array_map(fn (string $key): string => $around->channelNames[$key] ?? ucfirst($key), $brief->channels)));
        }
        if ($brief->subjects !== null) {
            $from .= ' about '.(count($brief->subjects) > 2 || $brief->subjects === [] ? Numbers::counted(count($brief->subjects), 'subject')
                : Numbers::listed(array_map(fn (string $key): string => $around->subjects[$key] ?? $key, $brief->subjects)));
        }

        return $from;
    }

    /**
     * Stars and what is picked by hand are always told; the other wishes where there are any, and the way to them.
     *
     * @return list<Phrase>
     */
    private static function wishes(Brief $brief, Surroundings $around, bool $withHand = true): array
    {
        $told = [];
        foreach (Sieve::of($brief, $around->circumstances)->clauses as $clause) {
            if (in_array($clause->key(), ['length', 'pictures', 'reply', 'languages', 'when', 'said', 'hashtags', 'labels', 'allowed', 'apart'], true)) {
                $told[self::PHRASES[$clause->key()] ?? $clause->key()][] = $clause->phrase();
            }
        }
        if ($brief->languages?->pageFirst === true) {
            $told['languages'][] = 'the page\'s language first';
        }
        if ($brief->labels !== null && $brief->labels->byPage !== []) {
            $told['labels'][] = 'labels by page';
        }
        foreach ((new Caps($brief->most, []))->steps() as ['phrase' => $phrase]) {
            $told['most'][] = $phrase;
        }
        $phrases = [new Phrase(', '), new Phrase(self::ratings($brief), 'stars', 'sift')];
        foreach ($told as $key => $parts) {
            array_push($phrases, new Phrase(', '), new Phrase(implode(', ', $parts), $key, 'sift'));
        }

        if ($withHand) {
            array_push($phrases, new Phrase(', '), new Phrase(self::hand($brief), 'hand', 'sift'));
        }

        return [...$phrases, new Phrase(', '), new Phrase($told === [] ? 'asking no more' : 'and no more', 'more', 'sift')];
    }

    private static function ratings(Brief $brief): string
    {
        return ($brief->stars === null ? 'any stars or none' : (new Stars($brief->stars))->phrase())
            .($brief->withWords ? ', with words' : ', with or without words');
    }

    private static function hand(Brief $brief): string
    {
        $parts = array_filter([
            $brief->pins === [] ? null : Numbers::spoken(count($brief->pins)).' pinned first',
            $brief->hidden === [] ? null : Numbers::spoken(count($brief->hidden)).' hidden',
        ]);

        return $parts === [] ? 'none picked by hand' : implode(', ', $parts);
    }

    private static function layout(ShapeWanted $shape): string
    {
        return match ($shape->layout) {
            Layout::List => 'in a list',
            Layout::Carousel => 'in a carousel, '.Numbers::spoken($shape->across).' across'
                .($shape->autoplay === null ? '' : ', moving every '.Numbers::counted($shape->autoplay, 'second')),
        };
    }

    private static function head(ShapeWanted $shape): string
    {
        $names = ['overall' => 'the overall rating', 'count' => 'the count', 'spread' => 'the spread'];
        $parts = array_values(array_intersect_key($names, array_flip($shape->head)));

        return match (count($parts)) {
            0 => 'with no figures above',
            3 => 'under the overall figures',
            default => 'under '.Numbers::listed($parts),
        };
    }
}
