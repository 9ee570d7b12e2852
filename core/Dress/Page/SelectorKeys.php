<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use Gnomic\Dress\Css\CssValues;

/** The names by which an element that a selector may match is found, without reading the selector as a whole. */
final class SelectorKeys
{
    /** The signs of the last compound, from where no combinator follows. */
    private const LAST = '/[^\s>+~]+$/D';

    /** An attribute that the last compound asks for. */
    private const ATTRIBUTE = '/\[\s*([a-z][\w-]*)\s*(?:[~|^$*]?=\s*(?:"[^"]*"|\'[^\']*\'|[^\]\s]*)\s*[is]?\s*)?\](?::[\w-]+)*$/iD';

    /** @return array<string, string> by "#id", ".class", "div", "[href", ":root" or "*": those selectors of a list that need it */
    public static function of(string $list): array
    {
        $keys = [];
        foreach (CssValues::listed(EscapedNames::hidden($list)) as $selector) {
            $keys[self::key($selector)][] = $selector;
        }

        return array_map(fn (array $selectors): string => implode(',', $selectors), $keys);
    }

    private static function key(string $selector): string
    {
        if (preg_match(self::LAST, rtrim(self::withoutBrackets($selector)), $found) !== 1) {
            return preg_match(self::ATTRIBUTE, $selector, $named) === 1 ? '['.strtolower($named[1]) : '*';
        }
        if (preg_match('/:root(?![\w-])/', $found[0]) === 1) {
            return ':root';
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

        return $key === '*' && preg_match(self::ATTRIBUTE, $selector, $named) === 1 ? '['.strtolower($named[1]) : $key;
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
