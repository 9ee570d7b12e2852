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

/** Atom 1.0 (RFC 4287) and its forerunner 0.3, with Media RSS and the threading extension's counts. */
final class AtomReader
{
    public static function read(XmlDocument $xml, ?string $address): Reading
    {
        /** @var DOMElement $root */
        $root = $xml->document->documentElement;
        $feed = Fields::of($root, 'atom', $address);
        $problems = $xml->problems;
        $seen = [];
        $entries = [];
        foreach (XmlDocument::bounded($root, $problems) as $index => $entry) {
            $entries[] = self::entry(Fields::of($entry, 'atom', $address), $feed, 'entry '.($index + 1), $problems, $seen);
        }
        $old = $root->namespaceURI === 'http://purl.org/atom/ns#';

        return new Reading(
            $old ? 'Atom 0.3' : 'Atom 1.0',
            $entries,
            $problems,
            self::line($feed->first('title')),
            self::link($feed, 'alternate'),
        );
    }

    /**
     * @param  list<Problem>  $problems
     * @param  array<string, int>  $seen
     */
    private static function entry(Fields $entry, Fields $feed, string $where, array &$problems, array &$seen): Entry
    {
        $content = self::body($entry, $entry->first('content'));
        $body = $content->text === '' && $content->pictures === [] ? self::body($entry, $entry->first('summary')) : $content;
        $updated = self::date($entry, $where, $problems, 'updated', 'modified');
        $published = self::date($entry, $where, $problems, 'published', 'issued', 'created');
        $link = self::link($entry, 'alternate');
        $title = self::line($entry->first('title'));
        $media = new MediaList($entry->base());
        foreach ($entry->all('link') as $enclosure) {
            if ($enclosure->getAttribute('rel') === 'enclosure') {
                $media->add(Address::resolved(
                    $enclosure->getAttribute('href'),
                    $entry->base($enclosure),
                ), Words::filled($enclosure->getAttribute('type')), alt: Words::filled($enclosure->getAttribute('title')));
            }
        }
        $media->addMediaRss($entry);
        $media->addPictures($body->pictures);

        return new Entry(
            id: Identity::unique(
                Identity::of($entry->text('id'), $link, $title, EntryJson::date($published ?? $updated), $body->text),
                $seen,
            ),
            kind: Kind::Post,
            url: $link,
            author: self::author($entry, $feed),
            title: $title,
            text: $body->text,
            html: $body->html,
            language: LanguageTag::orNull($entry->language($entry->first('content', 'summary')) ?? $entry->language()),
            published: $published ?? $updated, // RFC 4287 requires only the second
            updated: $published !== null && ($updated <=> $published) !== 0 ? $updated : null,
            media: $media->all(),
            tags: self::tags($entry),
            original: $body->original,
            comments: preg_match('/^\d{1,9}$/', (string) $entry->text('thr:total')) === 1 ? (int) $entry->text('thr:total') : null,
        );
    }

    /** RFC 4287 §3.1 and §4.1.3: text, html (escaped) or xhtml (a div that is not part of the words). */
    private static function body(Fields $entry, ?DOMElement $construct): Body
    {
        if ($construct === null || $construct->hasAttribute('src')) {
            return Body::none();
        }
        $type = strtolower(Words::filled($construct->getAttribute('type')) ?? 'text');
        $base = $entry->base($construct);

        return match (true) {
            $type === 'html', $type === 'text/html' => Body::ofHtml($construct->textContent, $base),
            $type === 'xhtml', str_contains($type, 'xhtml') => Body::ofHtml(Fields::inner(self::div($construct)), $base),
            $construct->getAttribute('mode') === 'escaped' => Body::ofHtml($construct->textContent, $base), // Atom 0.3
            $type === 'text', str_starts_with($type, 'text/') => Body::ofText($construct->textContent),
            default => Body::none(), // pictures in base 64, XML of other kinds
        };
    }

    private static function div(DOMElement $construct): DOMElement
    {
        $first = $construct->firstElementChild;

        return $first !== null && strtolower((string) $first->localName) === 'div' ? $first : $construct;
    }

    private static function line(?DOMElement $construct): ?string
    {
        if ($construct === null) {
            return null;
        }
        $escaped = in_array(strtolower($construct->getAttribute('type')), ['html', 'text/html'], true);

        return Words::line($escaped ? Html::toText($construct->textContent) : $construct->textContent);
    }

    private static function link(Fields $fields, string $relation): ?string
    {
        foreach ($fields->all('link') as $link) {
            $rel = Words::filled($link->getAttribute('rel')) ?? 'alternate';
            if ($rel === $relation || $rel === "http://www.iana.org/assignments/relation/$relation") {
                return Address::webOrNull($link->getAttribute('href'), $fields->base($link));
            }
        }

        return null;
    }

    /** RFC 4287 §4.2.1: the entry's authors, else those of its source, else the feed's. */
    private static function author(Fields $entry, Fields $feed): Author
    {
        $source = $entry->first('source');
        $author = $entry->first('author')
            ?? ($source === null ? null : Fields::of($source, 'atom', null)->first('author'))
            ?? $feed->first('author');
        if ($author === null) {
            return new Author(Words::line($entry->text('dc:creator')));
        }
        $person = Fields::of($author, 'atom', $feed->base($author));

        return new Author(Words::line($person->text('name')), url: Address::webOrNull($person->text('uri', 'url'), $person->base()));
    }

    /** @param  list<Problem>  $problems */
    private static function date(Fields $entry, string $where, array &$problems, string ...$names): ?\DateTimeImmutable
    {
        $written = $entry->text(...$names);
        $date = $written === null ? null : DateReader::read($written);
        if ($written !== null && $date === null) {
            $problems[] = new Problem($where, Echoed::quoted($written).' is no date that can be read; it was left out.');
        }

        return $date;
    }

    /** @return list<string> */
    private static function tags(Fields $entry): array
    {
        $tags = [];
        foreach ($entry->all('category') as $category) {
            $named = Words::filled($category->getAttribute('label')) ?? Words::filled($category->getAttribute('term'));
            $tags[] = Words::line($named ?? $category->textContent);
        }
        foreach ($entry->all('dc:subject') as $subject) {
            $tags[] = Words::line($subject->textContent);
        }

        return array_values(array_unique(array_filter($tags, fn (?string $tag): bool => $tag !== null)));
    }
}
