<?php

declare(strict_types=1);

namespace Gnomic\Dress\Own;

/** Cuts own rules into blocks, with their lines: comments are gone, strings and brackets are kept together (CSS Syntax 3, 5.4). */
final class OwnBlocks
{
    private const TOKEN = '~/\*.*?(?:\*/|$)|"(?:[^"\\\\\n]|\\\\.)*"?|\'(?:[^\'\\\\\n]|\\\\.)*\'?|\\\\.|[{}();]|[^{}();"\'\\\\/]+|/~s';

    /** @return list<OwnBlock> what is no rule has nothing inside */
    public static function of(string $css, int $line = 1): array
    {
        $blocks = [];
        $prelude = $inside = '';
        $depth = 0;
        $start = $insideLine = $line;
        foreach (self::tokens($css) as $token) {
            if ($depth === 0) {
                $start = trim($prelude) === '' ? $line + substr_count($token, "\n", 0, strspn($token, " \t\r\n\f")) : $start;
            }
            if ($token === '{') {
                if ($depth > 0) {
                    $inside .= $token;
                } else {
                    $insideLine = $line;
                }
                $depth++;
            } elseif ($token === '}' && $depth > 0) {
                if (--$depth === 0) {
                    $blocks[] = new OwnBlock(trim($prelude), $inside, $start, $insideLine);
                    $prelude = $inside = '';
                } else {
                    $inside .= $token;
                }
            } elseif ($depth > 0) {
                $inside .= self::kept($token);
            } elseif ($token === ';' || $token === '}') {
                $blocks[] = new OwnBlock(trim($prelude), null, $start, $line);
                $prelude = '';
            } else {
                $prelude .= self::kept($token);
            }
            $line += substr_count($token, "\n");
        }
        if (trim($prelude) !== '' || $depth > 0) {
            $blocks[] = new OwnBlock(trim($prelude), null, $start, $line);
        }

        return $blocks;
    }

    /** @return list<array{string, int}> each with its line; empty ones are left out */
    public static function declarations(string $inside, int $line): array
    {
        $found = [];
        $text = '';
        $depth = 0;
        $start = $line;
        foreach ([...self::tokens($inside), ';'] as $token) {
            $start = trim($text) === '' ? $line + substr_count($token, "\n", 0, strspn($token, " \t\r\n\f")) : $start;
            $depth = max(0, $depth + match ($token) {
                '(' => 1,
                ')' => -1,
                default => 0,
            });
            if ($token === ';' && $depth === 0) {
                if (trim($text) !== '') {
                    $found[] = [trim($text), $start];
                }
                $text = '';
            } else {
                $text .= self::kept($token);
            }
            $line += substr_count($token, "\n");
        }
        if (trim($text, " \t\r\n\f;") !== '') {
            $found[] = [trim($text), $start];
        }

        return $found;
    }

    /** @return list<string> */
    private static function tokens(string $css): array
    {
        preg_match_all(self::TOKEN, $css, $found);

        return $found[0];
    }

    private static function kept(string $token): string
    {
        return str_starts_with($token, '/*') ? str_repeat("\n", substr_count($token, "\n")).' ' : $token;
    }
}
