<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Entry\Kind;
use Gnomic\Sift\Clauses\Stars;

/** A brief read aloud, in English. */
final class Sentence
{
    /** @return list<Phrase> joined, their texts are the sentence */
    public static function of(Brief $brief, Surroundings $around = new Surroundings): array
    {
        return [
            new Phrase('Show '),
            new Phrase(self::limit($brief), 'order', 'sift'),
            new Phrase(' from '),
            new Phrase(self::sources($brief, $around), 'sources', 'gather'),
            new Phrase(', '),
            new Phrase(self::ratings($brief), 'stars', 'sift'),
            new Phrase(', '),
            new Phrase(self::hand($brief), 'hand', 'sift'),
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

    public static function text(Brief $brief, Surroundings $around = new Surroundings): string
    {
        return implode('', array_map(fn (Phrase $phrase): string => $phrase->text, self::of($brief, $around)));
    }

    /** "the newest nine reviews", "nine reviews, shuffled daily". */
    public static function limit(Brief $brief): string
    {
        $count = Numbers::spoken($brief->limit);
        $noun = self::noun($brief);
        $one = $brief->limit === 1;

        return match ($brief->order) {
            Order::Newest => $one ? "the newest $noun" : "the newest $count $noun",
            Order::Oldest => $one ? "the oldest $noun" : "the oldest $count $noun",
            Order::Highest => $one ? "the highest rated $noun" : "the $count highest rated $noun",
            Order::Lowest => $one ? "the lowest rated $noun" : "the $count lowest rated $noun",
            Order::Shuffled => "$count $noun, shuffled daily",
        };
    }

    private static function noun(Brief $brief): string
    {
        return $brief->kinds === null
            ? ($brief->limit === 1 ? 'entry' : 'entries')
            : Numbers::listed(array_map(fn (Kind $kind): string => $kind->noun($brief->limit), $brief->kinds));
    }

    private static function sources(Brief $brief, Surroundings $around): string
    {
        if ($brief->sources === null) {
            return $around->sources > 1 ? 'all '.Numbers::counted($around->sources, 'source') : 'every source';
        }
        $names = array_map(fn (string $key): string => $around->names[$key] ?? $key, $brief->sources);

        return match (count($names)) {
            0 => 'no source',
            1, 2 => Numbers::listed($names),
            default => Numbers::counted(count($names), 'source'),
        };
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
