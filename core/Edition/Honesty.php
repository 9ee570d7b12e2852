<?php

declare(strict_types=1);

namespace Gnomic\Edition;

use Gnomic\Brief\Brief;
use Gnomic\Shape\Shape;
use Gnomic\Sift\Clauses;
use Gnomic\Sift\Clauses\Stars;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Flattery;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Tally;
use Gnomic\Text\Catalogue;

/** What visitors are told of a brief's choice: that it is one by stars or words, and where everything is to be read. */
final class Honesty
{
    /** Entries that the page of everything shows, the newest. */
    public const MOST = 100;

    /**
     * By what the choice may look better than all there is; one among others, such as by time or language, makes no picture better.
     *
     * @return list<Flattery>
     */
    public static function choices(Criteria $wanted, SiteContext $site): array
    {
        $found = array_map(fn (string $clause): ?Flattery => $clause::flatters($wanted, $site), Clauses::ALL);

        return array_values(array_filter(Flattery::cases(), fn (Flattery $case): bool => in_array($case, $found, true)));
    }

    /** Whether the widget tells that it is a selection. */
    public static function narrows(Brief $brief, SiteContext $site): bool
    {
        return $brief->shape->honest && self::choices($brief->criteria, $site) !== [];
    }

    /**
     * The line below the cards and the words of its link; null where there is nothing to say.
     *
     * @param  int  $count  ratings that the figures rest on
     */
    public static function line(Brief $brief, SiteContext $site, int $count, Catalogue $words): ?HonestLine
    {
        if (! self::narrows($brief, $site)) {
            return null;
        }
        $choices = self::choices($brief->criteria, $site);
        $parts = array_map(fn (Flattery $choice): string => match ($choice) {
            Flattery::Stars => self::stars(Stars::wanted($brief->criteria), $words),
            Flattery::WithWords => $words->say($choices === [Flattery::WithWords] ? 'honest.wordsAlone' : 'honest.words'),
            Flattery::ByWords => $words->say('honest.byWords'),
        }, $choices);

        return new HonestLine(
            $words->say('honest.selection', ['parts' => implode($words->say('list.comma'), $parts)]),
            $words->say('honest.seeAll', ['count' => $count]),
        );
    }

    /** What stands under the page of everything: how far it goes, and that something is kept back where it is. */
    public static function note(Tally $everything, Catalogue $words): string
    {
        $passing = $everything->passing();
        $back = max(0, $everything->counting() - $passing);
        $parts = array_filter([
            $passing > self::MOST ? $words->say('everything.newest', ['shown' => self::MOST, 'count' => $passing]) : null,
            $back === 0 ? null : $words->say('everything.kept', ['count' => $back]),
        ]);

        return $parts === [] ? $words->say('everything.all') : implode(' ', $parts);
    }

    /** Everything that the figures of a brief rest on, as a brief of its own: the newest first. */
    public static function everything(Brief $brief): Brief
    {
        $gather = array_intersect_key(
            $brief->criteria->toArray()['gather'],
            ['sources' => true, 'channels' => true, 'subjects' => true, 'allowed' => true],
        );

        return $brief->with(
            criteria: Criteria::read($gather, ['limit' => self::MOST]),
            shape: Shape::read([
                'layout' => ['name' => 'list'],
                'honest' => false,
                'shorten' => null,
                'card' => ['rating', 'title', 'words', 'name', 'date', 'source', 'reply'],
                'names' => $brief->shape->names->value,
            ]),
        );
    }

    private static function stars(?Stars $stars, Catalogue $words): string
    {
        [$least, $most] = [$stars?->least() ?? 1.0, $stars?->most() ?? 5.0];
        $with = ['from' => $words->counted($least), 'to' => $words->counted($most), 'least' => $least, 'most' => $most];

        return $words->say(match (true) {
            $least === $most => 'honest.only',
            $most === 5.0 => 'honest.up',
            $least === 1.0 => 'honest.down',
            default => 'honest.range',
        }, $with);
    }
}
