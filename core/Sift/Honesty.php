<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Brief\Brief;
use Gnomic\Brief\BriefReader;

/** What visitors are told of a brief's choice: that it is one by stars or words, and where everything is to be read. */
final class Honesty
{
    /** Entries that the page of everything shows, the newest. */
    public const MOST = 100;

    /**
     * What choices by stars or words there are; one among others, such as by time or language, makes no picture better.
     *
     * @return list<'stars'|'withWords'|'byWords'>
     */
    public static function choices(Brief $brief, Circumstances $around): array
    {
        return array_values(array_filter([
            $brief->stars !== null && $brief->stars->narrows() ? 'stars' : null,
            $brief->withWords ? 'withWords' : null,
            $brief->words !== null || $brief->length !== null || $around->never !== [] ? 'byWords' : null,
        ]));
    }

    /** Whether the widget tells that it is a selection. */
    public static function narrows(Brief $brief, Circumstances $around): bool
    {
        return $brief->shape->honest && self::choices($brief, $around) !== [];
    }

    /** What stands under the page of everything: how far it goes, and that something is kept back where it is. */
    public static function note(Tally $everything): string
    {
        $passing = $everything->passing();
        $back = max(0, $everything->counting() - $passing);
        $far = $passing > self::MOST ? 'The newest '.self::MOST.' of '.number_format($passing).'.' : '';
        $kept = $back === 0 ? '' : number_format($back).' more '.($back === 1 ? 'counts' : 'count').' in the figures and '.($back === 1 ? 'is' : 'are').' not shown by the owner of this site.';

        return trim("$far $kept") ?: 'Everything that was collected, nothing left out.';
    }

    /** Everything that the figures of a brief rest on, as a brief of its own: the newest first. */
    public static function everything(Brief $brief): Brief
    {
        $json = $brief->toArray();
        $gather = is_array($json['gather']) ? $json['gather'] : [];

        return BriefReader::read([
            'version' => Brief::VERSION,
            'gather' => ['apartFrom' => [], 'kinds' => null] + $gather,
            'sift' => ['limit' => self::MOST],
            'shape' => ['layout' => 'list', 'honest' => false, 'shorten' => null, 'card' => ['rating', 'title', 'words', 'name', 'date', 'source', 'reply'], 'names' => $brief->shape->names->value],
            'dress' => ['name' => $brief->dressing->value],
        ]);
    }
}
