<?php

declare(strict_types=1);

namespace Gnomic\Gather\Feed;

use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Reading;
use Gnomic\Text\Charset;

/** Reads RSS 0.90–2.0, RSS 1.0, Atom 0.3 and 1.0, and JSON Feed 1.0 and 1.1 by what the bytes are, not by their name. */
final class FeedReader
{
    /**
     * @param  string|null  $contentType  as sent with the bytes; only its charset is believed
     * @param  string|null  $address  where it came from: relative links are resolved against it
     *
     * @throws PayloadIsUnreadable naming what was found instead, and the remedy
     */
    public static function read(string $bytes, ?string $contentType = null, ?string $address = null): Reading
    {
        self::refuseBinary($bytes);
        $charset = Charset::decoded($bytes, self::charsetOf($contentType) ?? self::declaredIn($bytes));
        $text = ltrim($charset->text, "\u{FEFF} \t\r\n\0");

        if ($text === '') {
            throw PayloadIsUnreadable::found('empty', 'Check that the address is the one of the feed and that it has posts.');
        }
        if ($text[0] === '{' || $text[0] === '[') {
            return JsonFeedReader::read($text, $address);
        }
        if (! str_contains(substr($text, 0, 200_000), '<')) {
            throw PayloadIsUnreadable::found('plain text', 'Give the address of an RSS, Atom or JSON feed.');
        }
        if (self::looksLikeHtml($text)) {
            $count = count(Discovery::feedsIn($text, $address));
            throw PayloadIsUnreadable::page(match ($count) {
                0 => 'It names no feed in its head. Look on it for a link called RSS, Atom or Feed, and give that address.',
                1 => 'Its head names one feed: give the address '.Discovery::feedsIn($text, $address)[0]->address.' instead.',
                default => "Its head names $count feeds: give the address of one of them.",
            });
        }

        return self::xml(XmlDocument::parsed($charset->text, $charset->problem), $address);
    }

    /** @throws PayloadIsUnreadable */
    private static function xml(XmlDocument $xml, ?string $address): Reading
    {
        $root = $xml->document->documentElement;
        $name = strtolower((string) $root?->localName);

        return match (true) {
            $root === null => throw PayloadIsUnreadable::found('too broken to read', (string) ($xml->problems[0] ?? '')),
            $name === 'rss', $name === 'rdf', $name === 'channel' => RssReader::read($xml, $address),
            $name === 'feed' => AtomReader::read($xml, $address),
            $name === 'opml' => throw PayloadIsUnreadable::found('a list of feeds (OPML)', 'Give the address of one of the feeds in it.'),
            $name === 'urlset',
            $name === 'sitemapindex' => throw PayloadIsUnreadable::found('a sitemap', 'Give the address of an RSS, Atom or JSON feed.'),
            default => throw PayloadIsUnreadable::found(
                "XML of another kind (its root is <$root->nodeName>)",
                'Give the address of an RSS, Atom or JSON feed.',
            ),
        };
    }

    /** @throws PayloadIsUnreadable */
    private static function refuseBinary(string $bytes): void
    {
        $kind = match (true) {
            str_starts_with($bytes, "PK\x03\x04"), str_starts_with($bytes, "PK\x05\x06") => 'a zip archive',
            str_starts_with($bytes, "\x1F\x8B") => 'a gzip archive',
            str_starts_with($bytes, '%PDF') => 'a PDF',
            str_starts_with($bytes, "\x89PNG"), str_starts_with($bytes, "\xFF\xD8\xFF"), str_starts_with($bytes, 'GIF8') => 'a picture',
            str_starts_with($bytes, "\x7FELF"), str_starts_with($bytes, "MZ\x90") => 'a program',
            str_starts_with($bytes, 'SQLite format') => 'a database',
            default => null,
        };
        if ($kind !== null) {
            throw PayloadIsUnreadable::found($kind, 'Give the feed itself, as it is served.');
        }
    }

    private static function looksLikeHtml(string $text): bool
    {
        $head = substr((string) preg_replace('/<!--.*?-->|<\?.*?\?>/s', '', substr($text, 0, 20_000)), 0, 5_000);

        // A feed may hold markup, but its first element is never one of a page.
        return preg_match('/^\s*(?:<!doctype\s+html|<(?:html|head|body|div|p|script|meta|title|h1)[\s>])/i', $head) === 1;
    }

    private static function charsetOf(?string $contentType): ?string
    {
        return preg_match('/charset\s*=\s*["\']?([^\s;"\']+)/i', (string) $contentType, $found) === 1 ? $found[1] : null;
    }

    private static function declaredIn(string $bytes): ?string
    {
        return preg_match('/^\s*<\?xml[^>]*?encoding\s*=\s*["\']([^"\']+)/i', substr($bytes, 0, 400), $found) === 1 ? $found[1] : null;
    }
}
