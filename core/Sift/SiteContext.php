<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use DateTimeImmutable;
use Gnomic\Entry\Kind;

/** What a brief's meaning depends on beside itself: the day, the site's own rules and names, and where the widget is shown. */
final readonly class SiteContext
{
    /**
     * @param  DateTimeImmutable  $now  in the site's zone; only its day is looked at
     * @param  array<string, string>  $channels  by the key of the source; a source that is not named is its own channel
     * @param  array<string, int>  $reopened  seconds since 1970 by the key of the subject
     * @param  list<string>  $never  words that the site never shows
     * @param  array<string, list<string>>  $shownBy  identifiers by the key of the widget that shows them
     * @param  string|null  $language  of the page around the widget, BCP 47
     * @param  string|null  $page  path of the page around the widget
     * @param  int  $visit  which of the orders made ahead, from 1
     * @param  array<string, Kind|null>  $kinds  of which kind everything of a source is, by its key; null where it may be of several
     */
    public function __construct(
        public DateTimeImmutable $now,
        public array $channels = [],
        public array $reopened = [],
        public array $never = [],
        public array $shownBy = [],
        public ?string $language = null,
        public ?string $page = null,
        public int $visit = 1,
        public SiteNames $names = new SiteNames,
        public array $kinds = [],
    ) {
    }

    /** The same at another page, or at another visit. */
    public function at(?string $language, ?string $page, int $visit): self
    {
        return new self(
            $this->now,
            $this->channels,
            $this->reopened,
            $this->never,
            $this->shownBy,
            $language,
            $page,
            $visit,
            $this->names,
            $this->kinds,
        );
    }

    public function day(): string
    {
        return $this->now->format('Y-m-d');
    }

    /** The end of the day, in seconds since 1970: ages are counted from there, so that they keep for a day. */
    public function midnight(): int
    {
        return $this->now->setTime(0, 0)->modify('+1 day')->getTimestamp();
    }

    public function channelOf(string $source): string
    {
        return $this->channels[$source] ?? $source;
    }
}
