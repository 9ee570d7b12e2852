<?php

declare(strict_types=1);

namespace Gnomic\Edition;

use DateTimeZone;
use Gnomic\Brief\Brief;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Entry\Media;
use Gnomic\Entry\Rating;
use Gnomic\Shape\Card\Card;
use Gnomic\Shape\Card\CardPicture;
use Gnomic\Shape\Card\Face;
use Gnomic\Shape\Card\SourcePage;
use Gnomic\Shape\Card\StoredPicture;
use Gnomic\Shape\Click;
use Gnomic\Shape\Fields;
use Gnomic\Shape\Shape;
use Gnomic\Shape\Shortening;
use Gnomic\Sift\Allowed;
use Gnomic\Sift\Clauses\AllowedByChannel;
use Gnomic\Sift\SiteContext;
use Gnomic\Text\Catalogue;

/** Entries as a brief shows them: each part in words, or left out. */
final readonly class Cards
{
    /** Pictures of an entry that a card shows. */
    private const MOST_PICTURES = 4;

    /** Characters of the words by which a picture or an entry without a name is called. */
    private const CALLED = 90;

    /** Takes the place of a source's name, to find what stands around it. */
    private const NAME = "\u{FFFC}";

    /** @var array<string, Allowed> by channel */
    private array $allowed;

    /**
     * @param  array<string, SourcePage>  $pages  by the key of the source
     * @param  DateTimeZone  $zone  the site's, for the days shown
     * @param  array<string, StoredPicture>  $pictures  those that are kept, by their address at the source
     */
    public function __construct(
        private Brief $brief,
        private SiteContext $site,
        private array $pages,
        private DateTimeZone $zone,
        private Catalogue $words,
        private array $pictures,
    ) {
        $this->allowed = AllowedByChannel::wanted($brief->criteria);
    }

    /**
     * @param  list<Entry>  $entries
     * @return list<Card>
     */
    public function of(array $entries): array
    {
        return array_map($this->card(...), $entries);
    }

    /** Every part that there is, for the enlarged view: with words in full and pictures as they are. */
    public static function inFull(Shape $shape): Shape
    {
        return $shape->with([
            'layout' => ['name' => 'list'],
            'shorten' => null,
            'lines' => null,
            'at' => [],
            'head' => [],
            'actions' => [],
            'card' => ['pictures', ...array_values(array_diff(Fields::CARD, ['pictures']))],
            'click' => 'nothing',
            'picture' => 'original',
            'more' => 'none',
        ]);
    }

    private function card(Entry $entry): Card
    {
        $shape = $this->brief->shape;
        $isWhole = ($this->allowed[$this->site->channelOf((string) $entry->source)] ?? null) === Allowed::Whole;
        $pictures = $this->pictures($entry);
        $isPicture = $shape->hasTiles() && $pictures !== [];
        $parts = match (true) {
            $isPicture && $shape->isAllTiles() => ['pictures'],
            $isPicture => in_array('pictures', $shape->card, true) ? $shape->card : ['pictures', ...$shape->card],
            $shape->hasTiles() && $shape->card === [] => ['words'],
            default => $shape->card,
        };
        $most = $isPicture && ($parts === ['pictures'] || ! in_array('pictures', $shape->card, true)) ? 1 : self::MOST_PICTURES;
        $shows = fn (string $part): bool => in_array($part, $parts, true);
        $short = Shortening::to($isWhole ? null : $shape->shorten, $entry->text);
        $stars = $entry->stars();
        $rating = $stars === null || $entry->rating === null ? null : $this->rating($entry->rating, $stars);
        $date = $shows('date') ? $entry->published : null;
        $name = $shape->names->of($entry->author->name);
        $page = $this->pages[(string) $entry->source] ?? null;
        $values = [
            'rating' => $rating,
            'title' => $entry->title,
            'words' => $short->text === '' ? null : $short->text,
            'reply' => $entry->reply?->text,
            'pictures' => $pictures === [] ? null : '',
            'face' => $entry->author->name,
            'name' => $name,
            'role' => $entry->author->role,
            'place' => $entry->author->place,
            'date' => $date === null ? null : $this->day($entry),
            'source' => $page->name ?? $entry->source,
            'subject' => $entry->subject === null ? null : $this->site->names->subject($entry->subject),
            'labels' => $entry->tags === [] ? null : '',
            'likes' => $this->counts($entry),
        ];
        $of = fn (string $part): ?string => $shows($part) ? $values[$part] : null;
        $hasRest = $of('words') !== null && $short->isShortened;

        return new Card(
            id: $entry->id,
            ref: self::refOf((string) $entry->source, $entry->id),
            blocks: Fields::blocks(array_values(array_filter($parts, fn (string $part): bool => ($values[$part] ?? null) !== null))),
            rating: $of('rating'),
            twentieths: $shows('rating') && $stars !== null ? (int) round($stars * 20) : null,
            spoken: $shape->rating !== 'glyphs',
            title: $of('title'),
            words: $of('words'),
            rest: $hasRest ? mb_strcut(trim($entry->text), strlen($short->text)) : null,
            isCut: $hasRest && ! $short->endsOpen(),
            language: $entry->language,
            name: $of('name'),
            role: $of('role'),
            place: $of('place'),
            when: $of('date'),
            date: EntryJson::date($date?->setTimezone($this->zone)),
            where: $of('source'),
            saidAt: $this->around($date === null ? 'card.saidAt' : 'card.dayAndSaidAt'),
            url: $shows('source') ? ($entry->url ?? $page?->url) : null,
            reply: $of('reply'),
            face: $of('face') === null ? null : Face::of($entry->author->name, $this->pictures[(string) $entry->author->image] ?? null),
            pictures: $shows('pictures') ? array_slice($pictures, 0, $most) : [],
            subject: $of('subject'),
            labels: $shows('labels') ? $entry->tags : [],
            counts: $of('likes'),
            opens: match ($shape->click) {
                Click::Source => $entry->url,
                Click::Address => $shape->addresses[$entry->id] ?? $shape->addresses["$entry->source:$entry->id"] ?? $shape->address,
                default => null,
            },
            called: implode(', ', array_filter([$name ?? self::beginning($entry->text), $rating])),
            isPicture: $isPicture,
            likes: $entry->likes,
            stars: $stars,
            isPinned: array_intersect($this->brief->criteria->pins, [$entry->id, "$entry->source:$entry->id"]) !== [],
        );
    }

    private function rating(Rating $rating, float $stars): string
    {
        return match (true) {
            $rating->isRecommendation() => $this->words->say($rating->value === 1.0 ? 'rating.recommended' : 'rating.notRecommended'),
            $this->brief->shape->rating === 'words' => $this->inWords($stars),
            default => $this->words->say(
                'rating.of',
                ['value' => $this->words->number($rating->value), 'best' => $this->words->number($rating->scale->best)],
            ),
        };
    }

    /** @param  float  $stars  1 to 5 */
    private function inWords(float $stars): string
    {
        return $this->words->say(match ((int) round($stars)) {
            5 => 'rating.excellent',
            4 => 'rating.veryGood',
            3 => 'rating.good',
            2 => 'rating.fair',
            default => 'rating.poor',
        });
    }

    private function day(Entry $entry): ?string
    {
        return $entry->published === null ? null
            : ($this->brief->shape->date === 'month' ? $this->words->month($entry->published, $this->zone)
            : $this->words->day($entry->published, $this->zone));
    }

    /** "12 likes, 3 comments"; null where neither is known. */
    private function counts(Entry $entry): ?string
    {
        $counts = array_filter([
            $entry->likes === null ? null : $this->words->say('card.likes', ['count' => $entry->likes]),
            $entry->comments === null ? null : $this->words->say('card.comments', ['count' => $entry->comments]),
        ]);

        return $counts === [] ? null : implode($this->words->say('list.comma'), $counts);
    }

    /** @return array{string, string} what stands before and behind the source's name */
    private function around(string $message): array
    {
        $parts = explode(self::NAME, $this->words->say($message, ['source' => self::NAME]), 2);

        return [$parts[0], $parts[1] ?? ''];
    }

    /** @return list<CardPicture> pictures, and videos with the first picture as their poster */
    private function pictures(Entry $entry): array
    {
        $called = self::beginning($entry->text);
        $pictures = $videos = [];
        foreach ($entry->media as $media) {
            if ($media->type === 'image' && isset($this->pictures[$media->url])) {
                $pictures[] = new CardPicture($this->pictures[$media->url], $media->alt ?? $called);
            } elseif ($media->type === 'video') {
                $videos[] = $media;
            }
        }

        return $videos === [] ? $pictures : [...self::posters($videos, $pictures, $called), ...array_slice($pictures, count($videos))];
    }

    /**
     * @param  list<Media>  $videos
     * @param  list<CardPicture>  $pictures
     * @return list<CardPicture>
     */
    private static function posters(array $videos, array $pictures, ?string $called): array
    {
        return array_map(
            fn (Media $video, int $index): CardPicture => new CardPicture(
                ($pictures[$index] ?? null)?->stored,
                $video->alt ?? ($pictures[$index] ?? null)->alt ?? $called,
                $video->url,
            ),
            $videos,
            array_keys($videos),
        );
    }

    /** What an entry without a name is called; null where it has no words. */
    public static function beginning(string $text): ?string
    {
        $short = Shortening::to(self::CALLED, (string) preg_replace('/\s+/u', ' ', $text));

        return $short->text === '' ? null : $short->text.($short->isShortened && ! $short->endsOpen() ? ' …' : '');
    }

    /** What names an entry on pages: of letters and figures, and nothing of it is told. */
    public static function refOf(string $source, string $id): string
    {
        return hash('xxh32', "$source:$id");
    }
}
