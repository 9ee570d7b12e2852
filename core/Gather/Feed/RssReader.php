<?php

declare(strict_types=1);

namespace Gnomic\Gather\Feed;

use DOMElement;
use Gnomic\Dates\DateReader;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Entry\Html;
use Gnomic\Entry\Kind;
use Gnomic\Gather\Problem;
use Gnomic\Gather\Reading;
use Gnomic\Text\Address;
use Gnomic\Text\Echoed;
use Gnomic\Text\LanguageTag;
use Gnomic\Text\Words;

/** RSS 0.90 to 2.0 and RSS 1.0, with the modules content, Dublin Core, Media RSS and slash. */
final class RssReader
{
    /** Where an item may name its date, the surest first. */
    private const DATES = ['pubDate', 'dc:date', 'dcterms:issued', 'dcterms:created', 'atom:published', 'pubdate', 'date', 'atom:updated'];

    public static function read(XmlDocument $xml, ?string $address): Reading
    {
        /** @var DOMElement $root */
        $root = $xml->document->documentElement;
        $head = strtolower((string) $root->localName) === 'channel' ? $root : (Html::elements($root, 'channel')[0] ?? $root);
        $channel = Fields::of($head, 'rss', $address);
        $language = $channel->text('language', 'dc:language') ?? $channel->language();
        $problems = $xml->problems;
        $seen = [];
        $entries = [];
        foreach (XmlDocument::bounded($root, $problems) as $index => $item) {
            $entries[] = self::item(Fields::of($item, 'rss', $address), $language, 'item '.($index + 1), $problems, $seen);
        }

        return new Reading(self::format($root), $entries, $problems, self::plain($channel->text('title')),
            Address::webOrNull($channel->text('link'), $channel->base()));
    }

    /**
     * @param  list<Problem>  $problems
     * @param  array<string, int>  $seen
     */
    private static function item(Fields $item, ?string $language, string $where, array &$problems, array &$seen): Entry
    {
        $base = $item->base();
        $link = Address::webOrNull(self::link($item), $base);
        $html = $item->text('content:encoded', 'xhtml:body', 'description', 'dc:description', 'atom:content', 'atom:summary');
        $body = $html === null ? Body::none() : Body::ofHtml($html, $base ?? $link);
        $title = self::plain($item->text('title', 'dc:title', 'media:title'));
        $written = $item->text(...self::DATES);
        $published = $written === null ? null : DateReader::read($written);
        if ($written !== null && $published === null) {
            $problems[] = new Problem($where, Echoed::quoted($written).' is no date that can be read; the item has none.');
        }
        $updated = $item->text('dcterms:modified', 'atom:updated');
        $media = new MediaList($base);
        foreach ($item->all('enclosure') as $enclosure) {
            $media->add($enclosure->getAttribute('url'), Words::filled($enclosure->getAttribute('type')));
        }
        $media->addMediaRss($item);
        $media->addPictures($body->pictures);
        $about = Words::filled($item->element->getAttributeNS('http://www.w3.org/1999/02/22-rdf-syntax-ns#', 'about'))
            ?? Words::filled($item->element->getAttribute('rdf:about'));

        return new Entry(
            id: Identity::unique(
                Identity::of(
                    $item->text('guid', 'atom:id') ?? $about,
                    $link,
                    $title,
                    EntryJson::date($published),
                    $body->text,
                ),
                $seen,
            ),
            kind: Kind::Post,
            url: $link,
            author: self::author($item),
            title: $title,
            text: $body->text,
            html: $body->html,
            language: LanguageTag::orNull($item->language($item->element) ?? $item->text('dc:language'))
                ?? LanguageTag::orNull($language),
            published: $published,
            updated: $updated === null ? null : DateReader::read($updated),
            media: $media->all(),
            tags: self::tags($item),
            original: $body->original,
            comments: self::count($item->text('slash:comments', 'thr:total')),
        );
    }

    /** The item's link; else Atom's; else a guid that is an address and does not say it is none. */
    private static function link(Fields $item): ?string
    {
        $link = $item->text('link');
        foreach ($link === null ? $item->all('atom:link') : [] as $atom) {
            if (in_array($atom->getAttribute('rel'), ['', 'alternate'], true)) {
                $link ??= $atom->getAttribute('href');
            }
        }
        $guid = $item->first('guid');
        if (
            $link === null
            && $guid !== null
            && strtolower($guid->getAttribute('isPermaLink')) !== 'false'
            && preg_match('~^https?://~i', trim($guid->textContent)) === 1
        ) {
            return trim($guid->textContent);
        }

        return $link;
    }

    /** RSS's own author is an e-mail address with a name behind it: "jo@example.org (Jo Moss)". The address is never kept. */
    private static function author(Fields $item): Author
    {
        $written = $item->text('dc:creator') ?? $item->text('author') ?? $item->text('itunes:author', 'media:credit');
        $atom = $item->first('atom:author');
        if ($written === null && $atom !== null) {
            $written = Fields::of($atom, 'atom', null)->text('name');
        }
        $withoutAddress = preg_replace('/\s*<\S+@\S+>\s*$/u', '', (string) $written);
        $name = Words::line(trim(Html::toText((string) $withoutAddress), ' "'));
        if ($name !== null && preg_match('/^\S+@\S+\s*\((.+)\)$/u', $name, $found) === 1) {
            $name = $found[1];
        } elseif ($name !== null && preg_match('/^\S+@\S+\.\S+$/', $name) === 1) {
            $name = null;
        }

        return new Author($name);
    }

    /** @return list<string> */
    private static function tags(Fields $item): array
    {
        $tags = [];
        foreach ([...$item->all('category'), ...$item->all('dc:subject')] as $category) {
            $tags[] = self::plain($category->textContent);
        }

        return array_values(array_unique(array_filter($tags, fn (?string $tag): bool => $tag !== null)));
    }

    /** Titles hold entities and markup as often as plain text; what is no tag of HTML in them is text. */
    private static function plain(?string $text): ?string
    {
        $isMarkup = preg_match(
            '~</?(?:a|abbr|b|big|br|cite|code|del|em|font|i|img|ins|mark|p|q|s|small|span|strong|sub|sup|tt|u)(?:\s[^>]*)?/?>~i',
            (string) $text,
        ) === 1;

        return Words::line($isMarkup ? Html::toText((string) $text) : html_entity_decode((string) $text, ENT_QUOTES | ENT_HTML5, 'UTF-8'));
    }

    private static function count(?string $text): ?int
    {
        return preg_match('/^\d{1,9}$/', (string) $text) === 1 ? (int) $text : null;
    }

    private static function format(DOMElement $root): string
    {
        if (strtolower((string) $root->localName) === 'rdf') {
            return str_contains((string) $root->firstElementChild?->namespaceURI, 'netscape.com') ? 'RSS 0.90' : 'RSS 1.0';
        }

        return trim('RSS '.$root->getAttribute('version'));
    }
}
