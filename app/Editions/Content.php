<?php

declare(strict_types=1);

namespace App\Editions;

use DateTimeZone;
use Gnomic\Brief\Brief;
use Gnomic\Dress\Look;
use Gnomic\Edition\Honesty;
use Gnomic\Edition\Plan;
use Gnomic\Edition\StoredPicture;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Sift\Flattery;
use Gnomic\Sift\SiteContext;
use Gnomic\Standing\Overall;
use Gnomic\Text\Catalogue;

/** What a brief chose, with all that it takes to show it. */
final readonly class Content
{
    /**
     * @param  list<Entry>  $shown  in their order
     * @param  array<string, string>  $saidAt  by the key of the source
     * @param  array<string, StoredPicture>  $pictures  by their address at the source
     * @param  list<Flattery>  $choices  by which it may look otherwise than all there is, where visitors are told
     * @param  int  $offered  entries behind the link to everything
     */
    public function __construct(
        public Brief $brief,
        public SiteContext $site,
        public array $shown,
        public Overall $overall,
        public DateTimeZone $zone,
        public Catalogue $words,
        public Look $look,
        public array $saidAt = [],
        public array $pictures = [],
        public array $choices = [],
        public int $offered = 0,
    ) {
    }

    public function plan(): Plan
    {
        return Plan::of(
            $this->brief,
            $this->site,
            $this->shown,
            $this->overall,
            $this->saidAt,
            $this->zone,
            $this->words,
            $this->pictures,
            Honesty::line($this->brief, $this->choices, $this->offered, $this->words),
        );
    }

    /**
     * Others instead, by another brief, of which nothing is told.
     *
     * @param  list<Entry>  $shown  in their order
     */
    public function instead(Brief $brief, array $shown): self
    {
        return new self(
            $brief,
            $this->site,
            $shown,
            $this->overall,
            $this->zone,
            $this->words,
            $this->look,
            $this->saidAt,
            $this->pictures,
        );
    }

    /** @return array<string, mixed> everything that a rendering of it depends on */
    public function inputs(): array
    {
        $sources = array_flip(array_map(fn (Entry $entry): string => (string) $entry->source, $this->shown));

        return [
            'brief' => $this->brief->toArray(),
            'entries' => array_map(EntryJson::write(...), $this->shown),
            'overall' => [
                $this->overall->count,
                $this->overall->mean,
                $this->overall->spread,
                $this->overall->sources,
                $this->overall->since,
            ],
            'never' => $this->site->never !== [],
            'channels' => array_intersect_key($this->site->channels, $sources),
            'saidAt' => array_intersect_key($this->saidAt, $sources),
            'pictures' => array_map(get_object_vars(...), $this->pictures),
            'zone' => $this->zone->getName(),
            'words' => $this->words->digest(),
            'look' => $this->look->tokens,
            'choices' => array_map(fn (Flattery $choice): string => $choice->value, $this->choices),
            'offered' => $this->offered,
        ];
    }
}
