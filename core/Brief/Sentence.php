<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Shape\Shape;
use Gnomic\Sift\Caps;
use Gnomic\Sift\Clauses;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\Limit;
use Gnomic\Sift\SiteContext;
use Gnomic\Text\Numbers;

/** A brief read aloud, in English. It says what is asked and nothing else. */
final class Sentence
{
    /** Characters of a sentence in a list, beyond which some of its conditions are only counted. */
    private const SHORT = 130;

    /** @return list<Phrase> joined, the texts of those that are no offers are the sentence */
    public static function of(Brief $brief, SentenceContext $context): array
    {
        $head = self::head($brief->shape);

        return [
            new Phrase('Show '),
            ...self::choice($brief->criteria, $context->site),
            new Phrase('.'),
            new Phrase('Add a condition', 'more', 'sift', true),
            new Phrase(' '),
            new Phrase(ucfirst(self::laid($brief->shape)), 'layout', 'shape'),
            ...($head === null ? [] : [new Phrase(', '), new Phrase($head, 'head', 'shape')]),
            new Phrase(', in '),
            new Phrase(self::dress($brief, $context), 'dress', 'dress'),
            ...($context->places === '' ? [] : [new Phrase(', on '), new Phrase($context->places, 'place', 'place')]),
            ...(
                $context->cadences === []
                    ? []
                    : [new Phrase(', '), new Phrase('checked '.Numbers::listed($context->cadences), 'cadence', 'tend')]
            ),
            new Phrase('.'),
            ...($head === null ? [new Phrase('Add figures or a heading', 'head', 'shape', true)] : []),
            ...($context->places === '' ? [new Phrase('Put it on a page', 'place', 'place', true)] : []),
        ];
    }

    /**
     * The part that chooses entries, for a list of them: "Reviews, newest first, three stars and down."
     *
     * @return list<Phrase>
     */
    public static function ofListing(Criteria $wanted, SiteContext $site): array
    {
        return [
            new Phrase(ucfirst(Limit::noun($wanted, 2, $site)).', '.Limit::order($wanted), 'order', 'sift'),
            ...self::conditions($wanted, $site, ', '),
            new Phrase('.'),
            new Phrase('Add a condition', 'more', 'sift', true),
        ];
    }

    public static function text(Brief $brief, SentenceContext $context): string
    {
        return Phrase::text(self::of($brief, $context));
    }

    /** In a line, for a list of widgets: "The newest nine reviews from the Dome, four stars and up, three across in a carousel". */
    public static function short(Brief $brief, SentenceContext $context): string
    {
        $layout = ', '.$brief->shape->layout->phrase();
        $whole = ucfirst(Phrase::text(self::choice($brief->criteria, $context->site)));
        if (mb_strlen($whole.$layout) <= self::SHORT) {
            return $whole.$layout;
        }
        $conditions = array_values(array_filter(
            self::conditions($brief->criteria, $context->site, ', '),
            fn (Phrase $phrase): bool => $phrase->key !== null,
        ));
        $told = ucfirst(Limit::phrase($brief->criteria, $context->site));
        $before = ($conditions[0]->key ?? '') === 'sources' ? ' ' : ', ';
        // The two most telling, which are the first; one, where two are too long.
        for ($many = min(2, count($conditions)); $many > 0; $many--) {
            $texts = array_map(fn (Phrase $phrase): string => $phrase->text, array_slice($conditions, 0, $many));
            $left = count($conditions) - $many;
            $said = $told.$before.implode(', ', $texts).self::more($left).$layout;
            if ($many === 1 || mb_strlen($said) <= self::SHORT) {
                return $said;
            }
        }

        return $told.$layout;
    }

    /** ", and three more conditions". */
    private static function more(int $count): string
    {
        return match ($count) {
            0 => '',
            1 => ', and one more condition',
            default => ', and '.Numbers::spoken($count).' more conditions',
        };
    }

