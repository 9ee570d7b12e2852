<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Entry\Kind;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;

/**
 * Reads a brief from its JSON form: accepts what brief.schema.json accepts. What is allowed but hardly meant, such as stars
 * from 5 to 4, is read and told by Doubts.
 */
final class BriefReader
{
    private const MEMBERS = [
        '' => ['version', 'gather', 'sift', 'shape', 'dress'],
        'gather' => ['sources', 'channels', 'subjects', 'kinds', 'apartFrom', 'allowed'],
        'sift' => ['stars', 'withWords', 'length', 'withPictures', 'withReply', 'languages', 'when', 'words', 'hashtags', 'labels', 'most',
            'order', 'shuffle', 'balance', 'limit', 'fewer', 'pins', 'hidden'],
        'shape' => ['layout', 'across', 'wholeRows', 'autoplay', 'shorten', 'card', 'names', 'head', 'heading', 'honest'],
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
        Fields::only($brief, self::MEMBERS['']);
        if ($brief->intOrNull('version') !== Brief::VERSION) {
            throw MemberIsWrong::at('/version', (string) Brief::VERSION, $brief->intOrNull('version'));
        }
        $gather = self::part($brief, 'gather');
        $sift = self::part($brief, 'sift');
        $dress = self::part($brief, 'dress');

        return new Brief(
            sources: Fields::textsOrNull($gather, 'sources', 200, 100),
            channels: Fields::textsOrNull($gather, 'channels', 50, 100),
            subjects: Fields::textsOrNull($gather, 'subjects', 200, 200),
            kinds: $gather->has('kinds') ? self::kinds($gather) : null,
            apartFrom: Fields::distinct($gather, 'apartFrom', Fields::texts($gather, 'apartFrom', 50, 40)),
            allowed: self::allowed($gather),
            stars: StarsWanted::read($sift->objectOrNull('stars')),
            withWords: $sift->boolOr('withWords', false),
            length: LengthWanted::read($sift->objectOrNull('length')),
            withPictures: $sift->boolOr('withPictures', false),
            withReply: $sift->boolOr('withReply', false),
            languages: LanguagesWanted::read($sift->objectOrNull('languages')),
            when: WhenWanted::read($sift->objectOrNull('when')),
            words: TermsWanted::read($sift->objectOrNull('words')),
            hashtags: TermsWanted::read($sift->objectOrNull('hashtags')),
            labels: LabelsWanted::read($sift->objectOrNull('labels')),
            most: MostWanted::read($sift->objectOrNull('most')),
            order: Fields::oneOf(Order::class, $sift, 'order', Order::Newest),
            shuffle: Fields::oneOf(Shuffle::class, $sift, 'shuffle', Shuffle::Day),
            weights: Weights::read($sift->object('balance')),
            limits: Limits::read($sift),
            pins: Fields::distinct($sift, 'pins', Fields::texts($sift, 'pins', 100, 600)),
            hidden: Fields::distinct($sift, 'hidden', Fields::texts($sift, 'hidden', 2000, 600)),
            shape: self::shape(self::part($brief, 'shape')),
            dressing: Fields::oneOf(Dressing::class, $dress, 'name', Dressing::Paper),
        );
    }

    private static function shape(Members $shape): ShapeWanted
    {
        $heading = $shape->stringOrNull('heading');
        if ($heading !== null && mb_strlen($heading) > 120) {
            throw MemberIsWrong::at($shape->to('heading'), 'at most 120 characters long', $heading);
        }

        return new ShapeWanted(
            layout: Fields::oneOf(Layout::class, $shape, 'layout', Layout::Carousel),
            across: Fields::within($shape, 'across', 1, 5) ?? 3,
            wholeRows: $shape->boolOr('wholeRows', false),
            autoplay: Fields::within($shape, 'autoplay', 2, 60),
            shorten: in_array('shorten', $shape->names(), true) ? Fields::within($shape, 'shorten', 40, 2000) : 220,
            card: $shape->has('card') ? Fields::words($shape, 'card', ShapeWanted::CARD) : ['rating', 'title', 'words', 'name', 'date', 'source'],
            names: Fields::oneOf(NamesWanted::class, $shape, 'names', NamesWanted::Full),
            head: $shape->has('head') ? Fields::words($shape, 'head', ShapeWanted::HEAD) : ShapeWanted::HEAD,
            heading: $heading === null || trim($heading) === '' ? null : trim($heading),
            honest: $shape->boolOr('honest', true),
        );
    }

    private static function part(Members $brief, string $name): Members
    {
        $part = $brief->object($name);
        Fields::only($part, self::MEMBERS[$name]);

        return $part;
    }

    /** @return array<string, Allowed> */
    private static function allowed(Members $gather): array
    {
        $allowed = [];
        foreach ($gather->list('allowed') as $index => $one) {
            $members = Members::of($one, $gather->to('allowed')."/$index");
            Fields::only($members, ['channel', 'show']);
            $allowed[$members->string('channel')] = Fields::oneOf(Allowed::class, $members, 'show', Allowed::Everything);
        }

        return array_filter($allowed, fn (Allowed $one): bool => $one !== Allowed::Everything);
    }

    /** @return list<Kind> */
    private static function kinds(Members $gather): array
    {
        $words = Fields::words($gather, 'kinds', array_map(fn (Kind $kind): string => $kind->value, Kind::cases()));

        return $words === [] ? throw MemberIsWrong::at($gather->to('kinds'), 'null, or a list with at least one kind', [])
            : array_map(Kind::from(...), $words);
    }
}
