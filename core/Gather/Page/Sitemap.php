<?php

declare(strict_types=1);

namespace Gnomic\Gather\Page;

use Gnomic\Text\Address;
use XMLReader;

/** The addresses of a sitemap (sitemaps.org): pages, or further sitemaps. */
final readonly class Sitemap
{
    /** Characters of an address: the protocol allows 2,048. */
    private const LONGEST = 2_048;

    /** Bytes, unpacked: the protocol's own bound. */
    private const LARGEST = 52_428_800;

    /**
     * @param  list<string>  $pages
     * @param  list<string>  $sitemaps
     * @param  array<string, string>  $modified  when pages were changed, as the sitemap has it, by their addresses
     * @param  int  $left  addresses beyond those that were read
     */
    private function __construct(public array $pages, public array $sitemaps, public array $modified = [], public int $left = 0)
    {
    }

    /**
     * Packed or not; what is no whole address of the web is left out.
     *
     * @param  int  $most  addresses
     */
    public static function read(string $text, int $most): self
    {
        if (str_starts_with($text, "\x1F\x8B")) {
            $text = (string) @gzdecode($text, self::LARGEST);
        }
        if (! str_contains($text, '<')) {
            // The protocol has a plain form too: an address a line.
            preg_match_all('~^https?://\S+~m', $text, $found);

            return new self(array_slice($found[0], 0, $most), [], left: max(0, count($found[0]) - $most));
        }
        // Elements are read one by one: a sitemap may have 50,000 addresses. No entity is ever resolved.
        $xml = new XMLReader;
        $before = libxml_use_internal_errors(true);
        $xml->XML((string) preg_replace('/<!DOCTYPE[^>\[]*(?:\[.*?\]\s*)?>/s', '', $text), null, LIBXML_NONET | LIBXML_COMPACT);
        $found = ['url' => [], 'sitemap' => []];
        $modified = [];
        [$in, $address, $left] = ['', '', 0];
        while (@$xml->read()) {
            if ($xml->nodeType !== XMLReader::ELEMENT) {
                continue;
            }
            $name = $xml->localName;
            if ($name === 'url' || $name === 'sitemap') {
                [$in, $address] = [$name, ''];
            } elseif ($in !== '' && $name === 'loc' && $address === '') {
                $address = trim(html_entity_decode($xml->readString(), ENT_QUOTES | ENT_XML1));
                if (! Address::isWeb($address) || strlen($address) > self::LONGEST) {
                    $in = '';
                } elseif (count($found[$in]) >= $most) {
                    $left++;
                } else {
                    $found[$in][] = $address;
                }
            } elseif ($in === 'url' && $name === 'lastmod' && $address !== '' && count($found['url']) <= $most) {
                $modified[$address] = mb_strcut(trim($xml->readString()), 0, 40);
            }
        }
        $xml->close();
        libxml_clear_errors();
        libxml_use_internal_errors($before);

        return new self($found['url'], $found['sitemap'], $modified, $left);
    }
}
