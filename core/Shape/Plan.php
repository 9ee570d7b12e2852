<?php

declare(strict_types=1);

namespace Gnomic\Shape;

use DateTimeImmutable;
use DateTimeZone;
use Gnomic\Brief\Allowed;
use Gnomic\Brief\Brief;
use Gnomic\Brief\Layout;
use Gnomic\Brief\Limits;
use Gnomic\Brief\Numbers;
use Gnomic\Brief\ShapeWanted;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Sift\Circumstances;
use Gnomic\Sift\HonestLine;
use Gnomic\Standing\Overall;
use IntlDateFormatter;

/** Everything that a widget shows, decided; what is left is to write it down. */
final readonly class Plan
{
    /** Pictures of an entry that a card shows. */
    private const MOST_SHOTS = 4;

    /**
     * @param  list<Card>  $cards
     * @param  string|null  $figure  the overall rating as it is shown, "4.6"
     * @param  string|null  $base  what it rests on: "from 318 ratings on three services"
     * @param  array<int, int>|null  $spread  ratings by stars 1 to 5
     * @param  list<HonestLine>  $honest  what a selection says of itself, in English first; none where it is none
     * @param  list<array{from: int, to: int|null, cards: int}>  $fewer  widths in CSS pixels at which not all cards are shown
     * @param  array<int, int>  $breakpoints  cards across, by least width
     */
    private function __construct(
        public Layout $layout,
        public array $cards,
        public ?string $heading,
        public ?string $figure,
        public ?string $base,
        public ?array $spread,
        public array $honest,
        public array $fewer,
        public int $across,
        public array $breakpoints,
        public ?int $autoplay,
    ) {
    }

    /**
     * @param  list<Entry>  $shown  in their order
     * @param  Overall  $overall  over everything collected from the brief's sources
     * @param  array<string, string>  $saidAt  where the entries of a source were said, by its key
     * @param  DateTimeZone  $zone  the site's, for the days shown
     * @param  array<string, Kept>  $pictures  those that are kept, by their address at the source
     */
    public static function of(Brief $brief, Circumstances $around, array $shown, Overall $overall, array $saidAt, DateTimeZone $zone, array $pictures = []): self
    {
        $shape = $brief->shape;
        $isWhole = fn (Entry $entry): bool => ($brief->allowed[$around->channelOf((string) $entry->source)] ?? null) === Allowed::Whole;
        $across = $shape->layout === Layout::List ? 1 : $shape->across;
        $inHead = fn (string $part): bool => in_array($part, $shape->head, true) && $overall->count > 0;

        return new self(
            layout: $shape->layout,
            cards: array_map(fn (Entry $entry): Card => self::card($shape, $entry, $isWhole($entry) ? null : $shape->shorten, $saidAt, $zone, $pictures), $shown),
            heading: $shape->heading,
            figure: $inHead('overall') ? $overall->shown() : null,
            base: $inHead('count') ? self::base($overall, $zone) : null,
            spread: $inHead('spread') ? $overall->spread : null,
            honest: $shape->honest ? HonestLine::each($brief, $around, $overall->count) : [],
            fewer: self::fewer($brief, $across, count($shown)),
            across: $across,
            breakpoints: Across::breakpoints($across),
            autoplay: $shape->layout === Layout::Carousel ? $shape->autoplay : null,
        );
    }

    /** How many cards stand side by side at a width in CSS pixels. */
    public function acrossAt(int $width): int
    {
        return Across::at($width, $this->across);
    }

    /** How many cards are shown at a width in CSS pixels. */
    public function cardsAt(int $width): int
    {
        foreach ($this->fewer as ['from' => $from, 'to' => $to, 'cards' => $cards]) {
            if ($width >= $from && ($to === null || $width < $to)) {
                return $cards;
            }
        }

        return count($this->cards);
    }

    /**
     * The brief's limits by width, and whole rows only where it wants that; a row that cannot be filled at all stays.
     *
     * @return list<array{from: int, to: int|null, cards: int}> the first width that counts, and the first that does not any more
     */
    private static function fewer(Brief $brief, int $across, int $shown): array
    {
        $edges = array_unique([0, Limits::TABLET, Limits::DESKTOP, ...array_keys(Across::breakpoints($across))]);
        sort($edges);
        $fewer = [];
        foreach ($edges as $index => $from) {
            $cards = min($shown, $brief->limits->at($from));
            $inRow = Across::at($from, $across);
            $cards = $brief->shape->wholeRows && $cards > $inRow ? $cards - $cards % $inRow : $cards;
            if ($cards < $shown) {
                $fewer[] = ['from' => $from, 'to' => $edges[$index + 1] ?? null, 'cards' => $cards];
            }
        }

        return $fewer;
    }

    private static function base(Overall $overall, DateTimeZone $zone): string
    {
        $ratings = number_format($overall->count).($overall->count === 1 ? ' rating' : ' ratings');
        $since = $overall->since === null ? '' : ' since '.(new DateTimeImmutable("@$overall->since"))->setTimezone($zone)->format('F Y');

        return "from $ratings".($overall->sources > 1 ? ' at '.Numbers::counted($overall->sources, 'source') : '').$since;
    }

    /**
     * @param  array<string, string>  $saidAt
     * @param  array<string, Kept>  $pictures
     */
    private static function card(ShapeWanted $shape, Entry $entry, ?int $shorten, array $saidAt, DateTimeZone $zone, array $pictures): Card
    {
        $shows = fn (string $part): bool => in_array($part, $shape->card, true);
        $short = Shortening::to($shorten, $entry->text);
        $stars = $shows('rating') ? $entry->stars() : null;
        $date = $shows('date') ? $entry->published : null;

        return new Card(
            id: $entry->id,
            rating: $stars === null ? null : $entry->rating?->spoken(),
            halves: $stars === null ? null : (int) round($stars * 2),
            title: $shows('title') ? $entry->title : null,
            words: $shows('words') && $short->text !== '' ? $short->text : null,
            whole: $shows('words') && $short->isShortened ? $entry->text : null,
            language: $entry->language,
            name: $shows('name') ? $shape->names->of($entry->author->name) : null,
            when: $date === null ? null : self::day($date, $zone),
            date: EntryJson::date($date?->setTimezone($zone)),
            where: $shows('source') ? ($saidAt[(string) $entry->source] ?? $entry->source) : null,
            url: $shows('source') ? $entry->url : null,
            reply: $shows('reply') ? $entry->reply?->text : null,
            face: $shows('face') && $entry->author->name !== null ? Face::of($entry->author->name, $pictures[(string) $entry->author->image] ?? null) : null,
            shots: $shows('pictures') ? self::shots($entry, $pictures) : [],
        );
    }

    /**
     * @param  array<string, Kept>  $pictures
     * @return list<Shot>
     */
    private static function shots(Entry $entry, array $pictures): array
    {
        $shots = [];
        foreach ($entry->media as $media) {
            $kept = $pictures[$media->url] ?? null;
            if ($kept !== null) {
                $shots[] = new Shot($kept, $media->alt);
            }
        }

        return array_slice($shots, 0, self::MOST_SHOTS);
    }

    /** "12 November 2026", by CLDR's long form of British English. */
    private static function day(DateTimeImmutable $date, DateTimeZone $zone): string
    {
        $format = new IntlDateFormatter('en_GB', IntlDateFormatter::LONG, IntlDateFormatter::NONE, $zone);

        return (string) $format->format($date->getTimestamp());
    }
}