    /** @return list<Phrase> "the newest nine reviews from the Dome, four stars and up, with words" */
    private static function choice(Criteria $wanted, SiteContext $site): array
    {
        return [new Phrase(Limit::phrase($wanted, $site), 'order', 'sift'), ...self::conditions($wanted, $site, ' ')];
    }

    /**
     * What is asked, topic by topic: sources first, then in the order of the clauses what chooses among entries, then the rest.
     *
     * @param  string  $before  what stands before the sources
     * @return list<Phrase>
     */
    private static function conditions(Criteria $wanted, SiteContext $site, string $before): array
    {
        $spoken = $topics = [];
        foreach (Clauses::ALL as $clause) {
            foreach ($clause::spoken($wanted, $site) as $phrase) {
                $topic = $clause::topic();
                $topics[$topic->key] = $topic;
                $spoken[$topic->key][] = $phrase;
            }
        }
        $phrases = isset($spoken['sources'])
            ? [new Phrase($before), new Phrase(implode(' ', $spoken['sources']), 'sources', 'gather')]
            : [];
        unset($topics['sources']);
        uasort($topics, fn ($one, $other): int => ($one->stage === 'gather') <=> ($other->stage === 'gather'));
        foreach ($topics as $key => $topic) {
            array_push($phrases, new Phrase(', '), new Phrase(implode(', ', $spoken[$key]), $key, $topic->stage));
        }
        foreach (['most' => array_column(Caps::of($wanted)->steps(), 'phrase'), 'hand' => self::hand($wanted)] as $key => $parts) {
            if ($parts !== []) {
                array_push($phrases, new Phrase(', '), new Phrase(implode(', ', $parts), $key, 'sift'));
            }
        }

        return $phrases;
    }

    /** @return list<string> */
    private static function hand(Criteria $wanted): array
    {
        $hidden = count($wanted->part('sift')->strings('hidden'));

        return array_values(array_filter([
            $wanted->pins === [] ? null : Numbers::spoken(count($wanted->pins)).' pinned first',
            $hidden === 0 ? null : Numbers::spoken($hidden).' hidden',
        ]));
    }

    /** "Night ink", "Paper, dark", "Paper with changes of its own". */
    private static function dress(Brief $brief, SentenceContext $context): string
    {
        $name = $context->looks[$brief->dress->look] ?? $brief->dress->look;
        $scheme = $brief->dress->scheme === null ? '' : ", {$brief->dress->scheme->phrase()}";

        return $name.$scheme.($brief->dress->isOwn() ? ' with changes of its own' : '');
    }

    private static function head(Shape $shape): ?string
    {
        // Figures that are all there is stand nowhere beside cards.
        $isFigures = $shape->layout::most() === 0;
        if ($shape->headAt === 'none' && ! $isFigures) {
            return null;
        }
        $names = [
            'overall' => 'the overall rating',
            'count' => 'the number of ratings',
            'spread' => 'their spread',
            'channels' => 'the figures of each service',
        ];
        $parts = [];
        foreach ($names as $part => $name) {
            if (in_array($part, $shape->head, true)) {
                $parts[] = $part === 'spread' && $parts === [] ? 'the spread of ratings' : $name;
            }
        }

        $parts = match (true) {
            array_slice($parts, 0, 2) === [$names['overall'], $names['count']] => ['the overall figures', ...array_slice($parts, 2)],
            default => $parts,
        };
        $parts = in_array('account', $shape->head, true) ? ['the account', ...$parts] : $parts;
        $where = match (true) {
            $isFigures => '',
            $shape->headIsAside() => " at the $shape->headAt",
            default => ' above',
        };

        return $parts === [] ? null : 'with '.Numbers::listed(array_values($parts)).$where;
    }

    /** "three across in a grid, as centred quotations": where the brief says so, and does not leave it to the look. */
    private static function laid(Shape $shape): string
    {
        $composed = $shape->composition === null ? null : $shape->composition()::phrase();

        return $shape->layout->phrase().($composed === null ? '' : ", $composed");
    }
}
