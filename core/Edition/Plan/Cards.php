<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

use Gnomic\Brief\Brief;
use Gnomic\Edition\Input\SiteMaterial;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Media;
use Gnomic\Shape\Card\Card;
use Gnomic\Shape\Card\CardBlock;
use Gnomic\Shape\Card\CardPicture;
use Gnomic\Shape\Card\Weight;
use Gnomic\Shape\Click;
use Gnomic\Shape\Parts\NamePart;
use Gnomic\Shape\Parts\PartContext;
use Gnomic\Shape\Parts\Parts;
use Gnomic\Shape\Parts\PicturesPart;
use Gnomic\Shape\Parts\RatingPart;
use Gnomic\Shape\Parts\SourcePart;
use Gnomic\Shape\Parts\WordsPart;
use Gnomic\Shape\Shape;
use Gnomic\Shape\Shortening;
use Gnomic\Sift\Allowed;
use Gnomic\Sift\Clauses\AllowedByChannel;
use Gnomic\Text\Catalogue;

/** Entries as a brief shows them: each part in words, or left out. */
final readonly class Cards
{
    /** Pictures of an entry that a card shows. */
    private const MOST_PICTURES = 4;

    /** Characters of the words by which a picture or an entry without a name is called. */
    private const CALLED = 90;

    /** @var array<string, Allowed> by channel */
    private array $allowed;

    public function __construct(private Brief $brief, private SiteMaterial $site, private Catalogue $words)
    {
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
            'composition' => 'even',
            'shorten' => null,
            'lines' => null,
            'at' => [],
            'head' => [],
            'actions' => [],
            'card' => [PicturesPart::name(), ...array_values(array_diff(Parts::names(), [PicturesPart::name()]))],
            'click' => 'nothing',
            'picture' => 'original',
            'more' => 'none',
        ]);
    }

    private function card(Entry $entry): Card
    {
        $context = $this->context($entry);
        $parts = $made = [];
        foreach ($context->parts as $name) {
            $kind = Parts::named($name);
            $part = $kind === null ? null : $kind::of($context);
            if ($part !== null) {
                $parts[] = $made[$part::class] = $part;
            }
        }
        $isTile = $context->shape->hasTiles() && $context->pictures !== [];
        $called = [
            // Tiles are told apart by what they show: many are of one author.
            ($isTile ? $context->pictures[0]->alt : null)
                ?? ($made[NamePart::class] ?? NamePart::of($context))?->text()
                ?? self::beginning($entry->text),
            ($made[RatingPart::class] ?? RatingPart::of($context))?->text(),
        ];

        return new Card(
            id: $entry->id,
            ref: self::refOf((string) $entry->source, $entry->id),
            blocks: array_map(fn (array $block): CardBlock => new CardBlock($block), Parts::blocks($parts)),
            language: $entry->language,
            url: $context->shows(SourcePart::name()) ? $context->url() : null,
            opens: $this->opens($entry),
            called: implode(', ', array_filter($called, fn (?string $one): bool => $one !== null && $one !== '')),
            isPicture: $isTile,
            weight: new Weight(
                $entry->likes ?? 0.0,
                $entry->stars() ?? 0.0,
                array_intersect($this->brief->criteria->pins, [$entry->id, "$entry->source:$entry->id"]) !== [],
            ),
        );
    }

    private function context(Entry $entry): PartContext
    {
        $shape = $this->brief->shape;
        $pictures = $this->pictures($entry);
        $isPicture = $shape->hasTiles() && $pictures !== [];
        $hasPictures = in_array(PicturesPart::name(), $shape->card, true);
        $parts = match (true) {
            $isPicture && $shape->isAllTiles() => [PicturesPart::name()],
            $isPicture => $hasPictures ? $shape->card : [PicturesPart::name(), ...$shape->card],
            $shape->hasTiles() && $shape->card === [] => [WordsPart::name()],
            default => $shape->card,
        };

        return new PartContext(
            $entry,
            $shape,
            $parts,
            $this->words,
            $this->site->zone,
            $this->site->context->now->setTimezone($this->site->zone),
            $this->site->context->names,
            $this->site->pages[(string) $entry->source] ?? null,
            $this->site->pictures[(string) $entry->author->image] ?? null,
            $pictures,
            // A tile is one picture.
            $isPicture && ($parts === [PicturesPart::name()] || ! $hasPictures) ? 1 : self::MOST_PICTURES,
            ($this->allowed[$this->site->context->channelOf((string) $entry->source)] ?? null) === Allowed::Whole,
        );
    }

    private function opens(Entry $entry): ?string
    {
        $shape = $this->brief->shape;

        return match ($shape->click) {
            Click::Source => $entry->url,
            Click::Address => $shape->addresses[$entry->id] ?? $shape->addresses["$entry->source:$entry->id"] ?? $shape->address,
            default => null,
        };
    }

    /** @return list<CardPicture> pictures, and videos with the first picture as their poster */
    private function pictures(Entry $entry): array
    {
        if ($entry->media === []) {
            return [];
        }
        $called = self::beginning($entry->text);
        $pictures = $videos = [];
        foreach ($entry->media as $media) {
            if ($media->type === 'image' && isset($this->site->pictures[$media->url])) {
                $pictures[] = new CardPicture($this->site->pictures[$media->url], $media->alt ?? $called);
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
                $video->seconds,
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
