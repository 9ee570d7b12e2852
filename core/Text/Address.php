<?php

declare(strict_types=1);

namespace Gnomic\Text;

/** Addresses as documents write them. */
final class Address
{
    /** The parts of an address: RFC 3986, appendix B. */
    private const PARTS = '~^(?:(?<scheme>[^:/?#]+):)?(?://(?<authority>[^/?#]*))?(?<path>[^?#]*)'
        .'(?:\?(?<query>[^#]*))?(?:#(?<fragment>.*))?$~su';

    private const WEB = '~^https?://(?:[^/?#@\s\p{Cc}]*@)?(?:\[[0-9a-f:.]+\]|[^/?#:@\[\]\s\p{Cc}]+)(?::\d{0,5})?'
        .'(?:[/?#][^\s\p{Cc}]*)?$~iuD';

    /** Resolves a reference against a base by RFC 3986 §5.2. The reference itself where there is no usable base. */
    public static function resolved(string $reference, ?string $base): string
    {
        $to = self::parts($reference);
        $from = self::parts((string) $base);
        if ($to === null || $from === null || $to['scheme'] !== null || $from['scheme'] === null) {
            return $to !== null && $to['scheme'] !== null ? self::joined(['path' => self::withoutDots($to['path'])] + $to) : $reference;
        }
        $to['scheme'] = $from['scheme'];
        if ($to['authority'] === null) {
            $to['authority'] = $from['authority'];
            if ($to['path'] === '') {
                $to['path'] = $from['path'];
                $to['query'] ??= $from['query'];
            } elseif (! str_starts_with($to['path'], '/')) {
                $to['path'] = self::merged($from, $to['path']);
            }
        }

        return self::joined(['path' => self::withoutDots($to['path'])] + $to);
    }

    /** The resolved address where it can be followed by a browser or written to; null for scripts, data and the rest. */
    public static function webOrNull(?string $reference, ?string $base): ?string
    {
        $reference = trim((string) $reference);
        if ($reference === '') {
            return null;
        }
        $address = self::resolved($reference, $base);

        $address = str_replace(' ', '%20', $address);

        return self::isWeb($address) ? $address : null;
    }

    /** Whether an address is whole and the web's: http or https, with a host, without blanks or controls. */
    public static function isWeb(string $address): bool
    {
        return preg_match(self::WEB, $address) === 1;
    }

    /**
     * The host of an address of the web, in ASCII and small letters, where browsers and everybody else read the same; null where they do
     * not: a backslash is a slash to browsers (URL Standard, "special" schemes), and what stands before an "@" is no host.
     */
    public static function plainHost(string $address): ?string
    {
        $plain = '~^https?://(\[[0-9a-f:.]+\]|[^/?#@:\\\\\[\]]+)(?::\d{1,5})?(?:[/?#][^\\\\]*)?$~iuD';

        return self::isWeb($address) && preg_match($plain, $address, $found) === 1 ? HostName::ascii($found[1]) : null;
    }

    /** Scheme, host and port (RFC 6454, section 4), in small letters and with the port in any case; null where it is not the web's. */
    public static function origin(string $address): ?string
    {
        $parts = self::isWeb($address) ? parse_url($address) : false;
        if ($parts === false || ! isset($parts['scheme'], $parts['host'])) {
            return null;
        }
        $scheme = strtolower($parts['scheme']);

        return "$scheme://".strtolower($parts['host']).':'.($parts['port'] ?? ($scheme === 'https' ? 443 : 80));
    }

    /** @return array{scheme: ?string, authority: ?string, path: string, query: ?string, fragment: ?string}|null */
    private static function parts(string $address): ?array
    {
        if (preg_match(self::PARTS, trim($address), $found, PREG_UNMATCHED_AS_NULL) !== 1) {
            return null;
        }

        return ['scheme' => $found['scheme'] ?? null, 'authority' => $found['authority'] ?? null, 'path' => $found['path'],
            'query' => $found['query'] ?? null, 'fragment' => $found['fragment'] ?? null];
    }

    /** @param array{authority: ?string, path: string, ...} $base RFC 3986 §5.2.3 */
    private static function merged(array $base, string $path): string
    {
        if ($base['authority'] !== null && $base['path'] === '') {
            return "/$path";
        }
        $slash = strrpos($base['path'], '/');

        return ($slash === false ? '' : substr($base['path'], 0, $slash + 1)).$path;
    }

    /** RFC 3986 §5.2.4 */
    private static function withoutDots(string $path): string
    {
        if (! str_contains($path, '.')) {
            return $path;
        }
        $out = [];
        $segments = explode('/', $path);
        $last = array_key_last($segments);
        foreach ($segments as $index => $segment) {
            if ($segment === '.' || $segment === '..') {
                if ($segment === '..' && count($out) > (str_starts_with($path, '/') ? 1 : 0)) {
                    array_pop($out);
                }
                if ($index === $last) {
                    $out[] = '';
                }
            } else {
                $out[] = $segment;
            }
        }

        return implode('/', $out);
    }

    /** @param  array{scheme: ?string, authority: ?string, path: string, query: ?string, fragment: ?string}  $parts */
    private static function joined(array $parts): string
    {
        return ($parts['scheme'] === null ? '' : $parts['scheme'].':')
            .($parts['authority'] === null ? '' : '//'.$parts['authority'])
            .$parts['path']
            .($parts['query'] === null ? '' : '?'.$parts['query'])
            .($parts['fragment'] === null ? '' : '#'.$parts['fragment']);
    }
}
