<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use Gnomic\Dress\Css\CssValues;

/** The names by which an element that a selector may match is found, without reading the selector as a whole. */
final class SelectorKeys
{
    /** The signs of the last compound, from where no combinator follows. */
    private const LAST = '/[^\s>+~]+$/D';

    /** @return list<string> "#id", ".class", "div" or "*", of each selector of a list one */
    public static function of(string $list): array
    {
        return array_values(array_unique(array_map(self::key(...), CssValues::listed(EscapedNames::hidden($list)))));
    }

    private static function key(string $selector): string
    {
        if (preg_match(self::LAST, rtrim(self::withoutBrackets($selector)), $found) !== 1) {
            return '*';
        }
        // A state has nothing that an element is found by.
        $compound = (string) preg_replace('/:+[\w-]+/', '', $found[0]);
        preg_match_all('/([.#]?)([\w\x80-\xff-]+)/', $compound, $names, PREG_SET_ORDER);
        $key = '*';
        foreach ($names as [, $sign, $name]) {
            $name = EscapedNames::shown($name);
            if ($sign === '#') {
                return "#$name";
            }
            $key = $sign === '.' ? ".$name" : ($key === '*' ? strtolower($name) : $key);
        }

        return $key;
    }

    private static function withoutBrackets(string $selector): string
    {
        if (! str_contains($selector, '(') && ! str_contains($selector, '[')) {
            return $selector;
        }
        $depth = 0;
        $bare = '';
        foreach (str_split($selector) as $sign) {
            $depth += $sign === '(' || $sign === '[' ? 1 : 0;
            $bare .= $depth === 0 ? $sign : '';
            $depth -= $sign === ')' || $sign === ']' ? 1 : 0;
        }

        return $bare;
    }
}
