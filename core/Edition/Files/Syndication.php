<?php

declare(strict_types=1);

namespace Gnomic\Edition\Files;

use DateTimeImmutable;
use Gnomic\Edition\Plan\Cards;
use Gnomic\Edition\Plan\Plan;
use Gnomic\Entry\Entry;
use Gnomic\Shape\Card\Card;
use Gnomic\Shape\Parts\DatePart;
use Gnomic\Shape\Parts\NamePart;
use Gnomic\Shape\Parts\RatingPart;
use Gnomic\Shape\Parts\TitlePart;
use Gnomic\Shape\Parts\WordsPart;
use Gnomic\Text\Words;
use XMLWriter;

/** The shown entries as Atom (RFC 4287) and as RSS 2.0 (rssboard.org/rss-specification); of each no more than its card has. */
final class Syndication
{
    /**
     * @param  Plan|null  $plan  null where nothing is shown
     * @param  list<Entry>  $shown  in the order of its cards
     */
    public static function atom(string $host, string $key, string $name, ?Plan $plan, array $shown): string
    {
        $xml = self::begin();
        $xml->startElementNs(null, 'feed', 'http://www.w3.org/2005/Atom');
        $xml->writeElement('id', "$host/w/$key");
        $xml->writeElement('title', self::plain($name));
        $xml->writeElement('updated', self::newest($shown)->format(DATE_RFC3339));
        self::link($xml, 'self', "$host/w/$key.atom", 'application/atom+xml');
        self::link($xml, 'alternate', "$host/w/$key", 'text/html');
        foreach (self::cards($plan, $shown) as [$card, $entry]) {
            $xml->startElement('entry');
            $xml->writeElement('id', "$host/w/$key#$card->ref");
            $xml->writeElement('title', self::title($card, $name));
            $xml->writeElement('updated', ($entry->updated ?? $entry->published ?? self::newest([]))->format(DATE_RFC3339));
            if ($card->part(DatePart::class) !== null && $entry->published !== null) {
                $xml->writeElement('published', $entry->published->format(DATE_RFC3339));
            }
            $xml->startElement('author');
            $xml->writeElement('name', self::plain($card->part(NamePart::class)->text ?? $name));
            $xml->endElement();
            if ($card->url !== null) {
                self::link($xml, 'alternate', $card->url, 'text/html');
            }
            $xml->startElement('content');
            $xml->writeAttribute('type', 'text');
            if ($entry->language !== null) {
                $xml->writeAttribute('xml:lang', $entry->language);
            }
            $xml->text(self::plain(self::body($card)));
            $xml->endElement();
            $xml->endElement();
        }
        $xml->endElement();

        return $xml->outputMemory();
    }

    /**
     * @param  Plan|null  $plan  null where nothing is shown
     * @param  list<Entry>  $shown  in the order of its cards
     */
    public static function rss(string $host, string $key, string $name, ?Plan $plan, array $shown): string
    {
        $xml = self::begin();
        $xml->startElement('rss');
        $xml->writeAttribute('version', '2.0');
        $xml->writeAttribute('xmlns:atom', 'http://www.w3.org/2005/Atom');
        $xml->startElement('channel');
        $xml->writeElement('title', self::plain($name));
        $xml->writeElement('link', "$host/w/$key");
        $xml->writeElement('description', self::plain($name));
        $xml->startElement('atom:link');
        $xml->writeAttribute('rel', 'self');
        $xml->writeAttribute('href', "$host/w/$key.rss");
        $xml->writeAttribute('type', 'application/rss+xml');
        $xml->endElement();
        foreach (self::cards($plan, $shown) as [$card, $entry]) {
            $xml->startElement('item');
            $xml->writeElement('title', self::title($card, $name));
            if ($card->url !== null) {
                $xml->writeElement('link', $card->url);
            }
            $xml->startElement('guid');
            $xml->writeAttribute('isPermaLink', 'false');
            $xml->text("$host/w/$key#$card->ref");
            $xml->endElement();
            if ($card->part(DatePart::class) !== null && $entry->published !== null) {
                $xml->writeElement('pubDate', $entry->published->format(DATE_RFC2822));
            }
            // Its text is taken for markup by whoever reads it: twice escaped.
            $xml->writeElement('description', nl2br(htmlspecialchars(self::plain(self::body($card)), ENT_NOQUOTES), false));
            $xml->endElement();
        }
        $xml->endElement();
        $xml->endElement();

        return $xml->outputMemory();
    }

    private static function begin(): XMLWriter
    {
        $xml = new XMLWriter;
        $xml->openMemory();
        $xml->startDocument('1.0', 'UTF-8');

        return $xml;
    }

    private static function link(XMLWriter $xml, string $rel, string $href, string $type): void
    {
        $xml->startElement('link');
        $xml->writeAttribute('rel', $rel);
        $xml->writeAttribute('type', $type);
        $xml->writeAttribute('href', $href);
        $xml->endElement();
    }

    /**
     * @param  list<Entry>  $shown
     * @return list<array{Card, Entry}>
     */
    private static function cards(?Plan $plan, array $shown): array
    {
        $cards = [];
        foreach ($plan->cards ?? [] as $index => $card) {
            if (isset($shown[$index])) {
                $cards[] = [$card, $shown[$index]];
            }
        }

        return $cards;
    }

    /** @param  list<Entry>  $shown */
    private static function newest(array $shown): DateTimeImmutable
    {
        $dates = array_filter(array_map(fn (Entry $entry): ?DateTimeImmutable => $entry->updated ?? $entry->published, $shown));

        return $dates === [] ? new DateTimeImmutable('1970-01-01T00:00:00Z') : max($dates);
    }

    /** Told by what the card has: of a card of words alone, their beginning, and of one of a picture alone, the feed's name. */
    private static function title(Card $card, string $name): string
    {
        $who = implode(', ', array_filter(
            [$card->part(NamePart::class)?->text, $card->part(RatingPart::class)?->text],
            Words::isFilled(...),
        ));

        $title = $card->part(TitlePart::class)->text ?? ($who === '' ? null : $who);

        return self::plain($title ?? Cards::beginning((string) $card->part(WordsPart::class)?->text) ?? $name);
    }

    private static function body(Card $card): string
    {
        $parts = [$card->part(RatingPart::class)?->text, $card->part(WordsPart::class)?->whole()];

        return implode("\n", array_filter($parts, fn (?string $part): bool => $part !== null && $part !== ''));
    }

    /** Without the signs that XML has no way to write. */
    private static function plain(string $text): string
    {
        return (string) preg_replace('/[^\x{9}\x{A}\x{D}\x{20}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}]/u', '', mb_scrub($text));
    }
}
