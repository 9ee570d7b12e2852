<?php

declare(strict_types=1);

namespace Gnomic\Gather\Page;

use DateTimeImmutable;
use Gnomic\Dates\DateReader;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\RatingException;
use Gnomic\Entry\RatingText;
use Gnomic\Entry\Scale;
use Gnomic\Gather\Feed\Body;
use Gnomic\Gather\Feed\Identity;
use Gnomic\Gather\Feed\MediaList;
use Gnomic\Gather\Problem;
use Gnomic\Text\Address;
use Gnomic\Text\Words;

/** Reviews and posts among a page's microformats: h-review (alone or within what it is of), h-entry, h-review-aggregate. */
final class FormatEntries
{
    /** @var list<Entry> */
    public array $entries = [];

    /** @var array<string, Described> */
    public array $described = [];

    /** @var array<string, int> */
    private array $ids = [];

    /** @param  list<Problem>  $problems */
    public function __construct(private readonly ?string $address, public array $problems)
    {
    }

    public function take(Item $item, ?Item $parent = null, int $depth = 0): void
    {
        if ($depth > 16) {
            return;
        }
        if ($item->is('h-review')) {
            $this->review($item, $parent);
        } elseif ($item->is('h-entry')) {
            $this->post($item, $parent);
        } else {
            foreach ($item->properties as $values) {
                foreach ($values as $value) {
                    if ($value instanceof Item) {
                        $this->take($value, $item, $depth + 1);
                    }
                }
            }
        }
        if ($item->is('h-review-aggregate')) {
            $this->aggregate($item);
        }
    }

    private function review(Item $item, ?Item $parent): void
    {
        $of = $item->item('item') ?? (
            $parent !== null && $parent->is('h-product', 'h-event', 'h-card', 'h-item', 'h-adr')
                ? $parent
                : null
        );
        $subject = Words::line($of === null ? $item->text('item') : $of->text('name'));
        $this->entries[] = $this->entry($item, Kind::Review, $this->author($item, $parent), $subject, $this->rating($item));
        if ($subject !== null) {
            $before = $this->described[$subject] ?? null;
            $this->described[$subject] = new Described(
                $subject,
                'Thing',
                Address::webOrNull($of?->text('url'), $this->address),
                Address::webOrNull($of?->text('photo'), $this->address),
                $before?->figures,
                1 + ($before->reviews ?? 0),
            );
        }
    }

    private function post(Item $item, ?Item $parent): void
    {
        $this->entries[] = $this->entry($item, Kind::Post, $this->author($item, $parent), null, null);
    }

    private function entry(Item $item, Kind $kind, Author $author, ?string $subject, ?Rating $rating): Entry
    {
        $content = $item->item('content', 'description');
        $body = $content === null ? Body::ofText((string) $item->text('content', 'description', 'summary'))
            : Body::ofHtml((string) $content->text('html'), $this->address);
        $title = Words::line($item->text('name'));
        $published = $this->date($item, 'published', 'reviewed');
        $url = Address::webOrNull($item->text('url'), $this->address);
        $media = new MediaList($this->address);
        foreach (['photo' => 'image', 'video' => 'video', 'audio' => 'audio'] as $name => $type) {
            foreach ($item->all($name) as $one) {
                $media->add(is_string($one) ? $one : $one->text('value', 'url'), $type);
            }
        }
        $media->addPictures($body->pictures);
        $tags = array_map(
            fn (string|Item $tag): ?string => Words::line(ltrim(is_string($tag) ? $tag : (string) $tag->text('name'), '#')),
            $item->all('category'),
        );

        return new Entry(
            id: Identity::unique(
                Identity::of($item->text('uid'), $url, $title.$author->name, EntryJson::date($published), $body->text),
                $this->ids,
            ),
            kind: $kind,
            subject: $subject,
            url: $url,
            author: $author,
            rating: $rating,
            // A post without a title has its words implied as its name; they are no title.
            title: $title !== null && $kind === Kind::Post && str_starts_with((string) Words::line($body->text), rtrim($title, '…. '))
                ? null
                : $title,
            text: $body->text,
            html: $body->html,
            published: $published,
            updated: $this->date($item, 'updated'),
            media: $media->all(),
            original: $body->original,
            tags: array_values(array_unique(array_filter($tags, fn (?string $tag): bool => $tag !== null))),
        );
    }

    private function author(Item $item, ?Item $parent): Author
    {
        $holder = $item->all('author', 'reviewer') !== [] ? $item : ($parent !== null && $parent->is('h-feed') ? $parent : $item);
        $card = $holder->item('author', 'reviewer');

        return $card === null ? new Author(Words::line($holder->text('author', 'reviewer')))
            : new Author(Words::line($card->text('name')), Words::line($card->text('job-title')), Words::line($card->text('locality')),
                Address::webOrNull($card->text('url'), $this->address), Address::webOrNull($card->text('photo'), $this->address));
    }

    private function rating(Item $item): ?Rating
    {
        $written = $item->text('rating');
        $read = $written === null ? null : RatingText::read($written);
        if ($read === null) {
            return null;
        }
        try {
            return $read->on(Scale::between(
                RatingText::read((string) $item->text('worst'))->value ?? ($read->value < 1.0 ? 0.0 : 1.0),
                RatingText::read((string) $item->text('best'))->value ?? 5.0,
            ));
        } catch (RatingException $wrong) {
            $this->problems[] = new Problem('', $wrong->getMessage().' The rating was left out.');

            return null;
        }
    }

    private function aggregate(Item $item): void
    {
        $of = $item->item('item');
        $name = Words::line($of === null ? $item->text('item') : $of->text('name'));
        $rating = $this->rating(new Item(
            [],
            ['rating' => $item->all('average', 'rating'), 'best' => $item->all('best'), 'worst' => $item->all('worst')],
        ));
        if ($name !== null && $rating !== null) {
            $count = $item->text('count', 'votes');
            $before = $this->described[$name] ?? null;
            $this->described[$name] = new Described($name, 'Thing', Address::webOrNull($of?->text('url'), $this->address), $before?->image,
                new Figures($rating, preg_match('/^\d{1,9}$/', (string) $count) === 1 ? (int) $count : null), $before->reviews ?? 0);
        }
    }

    private function date(Item $item, string ...$names): ?DateTimeImmutable
    {
        $written = $item->text(...$names);

        return $written === null ? null : DateReader::read($written);
    }
}
