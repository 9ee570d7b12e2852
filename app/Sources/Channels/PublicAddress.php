<?php

declare(strict_types=1);

namespace App\Sources\Channels;

/** The public pages of a service, by which people know their own place there. */
final class PublicAddress
{
    /**
     * @param  string  $base  of the service: "https://wayleaf.example"
     * @param  string  $pattern  of the path behind it, the identifier in a group
     */
    public static function identifier(string $base, string $pattern, string $address): ?string
    {
        $bare = fn (string $text): string => (string) preg_replace('~^https?://(?:www\.)?~i', '', rtrim(trim($text), '/'));

        return preg_match('~^'.preg_quote($bare($base), '~').$pattern.'(?:[/?#].*)?$~i', $bare($address), $found) === 1 ? $found[1] : null;
    }
}
