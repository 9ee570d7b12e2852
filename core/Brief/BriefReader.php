<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use BackedEnum;
use Gnomic\Entry\Kind;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;

/** Reads a brief from its JSON form: accepts what brief.schema.json accepts, and stars in their order besides. */
final class BriefReader
{
    private const MEMBERS = [
        '' => ['version', 'gather', 'sift', 'shape', 'dress'],
        'gather' => ['sources', 'kinds'],
        'sift' => ['stars', 'withWords', 'order', 'limit', 'pins', 'hidden'],
        'stars' => ['from', 'to', 'unrated'],
        'shape' => ['layout', 'across', 'autoplay', 'shorten', 'card', 'names', 'head', 'heading', 'honest'],
        'dress' => ['name'],
    ];

    /** @throws BriefIsWrong naming the member and the remedy */
    public static function read(mixed $json): Brief
    {
        try {
            return self::brief(Members::of($json));
        } catch (MemberIsWrong $wrong) {
            throw new BriefIsWrong($wrong->pointer, 'The brief breaks its schema: '.$wrong->getMessage());
        }
    }

    private static function brief(Members $brief): Brief
    {
        self::onlyKnown($brief, '');
        if ($brief->intOrNull('version') !== Brief::VERSION) {
            throw MemberIsWrong::at('/version', (string) Brief::VERSION, $brief->intOrNull('version'));
        }
        $gather = self::part($brief, 'gather');
        $sift = self::part($brief, 'sift');
        $dress = self::part($brief, 'dress');

        return new Brief(
            sources: $gather->has('sources') ? self::texts($gather, 'sources', 200, 100) : null,
            kinds: $gather->has('kinds') ? self::kinds($gather) : null,
            stars: self::stars($sift->objectOrNull('stars')),
            withWords: $sift->boolOr('withWords', false),
            order: self::oneOf(Order::class, $sift, 'order', Order::Newest),
            limit: self::within($sift, 'limit', 1, 100) ?? 10,
            pins: self::distinct($sift, 'pins', self::texts($sift, 'pins', 100, 500)),
            hidden: self::distinct($sift, 'hidden', self::texts($sift, 'hidden', 2000, 500)),
            shape: self::shape(self::part($brief, 'shape')),
            dressing: self::oneOf(Dressing::class, $dress, 'name', Dressing::Paper),
        );
    }

    private static function shape(Members $shape): ShapeWanted
    {
        $heading = $shape->stringOrNull('heading');
        if ($heading !== null && mb_strlen($heading) > 120) {
            throw MemberIsWrong::at($shape->to('heading'), 'at most 120 characters long', $heading);
        }

        return new ShapeWanted(
            layout: self::oneOf(Layout::class, $shape, 'layout', Layout::Carousel),
            across: self::within($shape, 'across', 1, 5) ?? 3,
            autoplay: self::within($shape, 'autoplay', 2, 60),
            shorten: in_array('shorten', $shape->names(), true) ? self::within($shape, 'shorten', 40, 2000) : 220,
            card: $shape->has('card') ? self::words($shape, 'card', ShapeWanted::CARD) : ['rating', 'title', 'words', 'name', 'date', 'source'],
            names: self::oneOf(NamesWanted::class, $shape, 'names', NamesWanted::Full),
            head: $shape->has('head') ? self::words($shape, 'head', ShapeWanted::HEAD) : ShapeWanted::HEAD,
            heading: $heading === null || trim($heading) === '' ? null : trim($heading),
            honest: $shape->boolOr('honest', true),
        );
    }

    private static function stars(?Members $stars): ?StarsWanted
    {
        if ($stars === null) {
            return null;
        }
        self::onlyKnown($stars, 'stars');
        $unrated = $stars->stringOrNull('unrated') ?? 'drop';
        if (! in_array($unrated, ['keep', 'drop'], true)) {
            throw MemberIsWrong::at($stars->to('unrated'), '"keep" or "drop"', $unrated);
        }
        $bound = function (string $name, float $default) use ($stars): float {
            $value = $stars->numberOrNull($name) ?? $default;

            return $value >= 1.0 && $value <= 5.0 ? $value : throw MemberIsWrong::at($stars->to($name), 'between 1 and 5', $value);
        };
        [$from, $to] = [$bound('from', 1.0), $bound('to', 5.0)];
        if ($from > $to) {
            throw new BriefIsWrong($stars->path, "Stars go from $from to $to: the first must not be above the second.");
        }

        return new StarsWanted($from, $to, $unrated === 'keep');
    }

    private static function part(Members $brief, string $name): Members
    {
        $part = $brief->object($name);
        self::onlyKnown($part, $name);

        return $part;
    }

    private static function onlyKnown(Members $members, string $part): void
    {
        foreach ($members->names() as $name) {
            if (! in_array($name, self::MEMBERS[$part], true)) {
                throw new BriefIsWrong($members->to($name), 'The brief breaks its schema: '.$members->to($name).' is not known. Known here: '.implode(', ', self::MEMBERS[$part]).'.');
            }
        }
    }

    private static function within(Members $members, string $name, int $least, int $most): ?int
    {
        $value = $members->intOrNull($name);

        return $value === null || ($value >= $least && $value <= $most) ? $value
            : throw MemberIsWrong::at($members->to($name), "between $least and $most", $value);
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @param  T  $default
     * @return T
     */
    private static function oneOf(string $enum, Members $members, string $name, BackedEnum $default): BackedEnum
    {
        $value = $members->stringOrNull($name);
        $words = array_map(fn (BackedEnum $case): string => "\"$case->value\"", $enum::cases());

        return $value === null ? $default : ($enum::tryFrom($value) ?? throw MemberIsWrong::at($members->to($name), 'one of '.implode(', ', $words), $value));
    }

    /** @return list<Kind> */
    private static function kinds(Members $gather): array
    {
        $words = self::words($gather, 'kinds', array_map(fn (Kind $kind): string => $kind->value, Kind::cases()));

        return $words === [] ? throw MemberIsWrong::at($gather->to('kinds'), 'null, or a list with at least one kind', [])
            : array_map(Kind::from(...), $words);
    }

    /**
     * @param  list<string>  $known
     * @return list<string>
     */
    private static function words(Members $members, string $name, array $known): array
    {
        $words = self::distinct($members, $name, $members->strings($name));
        foreach ($words as $index => $word) {
            if (! in_array($word, $known, true)) {
                throw MemberIsWrong::at($members->to($name)."/$index", 'one of '.implode(', ', $known), $word);
            }
        }

        return $words;
    }

    /** @return list<string> */
    private static function texts(Members $members, string $name, int $most, int $longest): array
    {
        $texts = $members->strings($name);
        if (count($texts) > $most) {
            throw MemberIsWrong::at($members->to($name), "at most $most long", $texts);
        }
        foreach ($texts as $index => $text) {
            if ($text === '' || mb_strlen($text) > $longest) {
                throw MemberIsWrong::at($members->to($name)."/$index", "1 to $longest characters long", $text);
            }
        }

        return $texts;
    }

    /**
     * @param  list<string>  $texts
     * @return list<string>
     */
    private static function distinct(Members $members, string $name, array $texts): array
    {
        return count(array_unique($texts)) === count($texts) ? $texts : throw MemberIsWrong::at($members->to($name), 'without repetitions', $texts);
    }
}
