<?php

declare(strict_types=1);

namespace Gnomic\Shape\Parts;

use DateTimeImmutable;
use DateTimeZone;
use Gnomic\Entry\Entry;
use Gnomic\Shape\Card\CardPicture;
use Gnomic\Shape\Card\SourcePage;
use Gnomic\Shape\Card\StoredPicture;
use Gnomic\Shape\Shape;
use Gnomic\Sift\SiteNames;
use Gnomic\Text\Catalogue;

/** An entry, and all that a part of its card may need to show it. */
final readonly class PartContext
{
    /**
     * @param  list<string>  $parts  that its card shows, by name
     * @param  DateTimeZone  $zone  the site's, for the days shown
     * @param  DateTimeImmutable  $now  in that zone; only its day is looked at
     * @param  SourcePage|null  $page  of its source
     * @param  StoredPicture|null  $face  of its author
     * @param  list<CardPicture>  $pictures  those that are kept, and videos
     * @param  int  $mostPictures  that its card shows
     * @param  bool  $isWhole  whether its words may not be shortened
     */
    public function __construct(
        public Entry $entry,
        public Shape $shape,
        public array $parts,
        public Catalogue $words,
        public DateTimeZone $zone,
        public DateTimeImmutable $now,
        public SiteNames $names,
        public ?SourcePage $page,
        public ?StoredPicture $face,
        public array $pictures,
        public int $mostPictures,
        public bool $isWhole,
    ) {
    }

    /** Where it was said; else the page of its source. */
    public function url(): ?string
    {
        return $this->entry->url ?? $this->page?->url;
    }

    /** As visitors know it. */
    public function sourceName(): ?string
    {
        return $this->page->name ?? $this->entry->source;
    }

    /** Whether the day is said. */
    public function hasDate(): bool
    {
        return $this->shows(DatePart::name()) && $this->entry->published !== null;
    }

    public function shows(string $part): bool
    {
        return in_array($part, $this->parts, true);
    }
}
