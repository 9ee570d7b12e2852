<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

/**
 * Names in selectors whose signs are escaped (CSS Syntax 3, 4.3.7), as names that need no escapes: each such sign is one of an area of
 * Unicode that is for private use, and back again.
 */
final class EscapedNames
{
    private const AREA = 0xE000;

    /** A selector without escapes. */
    public static function hidden(string $selector): string
    {
        return ! str_contains($selector, '\\') ? $selector : (string) preg_replace_callback(
            '/\\\\(?:([0-9a-f]{1,6})\s?|([\x00-\x7f])|)/i',
            function (array $one): string {
                $sign = ($one[1] ?? '') !== '' ? (string) mb_chr((int) hexdec($one[1])) : $one[2] ?? '';

                return strlen($sign) === 1 ? (string) mb_chr(self::AREA + ord($sign)) : $sign;
            },
            $selector,
        );
    }

    /** The name as elements have it. */
    public static function shown(string $name): string
    {
        return ! str_contains($name, "\xEE") ? $name : (string) preg_replace_callback(
            '/[\x{E000}-\x{E07F}]/u',
            fn (array $sign): string => chr((int) mb_ord($sign[0]) - self::AREA),
            $name,
        );
    }
}
