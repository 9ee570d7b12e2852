<?php

declare(strict_types=1);

namespace Gnomic\Gather\Page;

use DOMDocument;
use Gnomic\Entry\Html;

/** The addresses of a sitemap (sitemaps.org): pages, or further sitemaps. */
final readonly class Sitemap
{
    /**
     * @param  list<string>  $pages
     * @param  list<string>  $sitemaps
     */
    private function __construct(public array $pages, public array $sitemaps)
    {
    }

    public static function read(string $text, int $most): self
    {
        if (! str_contains($text, '<')) {
            // The protocol has a plain form too: an address a line.
            preg_match_all('~^https?://\S+$~m', $text, $found);

            return new self(array_slice($found[0], 0, $most), []);
        }
        $document = new DOMDocument;
        $before = libxml_use_internal_errors(true);
        $document->recover = true;
        $document->loadXML((string) preg_replace('/<!DOCTYPE[^>\[]*(?:\[.*?\]\s*)?>/s', '', $text), LIBXML_NONET);
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        $pages = $sitemaps = [];
        foreach (Html::elements($document, 'loc') as $element) {
            match ($element->parentNode?->localName) {
                'sitemap' => $sitemaps[] = trim($element->textContent),
                'url' => $pages[] = trim($element->textContent),
                default => null,
            };
        }

        return new self(array_slice($pages, 0, $most), array_slice($sitemaps, 0, $most));
    }
}
