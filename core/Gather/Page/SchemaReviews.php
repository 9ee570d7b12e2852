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
use Gnomic\Gather\Feed\MediaList;
use Gnomic\Gather\Problem;
use Gnomic\Text\Address;
use Gnomic\Text\Echoed;
use Gnomic\Text\LanguageTag;
use Gnomic\Text\Words;

/** Reviews and figures among the things of a page, by schema.org's Review, Rating and AggregateRating. */
final class SchemaReviews
{
    private const REVIEWS = ['Review', 'UserReview', 'CriticReview', 'EmployerReview', 'MediaReview', 'Recommendation', 'review'];

    /** Things that say who runs the page or how it is built, never what a review is of. */
    private const FRAMES = [
        'WebPage',
        'WebSite',
        'ItemList',
        'ListItem',
        'BreadcrumbList',
        'CollectionPage',
        'ItemPage',
        'SearchAction',
        'ImageObject',
        'Rating',
        'AggregateRating',
        'PostalAddress',
        'Offer',
        'AggregateOffer',
        'Person',
        'Brand',
    ];

    /** Of one review, that are named. */
    private const MOST_AUTHORS = 10;

    /** @var list<Entry> */
    public array $entries = [];

    /** @var array<string, Described> by type and name */
    public array $described = [];

    /** @var array<int, true> things that were seen, by object: a page refers to one from several places */
    private array $seen = [];

    /** @param  list<Problem>  $problems */
    public function __construct(private readonly ?string $address, public array $problems)
    {
    }

    public function take(Item $item, ?Item $parent = null, ?string $as = null, int $depth = 0): void
    {
        if ($depth > 16 || isset($this->seen[spl_object_id($item)])) {
            return;
        }
        $this->seen[spl_object_id($item)] = true;
        $isReview = $item->is(...self::REVIEWS)
            || (in_array($as, ['review', 'reviews'], true) && ! $item->is('AggregateRating', 'Review-aggregate'));
        if ($isReview && ! $item->is('ClaimReview')) {
            $this->review($item, $parent);
        }
        foreach ($item->properties as $name => $values) {
            foreach ($values as $value) {
                if ($value instanceof Item) {
                    $this->take($value, $item, $name, $depth + 1);
                }
            }
        }
        $this->describe($item, $parent);
    }

    private function review(Item $item, ?Item $parent): void
    {
        $about = $item->item('itemReviewed');
        $about = $about !== null && $about->text('name') !== null
            ? $about
            : ($parent !== null && ! $parent->is(...self::FRAMES) ? $parent : null);
        $rating = $this->rating($item);
        $body = self::body((string) $item->text('reviewBody', 'description', 'text', 'reviewbody'), $this->address);
        $title = Words::line($item->text('name', 'headline', 'summary'));
        if ($rating === null && $body->text === '' && $title === null) {
            return; // only refers to a review told elsewhere
        }
        $published = $this->date($item, 'datePublished', 'dateCreated', 'dtreviewed', 'uploadDate');
        $author = $this->author($item);
        $media = new MediaList($this->address);
        foreach ($item->all('image', 'associatedMedia', 'photo') as $picture) {
            $media->add(is_string($picture) ? $picture : $picture->text('contentUrl', 'url'), 'image');
        }
        $id = $item->id
            ?? $item->text('identifier')
            ?? 'made:'.substr(hash('sha256', implode("\n", [$author->name, EntryJson::date($published), $title, $body->text])), 0, 24);
        $likes = $item->text('upvoteCount');
        $this->entries[] = new Entry(
            id: $id,
            kind: Kind::Review,
            subject: self::named(Words::line($about?->text('name')) ?? Words::line($item->text('itemReviewed'))),
            url: Address::webOrNull($item->text('url'), $this->address) ?? Address::webOrNull(
                $item->id !== null && preg_match('~^https?://|^#~i', $item->id) === 1 ? $item->id : null,
                $this->address,
            ),
            author: $author,
            rating: $rating,
            title: $title,
            text: $body->text,
            html: $body->html,
            language: self::language($item),
            published: $published,
            updated: $this->date($item, 'dateModified'),
            media: $media->all(),
            original: $body->original,
            likes: $likes !== null && preg_match('/^\d{1,9}$/', $likes) === 1 ? (int) $likes : null,
        );
    }

    private static function body(string $text, ?string $base): Body
    {
        return preg_match('~</?[a-z][a-z0-9]*(?:\s[^<>]*)?/?>~i', $text) === 1
            ? Body::ofHtml($text, $base)
            : Body::ofText(html_entity_decode($text, ENT_QUOTES | ENT_HTML5, 'UTF-8'));
    }

    /** An address says which thing is meant, and nothing of what it is called. */
    private static function named(?string $name): ?string
    {
        return $name !== null && preg_match('~^https?://~i', $name) === 1 ? null : $name;
    }

    /** A tag, or a thing of schema.org's Language whose other name is one; names of languages tell no program anything. */
    private static function language(Item $item): ?string
    {
        $language = $item->item('inLanguage');

        return LanguageTag::orNull(
            $language === null ? $item->text('inLanguage') : ($language->text('alternateName') ?? $language->text('name')),
        );
    }

