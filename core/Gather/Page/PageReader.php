<?php

declare(strict_types=1);

namespace Gnomic\Gather\Page;

use DOMDocument;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Html;
use Gnomic\Gather\Feed\Discovery;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Problem;
use Gnomic\Gather\Reading;
use Gnomic\Text\Address;
use Gnomic\Text\Charset;
use Gnomic\Text\Words;

/** Reads what is marked up in a page: reviews in JSON-LD, microdata and RDFa; reviews and posts in microformats. */
final class PageReader
{
    /** Bytes of a page that are read; the fetching has its own, larger bound. */
    private const MOST = 4_000_000;

    private const MOST_LINKS = 300;

    /**
     * @param  string|null  $contentType  as sent with the page
     * @param  string|null  $address  where it came from
     */
    public static function read(string $bytes, ?string $contentType = null, ?string $address = null): PageReading
    {
        $charset = Charset::decoded(substr($bytes, 0, self::MOST), self::declared($contentType, $bytes));
        $problems = $charset->problem === null ? [] : [new Problem('', $charset->problem)];
        $document = Html::document($charset->text);
        $base = Html::elements($document, 'base')[0] ?? null;
        $base = $base === null ? $address : Address::resolved($base->getAttribute('href'), $address);
        $title = Html::elements($document, 'title')[0] ?? null;

        $schema = new SchemaReviews($base, $problems);
        foreach ([
            ...JsonLd::itemsIn($document, $schema->problems),
            ...Microdata::itemsIn($document, $base),
            ...Rdfa::itemsIn($document, $base),
        ] as $item) {
            $schema->take($item);
        }
        $formats = new FormatEntries($base, $schema->problems);
        foreach (Microformats::itemsIn($document, $base) as $item) {
            $formats->take($item);
        }
        $entries = self::once([...$schema->entries, ...$formats->entries]);
        $described = array_values([
            ...$schema->described,
            ...array_diff_key($formats->described, array_flip(array_map(fn (Described $one): string => $one->name, $schema->described))),
        ]);

        return new PageReading(
            new Reading('Page', $entries, $formats->problems, Words::line($title?->textContent), $address),
            $described,
            Discovery::feedsIn($charset->text, $address),
            self::links($document, $base),
        );
    }

    /** @return list<string> */
    private static function links(DOMDocument $document, ?string $base): array
    {
        $links = [];
        foreach (Html::elements($document, 'a') as $link) {
            $url = Address::webOrNull((string) preg_replace('/#.*$/s', '', $link->getAttribute('href')), $base);
            if ($url !== null && $link->hasAttribute('href')) {
                $links[$url] = true;
            }
            if (count($links) >= self::MOST_LINKS) {
                break;
            }
        }

        return array_map(strval(...), array_keys($links));
    }

    /** @throws PayloadIsUnreadable where it marks up neither a review nor a post */
    public static function entries(string $bytes, ?string $contentType = null, ?string $address = null): Reading
    {
        $page = self::read($bytes, $contentType, $address);
        if ($page->reading->entries === []) {
            throw PayloadIsUnreadable::without('reviews marked up', match (count($page->feeds)) {
                0 => 'It has none as JSON-LD, microdata, RDFa or microformats, and names no feed. Give the page that lists the '
                    .'reviews, or upload them as a spreadsheet.',
                default => 'It names a feed, though: give the address '.$page->feeds[0]->address.' instead.',
            });
        }

        return $page->reading;
    }

    /**
     * Pages say the same twice, for one program and for another: by author, day and the beginning of the words.
     *
     * @param  list<Entry>  $entries
     * @return list<Entry>
     */
    private static function once(array $entries): array
    {
        $kept = $ids = [];
        foreach ($entries as $entry) {
            $words = mb_substr((string) preg_replace('/\W+/u', '', mb_strtolower($entry->text)), 0, 80);
            $key = implode(
                "\n",
                [
                    mb_strtolower((string) $entry->author->name),
                    $words === '' ? "$entry->title ".$entry->stars().' '.$entry->published?->format('Y-m-d') : $words,
                ],
            );
            $number = $ids[$entry->id] ?? 0;
            if (isset($kept[$key])) {
                continue;
            }
            $ids[$entry->id] = $number + 1;
            // One identifier on several reviews is the page's, not theirs.
            $kept[$key] = $number === 0 ? $entry : $entry->with(id: $entry->id.'#'.substr(hash('sha256', $key), 0, 12));
        }

        return array_values($kept);
    }

    private static function declared(?string $contentType, string $bytes): ?string
    {
        if (preg_match('/charset\s*=\s*["\']?([^\s;"\']+)/i', (string) $contentType, $found) === 1) {
            return $found[1];
        }

        return preg_match('/<meta[^>]+charset\s*=\s*["\']?\s*([\w-]+)/i', substr($bytes, 0, 2048), $found) === 1 ? $found[1] : null;
    }
}
