<?php

declare(strict_types=1);

namespace Gnomic\Place\Pattern;

/** Paths as browsers write them (URL Standard, "path start state", for http and https). */
final class PathName
{
    /**
     * The path percent-encode set of the URL Standard: controls, blank and " # < > ? ^ ` { }, and all that is beyond ASCII; and the bar,
     * which some browsers encode and others do not.
     */
    private const ENCODED = '/[\x00-\x20"#<>?^`{|}\x7F-\xFF]/';

    /** A path or a piece of one: percent-encoded, with dots resolved and backslashes turned. */
    public static function canonical(string $path): string
    {
        $isWhole = str_starts_with($path, '/') || str_starts_with($path, '\\');
        $path = (string) preg_replace('/[\t\n\r]/', '', $path);
        $path = str_replace('\\', '/', $isWhole ? $path : "/-$path");
        $out = [];
        $segments = explode('/', substr($path, 1));
        $last = array_key_last($segments);
        foreach ($segments as $index => $segment) {
            $plain = str_replace('%2e', '.', strtolower($segment));
            if ($plain === '..') {
                array_pop($out);
            } elseif ($plain !== '.') {
                $out[] = $segment;
            }
            if ($index === $last && ($plain === '.' || $plain === '..')) {
                $out[] = '';
            }
        }
        $encoded = preg_replace_callback(
            self::ENCODED,
            fn (array $found): string => sprintf('%%%02X', ord($found[0])),
            '/'.implode('/', $out),
        );

        return $isWhole ? (string) $encoded : (string) preg_replace('~^/-~', '', (string) $encoded);
    }

    /** The path of an address, "/" where it has none. */
    public static function of(string $address): string
    {
        $path = parse_url($address, PHP_URL_PATH);

        return self::canonical(is_string($path) && $path !== '' ? $path : '/');
    }
}
