<?php

declare(strict_types=1);

namespace Gnomic\Edition;

use DateTimeImmutable;
use DateTimeZone;
use Gnomic\Brief\Brief;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Entry\Rating;
use Gnomic\Shape\Layout;
use Gnomic\Shape\Shortening;
use Gnomic\Sift\Allowed;
use Gnomic\Sift\Clauses\AllowedByChannel;
use Gnomic\Sift\Limits;
use Gnomic\Sift\SiteContext;
use Gnomic\Standing\Overall;
use Gnomic\Text\Catalogue;

/** Everything that a widget shows, decided and in words; what is left is to write it down. */
final readonly class Plan
{
    /** Pictures of an entry that a card shows. */
    private const MOST_PICTURES = 4;

    /** Takes the place of a source's name, to find what stands around it. */
    private const NAME = "\u{FFFC}";

    /**
     * @param  list<Card>  $cards
     * @param  string|null  $figure  the overall rating as it is shown, "4.6"
     * @param  string|null  $base  what it rests on: "from 318 ratings on three services"
     * @param  array<int, int>|null  $spread  ratings by stars 1 to 5
     * @param  HonestLine|null  $honest  what a selection says of itself; null where it is none
     * @param  list<array{from: int, to: int|null, cards: int}>  $fewer  widths in CSS pixels at which not all cards are shown
     */
    private function __construct(
        public Layout $layout,
        public Catalogue $words,
        public array $cards,
        public ?string $heading,
        public ?string $figure,
        public ?string $base,
        public ?array $spread,
        public ?HonestLine $honest,
        public array $fewer,
    ) {
    }

    /**
     * @param  list<Entry>  $shown  in their order
     * @param  Overall  $overall  over everything collected from the brief's sources
     * @param  array<string, string>  $saidAt  where the entries of a source were said, by its key
     * @param  DateTimeZone  $zone  the site's, for the days shown
     * @param  array<string, StoredPicture>  $pictures  those that are kept, by their address at the source
     * @param  HonestLine|null  $honest  what is said of the choice
     */
    public static function of(
        Brief $brief,
        SiteContext $site,
        array $shown,
        Overall $overall,
        array $saidAt,
        DateTimeZone $zone,
        Catalogue $words,
        array $pictures = [],
        ?HonestLine $honest = null,
    ): self {
        $shape = $brief->shape;
        $allowed = AllowedByChannel::wanted($brief->criteria);
        $isWhole = fn (Entry $entry): bool => ($allowed[$site->channelOf((string) $entry->source)] ?? null) === Allowed::Whole;
        $inHead = fn (string $part): bool => in_array($part, $shape->head, true) && $overall->count > 0;
        $plan = new self(
            layout: $shape->layout,
            words: $words,
            cards: [],
            heading: $shape->heading,
            figure: $inHead('overall') && $overall->mean !== null ? $words->number(round($overall->mean, 1), 1) : null,
            base: $inHead('count') ? self::base($overall, $zone, $words) : null,
            spread: $inHead('spread') ? $overall->spread : null,
            honest: $honest,
            fewer: self::fewer($shape->layout, $brief->criteria->limits, count($shown)),
        );

        return $plan->withCards(array_map(
            fn (Entry $entry): Card => $plan->card($brief, $entry, $isWhole($entry) ? null : $shape->shorten, $saidAt, $zone, $pictures),
            $shown,
        ));
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

    /** @param  list<Card>  $cards */
    private function withCards(array $cards): self
    {
        return new self(
            $this->layout,
            $this->words,
            $cards,
            $this->heading,
            $this->figure,
            $this->base,
            $this->spread,
            $this->honest,
            $this->fewer,
        );
    }

    /**
     * The brief's limits by width, and what the layout makes of them.
     *
     * @return list<array{from: int, to: int|null, cards: int}> the first width that counts, and the first that does not any more
     */
    public static function fewer(Layout $layout, Limits $limits, int $shown): array
    {
        $edges = array_values(array_unique([0, Limits::TABLET, Limits::DESKTOP, ...array_keys($layout->breakpoints())]));
        sort($edges);
        $fewer = [];
        foreach ($edges as $index => $from) {
            $cards = $layout->cardsAt($from, min($shown, $limits->at($from)));
            if ($cards < $shown) {
                $fewer[] = ['from' => $from, 'to' => $edges[$index + 1] ?? null, 'cards' => $cards];
            }
        }

        return $fewer;
    }

    private static function base(Overall $overall, DateTimeZone $zone, Catalogue $words): string
    {
        $with = ['count' => $overall->count, 'sources' => $overall->sources, 'places' => $words->counted($overall->sources)];

        return $overall->since === null ? $words->say('figures.base', $with)
            : $words->say('figures.baseSince', $with + ['month' => $words->month(new DateTimeImmutable("@$overall->since"), $zone)]);
    }

    /**
     * @param  array<string, string>  $saidAt
     * @param  array<string, StoredPicture>  $pictures
     */
    private function card(Brief $brief, Entry $entry, ?int $shorten, array $saidAt, DateTimeZone $zone, array $pictures): Card
    {
        $shape = $brief->shape;
        $shows = fn (string $part): bool => in_array($part, $shape->card, true);
        $short = Shortening::to($shorten, $entry->text);
        $stars = $shows('rating') ? $entry->stars() : null;
        $date = $shows('date') ? $entry->published : null;

        return new Card(
            id: $entry->id,
            rating: $stars === null || $entry->rating === null ? null : $this->rating($entry->rating),
            halves: $stars === null ? null : (int) round($stars * 2),
            title: $shows('title') ? $entry->title : null,
            words: $shows('words') && $short->text !== '' ? $short->text : null,
            whole: $shows('words') && $short->isShortened ? $entry->text : null,
            language: $entry->language,
            name: $shows('name') ? $shape->names->of($entry->author->name) : null,
            when: $date === null ? null : $this->words->day($date, $zone),
            date: EntryJson::date($date?->setTimezone($zone)),
            where: $shows('source') ? ($saidAt[(string) $entry->source] ?? $entry->source) : null,
            saidAt: $this->around($date === null ? 'card.saidAt' : 'card.dayAndSaidAt'),
            url: $shows('source') ? $entry->url : null,
            reply: $shows('reply') ? $entry->reply?->text : null,
            face: $shows('face') && $entry->author->name !== null
                ? Face::of($entry->author->name, $pictures[(string) $entry->author->image] ?? null)
                : null,
            pictures: $shows('pictures') ? self::pictures($entry, $pictures) : [],
        );
    }

    private function rating(Rating $rating): string
    {
        return $rating->isRecommendation() ? $this->words->say($rating->value === 1.0 ? 'rating.recommended' : 'rating.notRecommended')
            : $this->words->say(
                'rating.of',
                ['value' => $this->words->number($rating->value), 'best' => $this->words->number($rating->scale->best)],
            );
    }

    /** @return array{string, string} what stands before and behind the source's name */
    private function around(string $message): array
    {
        $parts = explode(self::NAME, $this->words->say($message, ['source' => self::NAME]), 2);

        return [$parts[0], $parts[1] ?? ''];
    }

    /**
     * @param  array<string, StoredPicture>  $stored
     * @return list<CardPicture>
     */
    private static function pictures(Entry $entry, array $stored): array
    {
        $pictures = [];
        foreach ($entry->media as $media) {
            if (isset($stored[$media->url])) {
                $pictures[] = new CardPicture($stored[$media->url], $media->alt);
            }
        }

        return array_slice($pictures, 0, self::MOST_PICTURES);
    }
}
