<?php

declare(strict_types=1);

namespace Gnomic\Gather\Page;

use DOMDocument;
use DOMElement;
use Gnomic\Entry\Html;
use Gnomic\Text\Address;

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
        // What a saved file begins with is none of it; of two bytes a letter, it says so itself.
        $text = match (true) {
            str_starts_with($text, "\xFF\xFE") => (string) mb_convert_encoding(substr($text, 2), 'UTF-8', 'UTF-16LE'),
            str_starts_with($text, "\xFE\xFF") => (string) mb_convert_encoding(substr($text, 2), 'UTF-8', 'UTF-16BE'),
            default => (string) preg_replace('/^\xEF\xBB\xBF/', '', $text),
        };
        if (! str_contains($text, '<')) {
            // The protocol has a plain form too: an address a line.
            preg_match_all('~^[ \t]*(https?://\S+)~mi', (string) preg_replace('/\r\n?/', "\n", $text), $found);

            return new self(array_slice($found[1], 0, $most), [], left: max(0, count($found[1]) - $most));
        }
        $document = new DOMDocument;
        $before = libxml_use_internal_errors(true);
        // What is broken is read as far as it can be. No entity is ever resolved.
        $document->recover = true;
        $text = (string) preg_replace('/<!DOCTYPE[^>\[]*(?:\[.*?\]\s*)?>/s', '', $text);
        // An "&" that begins no entity stands for itself, as those who forget to escape it mean.
        $text = (string) preg_replace('/&(?!(?:[a-z][a-z0-9]{1,30}|#\d{1,7}|#x[0-9a-f]{1,6});)/i', '&amp;', $text);
        $document->loadXML($text, LIBXML_NONET | LIBXML_COMPACT);
        $feed = self::feed($document, $most);
        if ($feed !== null) {
            libxml_clear_errors();
            libxml_use_internal_errors($before);

            return $feed;
        }
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        $found = ['url' => [], 'sitemap' => []];
        $modified = [];
        $left = 0;
        $elements = Html::elements($document, 'loc');
        // Of one that was cut off, the address at the cut is only a part of one.
        if (preg_match('~loc\s*>[^<]*$~i', $text) === 1 && preg_match('~</(?:\w+:)?loc\s*>[^<]*$~i', $text) !== 1) {
            array_pop($elements);
        }
        foreach ($elements as $element) {
            $in = (string) $element->parentNode?->localName;
            $address = trim($element->textContent);
            if (! isset($found[$in]) || ! Address::isWeb($address) || strlen($address) > self::LONGEST) {
                continue;
            }
            if (count($found[$in]) >= $most) {
                $left++;

                continue;
            }
            $found[$in][] = $address;
            $changed = self::beside($element, 'lastmod');
            if ($in === 'url' && $changed !== '') {
                $modified[$address] = mb_strcut($changed, 0, 40);
            }
        }

        return new self($found['url'], $found['sitemap'], $modified, $left);
    }

    /** The protocol takes feeds, too: the addresses that the items of RSS or Atom lead to. */
    private static function feed(DOMDocument $document, int $most): ?self
    {
        $root = strtolower((string) $document->documentElement?->localName);
        if (! in_array($root, ['rss', 'rdf', 'feed'], true)) {
            return null;
        }
        $pages = [];
        foreach ($document->getElementsByTagName('*') as $element) {
            $isLink = strcasecmp((string) $element->localName, 'link') === 0
                && in_array(strtolower((string) $element->parentNode?->localName), ['item', 'entry'], true)
                && in_array($element->getAttribute('rel'), ['', 'alternate'], true);
            $address = trim($element->getAttribute('href') !== '' ? $element->getAttribute('href') : $element->textContent);
            if ($isLink && Address::isWeb($address) && strlen($address) <= self::LONGEST) {
                $pages[$address] = true;
            }
        }

        return new self(array_map(strval(...), array_slice(array_keys($pages), 0, $most)), [], left: max(0, count($pages) - $most));
    }

    private static function beside(DOMElement $element, string $name): string
    {
        for ($at = $element->parentNode?->firstChild; $at !== null; $at = $at->nextSibling) {
            if ($at instanceof DOMElement && $at->localName === $name) {
                return trim($at->textContent);
            }
        }

        return '';
    }
}
