<?php

declare(strict_types=1);

namespace Gnomic\Place\Spot;

use Gnomic\Text\Numbers;

/** Spots of a widget as its sentence says them: "/visit, under the opening hours, and every page of /shop". */
final class Places
{
    private const SPOKEN = 3;

    /**
     * @param  list<Spot>  $spots
     * @return string empty where there are none
     */
    public static function spoken(array $spots): string
    {
        $phrases = array_map(self::phrase(...), array_slice($spots, 0, self::SPOKEN));
        $left = count($spots) - count($phrases);
        if ($left > 0) {
            $phrases[] = Numbers::counted($left, 'other spot');
        }
        // Commas within a phrase would run together with those between.
        $last = array_pop($phrases);

        $before = implode('; ', $phrases);

        return $before === '' ? (string) $last : $before.(str_contains($before, ',') ? ', and ' : ' and ').$last;
    }

    public static function phrase(Spot $spot): string
    {
        $pages = Numbers::listed(array_map(fn ($pattern): string => self::pages($pattern->pattern), $spot->pages));
        $except = $spot->except === [] ? ''
            : ' except '.Numbers::listed(array_map(fn ($pattern): string => self::pages($pattern->pattern), $spot->except));
        $named = $spot->named === null ? 'a place you pointed at' : "“{$spot->named}”";
        $where = match ($spot->position) {
            Position::Tag => '',
            Position::Before => ", above $named",
            Position::After => ", under $named",
            Position::Inside => ", at the end of $named",
        };
        $days = match (true) {
            $spot->from !== null && $spot->to !== null => ", from $spot->from to $spot->to",
            $spot->from !== null => ", from $spot->from",
            $spot->to !== null => ", until $spot->to",
            default => '',
        };

        return $pages.$except.$where.($spot->follows === null ? '' : ", {$spot->follows->phrase()}").$days;
    }

    private static function pages(string $pattern): string
    {
        return match (true) {
            $pattern === '/*', $pattern === '*' => 'every page',
            $pattern === '/' => 'the front page',
            preg_match('~^(/[^*:(){}?+\\\\]+)/\*$~', $pattern, $found) === 1 => "every page of $found[1]",
            default => $pattern,
        };
    }
}
