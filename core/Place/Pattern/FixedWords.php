<?php

declare(strict_types=1);

namespace Gnomic\Place\Pattern;

/**
 * The words with which whatever fits an expression begins: those that stand first in it, into groups that are there once and whole. It is
 * for asking less, so fewer words than there are do no harm.
 *
 * @internal
 */
final class FixedWords
{
    /** @param  string  $source  as PatternExpression and PatternPart write it, from "^" to "$" */
    public static function first(string $source): string
    {
        $words = '';
        $at = 1;
        while ($at < strlen($source)) {
            if ($source[$at] === '(') {
                [$end, $isSplit] = self::group($source, $at);
                $isLook = preg_match('/\G\(\?(?!:)/', $source, offset: $at) === 1;
                if ($isSplit || $isLook || self::isRepeated($source, $end + 1)) {
                    break;
                }
                $at += substr($source, $at, 3) === '(?:' ? 3 : 1;

                continue;
            }
            if ($source[$at] === ')') {
                $at++;

                continue;
            }
            $isEscaped = $source[$at] === '\\' && preg_match('/[^a-zA-Z0-9]/', $source[$at + 1] ?? 'a') === 1;
            $isPlain = preg_match('/[A-Za-z0-9_~%!@#&=:;,<>"\' -]/', $source[$at]) === 1;
            $next = $at + ($isEscaped ? 2 : 1);
            if ((! $isEscaped && ! $isPlain) || self::isRepeated($source, $next)) {
                break;
            }
            $words .= $source[$next - 1];
            $at = $next;
        }

        return $words;
    }

    /** @return array{int, bool} where a group ends, and whether it has alternatives of its own */
    private static function group(string $source, int $from): array
    {
        [$depth, $isSplit, $inSet] = [0, false, false];
        $at = $from;
        for (; $at < strlen($source); $at++) {
            $sign = $source[$at];
            if ($sign === '\\') {
                $at++;
            } elseif ($inSet) {
                $inSet = $sign !== ']';
            } elseif ($sign === '[') {
                $inSet = true;
            } elseif ($sign === '(') {
                $depth++;
            } elseif ($sign === '|' && $depth === 1) {
                $isSplit = true;
            } elseif ($sign === ')' && --$depth === 0) {
                break;
            }
        }

        return [$at, $isSplit];
    }

    private static function isRepeated(string $source, int $at): bool
    {
        return in_array($source[$at] ?? '', ['*', '+', '?', '{'], true);
    }
}