    private function author(Item $item): Author
    {
        $authors = array_slice($item->all('author', 'creator', 'reviewer'), 0, self::MOST_AUTHORS);
        $author = $item->item('author', 'creator', 'reviewer');
        $names = array_map(fn (string|Item $one): ?string => Words::line(
            is_string($one) ? $one : ($one->text('name') ?? trim($one->text('givenName').' '.$one->text('familyName'))),
        ), $authors);
        $name = Words::line(implode(', ', array_unique(array_filter($names, fn (?string $one): bool => $one !== null))));
        $image = $author?->item('image');

        return new Author($name, role: Words::line($author?->text('jobTitle')), place: Words::line(
            $author?->item('address')?->text('addressLocality')
                ?? ($author?->item('address') === null ? $author?->text('address') : null),
        ),
            url: Address::webOrNull($author?->text('url'), $this->address),
            image: Address::webOrNull($image === null ? $author?->text('image') : $image->text('contentUrl', 'url'), $this->address));
    }

    private function rating(Item $item): ?Rating
    {
        $rating = $item->item('reviewRating', 'rating', 'ratingValue');
        $written = $rating === null ? $item->text('reviewRating', 'rating', 'ratingValue') : $rating->text('ratingValue', 'value');

        return $written === null ? null : $this->rated($written, $rating ?? $item);
    }

    /** bestRating is 5 and worstRating 1 where they are not given (schema.org/Rating). */
    private function rated(string $written, Item $scale): ?Rating
    {
        try {
            $read = RatingText::read($written);
            if ($read === null) {
                $told = 'The rating '.Echoed::quoted($written).' cannot be read; it was left out.';
                $this->problems[] = new Problem($this->where(), $told);

                return null;
            }
            $bound = fn (string $name): ?float => RatingText::read((string) $scale->text($name))?->value;
            $best = $bound('bestRating') ?? $bound('best') ?? 5.0;
            $worst = $bound('worstRating') ?? $bound('worst');

            return $read->on(Scale::between($worst ?? min(1.0, $read->value < 1.0 ? 0.0 : 1.0), $best));
        } catch (RatingException $wrong) {
            $this->problems[] = new Problem($this->where(), $wrong->getMessage().' The rating was left out.');

            return null;
        }
    }

    private function date(Item $item, string ...$names): ?DateTimeImmutable
    {
        $written = $item->text(...$names);
        $date = $written === null ? null : DateReader::read($written);
        if ($written !== null && $date === null) {
            $this->problems[] = new Problem($this->where(), Echoed::quoted($written).' is no date that can be read; it was left out.');
        }

        return $date;
    }

    /** The review that is being read, by its place in the page. */
    private function where(): string
    {
        return 'review '.(count($this->entries) + 1);
    }

    private function describe(Item $item, ?Item $parent): void
    {
        $aggregate = $item->item('aggregateRating');
        $about = $item->is('AggregateRating') ? $item->item('itemReviewed') : $item;
        $aggregate = $item->is('AggregateRating') && $about !== null ? $item : $aggregate;
        $name = Words::line($about?->text('name', 'legalName'));
        $type = array_values(array_diff($about->types ?? [], self::FRAMES, self::REVIEWS))[0] ?? null;
        if ($about === null || $name === null || $type === null) {
            return;
        }
        $reviews = count(array_filter($this->entries, fn (Entry $entry): bool => $entry->subject === $name));
        $isMain = $parent === null || $aggregate !== null || $reviews > 0 || $about->all('sameAs') !== [];
        if (! $isMain) {
            return;
        }
        $before = $this->described["$type\n$name"] ?? null;
        $image = $about->item('image', 'logo');
        $this->described["$type\n$name"] = new Described($name, $type,
            Address::webOrNull($about->text('url'), $this->address) ?? $before?->url,
            Address::webOrNull(
                $image === null ? $about->text('image', 'logo') : $image->text('contentUrl', 'url'),
                $this->address,
            ) ?? $before?->image,
            ($aggregate === null ? null : $this->figures($aggregate)) ?? $before?->figures,
            $reviews,
            array_values(
                array_unique([
                    ...($before->sameAs ?? []),
                    ...array_filter(array_map(
                        fn (string|Item $same): ?string => Address::webOrNull(
                            is_string($same) ? $same : ($same->id ?? $same->text('url')),
                            $this->address,
                        ),
                        $about->all('sameAs'),
                    ), is_string(...)),
                ]),
            ),
            Words::line($about->item('address')?->text('addressLocality')) ?? $before?->town,
        );
    }

    private function figures(Item $aggregate): ?Figures
    {
        $written = $aggregate->text('ratingValue');
        $rating = $written === null ? null : $this->rated($written, $aggregate);
        $count = $aggregate->text('ratingCount', 'reviewCount');

        return $rating === null
            ? null
            : new Figures(
                $rating,
                preg_match('/^[\d.,\s\x{A0}\x{202F}]+$/u', (string) $count) === 1 ? (int) preg_replace('/\D/', '', (string) $count) : null,
            );
    }
}
