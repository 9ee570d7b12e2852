<?php

declare(strict_types=1);

namespace Gnomic\Edition\Advice;

use Gnomic\Brief\Brief;
use Gnomic\Edition\Input\Everything;
use Gnomic\Edition\Input\EverythingPages;
use Gnomic\Edition\Plan\Band;
use Gnomic\Edition\Plan\HonestLine;
use Gnomic\Edition\Plan\Ranges;
use Gnomic\Shape\Parts\Parts;
use Gnomic\Shape\Shape;
use Gnomic\Sift\Clauses;
use Gnomic\Sift\Clauses\Decided;
use Gnomic\Sift\Clauses\NotHidden;
use Gnomic\Sift\Clauses\Stars;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Flattery;
use Gnomic\Sift\Order;
use Gnomic\Sift\Selection;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Step;
use Gnomic\Sift\Tally;
use Gnomic\Text\Catalogue;
use Gnomic\Text\Words;

/**
 * What visitors are told of a brief's choice. One rule: whenever the mean of what is shown could differ from the mean of all because of
 * a choice other than time, source, subject, kind or language, the widget says that it is a selection, and leads to everything.
 */
final class Honesty
{
    /** Orders that put some first by something else than time; chance picks nobody. */
    private const PICKING = [Order::Highest, Order::Lowest, Order::Liked, Order::Longest, Order::Balanced];

    /**
     * By what the choice may look otherwise than all there is.
     *
     * @return list<Flattery>
     */
    public static function choices(Brief $brief, SiteContext $site, Selection $selection): array
    {
        if ($brief->shape->layout::most() === 0) {
            return []; // figures alone are over everything
        }
        $wanted = $brief->criteria;
        $dropped = array_combine(
            array_map(fn (Step $step): string => $step->key, $selection->steps),
            array_map(fn (Step $step): int => $step->dropped, $selection->steps),
        );
        $shown = count($selection->shown);
        $cards = array_map(fn (Band $band): int => $band->cards, Ranges::bands($brief->shape, $wanted->limits, $shown));
        $isCut = $selection->waiting() > 0 || min([$shown, ...$cards]) < $shown;
        $found = array_map(fn (string $clause): ?Flattery => $clause::flatters($wanted, $site), Clauses::ALL);
        $found[] = $isCut && in_array($wanted->order, self::PICKING, true) ? Flattery::ByOrder : null;
        $found[] = ($dropped['mostOfAuthor'] ?? 0) > 0 ? Flattery::OfEachAuthor : null;
        $byHand = ($dropped[NotHidden::key()] ?? 0) + ($dropped[Decided::key()] ?? 0);
        $found[] = $byHand > 0 || $wanted->pins !== [] ? Flattery::ByHand : null;

        return array_values(array_filter(Flattery::cases(), fn (Flattery $case): bool => in_array($case, $found, true)));
    }

    /**
     * The line below the cards and the words of its link; null where there is nothing to say.
     *
     * @param  list<Flattery>  $choices  of choices()
     * @param  int  $offered  entries behind the link
     */
    public static function line(Brief $brief, array $choices, int $offered, Catalogue $words): ?HonestLine
    {
        if ($choices === []) {
            return null;
        }
        $parts = array_map(fn (Flattery $choice): string => match ($choice) {
            Flattery::Stars => self::stars(Stars::wanted($brief->criteria), $words),
            Flattery::WithWords => $words->say($choices === [Flattery::WithWords] ? 'honest.wordsAlone' : 'honest.words'),
            Flattery::ByWords => $words->say('honest.byWords'),
            Flattery::ByTags => $words->say('honest.byTags'),
            Flattery::WithPictures => $words->say('honest.pictures'),
            Flattery::WithReply => $words->say('honest.reply'),
            Flattery::ByOrder => $words->say('honest.order', ['order' => $brief->criteria->order->value]),
            Flattery::OfEachAuthor => $words->say('honest.ofEachAuthor', ['count' => $brief->criteria->most->author ?? 1]),
            Flattery::Apart => $words->say('honest.apart'),
            Flattery::ByHand => $words->say('honest.byHand'),
        }, $choices);

        return new HonestLine(
            $words->say('honest.selection', ['parts' => implode($words->say('list.comma'), $parts)]),
            $words->say('honest.seeAll', ['said' => $words->say('carousel.cards', ['count' => $offered])]),
        );
    }

    /**
     * What stands under the newest page of everything: that something is kept back where it is, and how far it goes.
     *
     * @param  int  $offered  entries on the pages
     */
    public static function note(Tally $everything, int $offered, Catalogue $words): string
    {
        $passing = $everything->passing();
        $back = max(0, $everything->counting() - $passing);
        $parts = array_filter([
            $passing > $offered ? $words->say('everything.newest', ['shown' => $offered, 'count' => $passing]) : null,
            $back === 0 ? null : $words->say('everything.kept', ['count' => $back]),
        ], Words::isFilled(...));

        return $parts === [] ? $words->say('everything.all') : implode(' ', $parts);
    }

    /**
     * Everything that the figures of a brief rest on, as a brief of its own: the newest first, each with what the widget's own cards
     * show of it, shortened by nothing.
     */
    public static function everything(Brief $brief): Brief
    {
        $gather = array_intersect_key(
            $brief->criteria->toArray()['gather'],
            ['sources' => true, 'channels' => true, 'subjects' => true, 'allowed' => true],
        );
        $told = array_values(array_intersect($brief->shape->card, Parts::onEverything()));

        return $brief->with(
            criteria: Criteria::read($gather, ['limit' => EverythingPages::SIZE]),
            shape: Shape::read([
                'layout' => ['name' => 'list'],
                'honest' => false,
                'shorten' => null,
                'card' => $told === [] ? array_values(array_intersect(['pictures', 'face'], $brief->shape->card)) : $told,
                'rating' => $brief->shape->rating,
                'date' => $brief->shape->date === 'month' ? 'month' : 'day',
                'names' => $brief->shape->names->value,
                'choosing' => ['by' => $brief->shape->choosing->by === 'search' ? 'search' : 'none'],
            ]),
        );
    }

    private static function stars(?Stars $stars, Catalogue $words): string
    {
        [$least, $most] = [$stars?->least() ?? 1.0, $stars?->most() ?? 5.0];
        $with = ['from' => $words->counted($least), 'to' => $words->counted($most), 'least' => $least, 'most' => $most];
        $said = $words->say(match (true) {
            $least === 1.0 && $most === 5.0 => 'honest.rated',
            $least === $most => 'honest.only',
            $most === 5.0 => 'honest.up',
            $least === 1.0 => 'honest.down',
            default => 'honest.range',
        }, $with);

        return $stars !== null && $stars->keepsUnrated ? $words->say('honest.orUnrated', ['stars' => $said]) : $said;
    }
}
