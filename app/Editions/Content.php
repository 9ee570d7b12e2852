<?php

declare(strict_types=1);

namespace App\Editions;

use DateTimeZone;
use Gnomic\Brief\Brief;
use Gnomic\Dress\Dressed;
use Gnomic\Edition\Account;
use Gnomic\Edition\Cards;
use Gnomic\Edition\Honesty;
use Gnomic\Edition\Plan;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Shape\Card\CardBox;
use Gnomic\Shape\Card\SourcePage;
use Gnomic\Shape\Card\StoredPicture;
use Gnomic\Shape\Lines\Font;
use Gnomic\Sift\Flattery;
use Gnomic\Sift\SiteContext;
use Gnomic\Standing\Overall;
use Gnomic\Text\Catalogue;

/** What a brief chose, with all that it takes to show it. */
final readonly class Content
{
    /** Inputs that each entry depends on by itself, wherever it is shown. */
    public const OF_ENTRIES = [
        'entries', 'further', 'subjects', 'channels', 'pages', 'pictures', 'zone', 'words', 'look', 'font', 'pins',
    ];

    /**
     * @param  list<Entry>  $shown  in their order
     * @param  array<string, SourcePage>  $pages  where entries were said, by the key of the source
     * @param  array<string, StoredPicture>  $pictures  by their address at the source
     * @param  list<Flattery>  $choices  by which it may look otherwise than all there is, where visitors are told
     * @param  int  $offered  entries behind the link to everything
     * @param  list<Account>  $accounts  of the brief's sources
     * @param  string  $about  what it is all about: the site
     * @param  Further|null  $further  entries that visitors can have beside those shown
     * @param  Font  $font  that the page is set in, where that is known
     * @param  int  $collected  entries of the brief's sources
     * @param  bool  $counts  whether what visitors do with it is counted
     */
    public function __construct(
        public Brief $brief,
        public SiteContext $site,
        public array $shown,
        public Overall $overall,
        public DateTimeZone $zone,
        public Catalogue $words,
        public Dressed $look,
        public array $pages = [],
        public array $pictures = [],
        public array $choices = [],
        public int $offered = 0,
        public array $accounts = [],
        public string $about = '',
        public ?Further $further = null,
        public Font $font = Font::Page,
        public int $collected = 0,
        public bool $counts = false,
    ) {
    }

    /** @param  string  $all  address of everything */
    public function plan(string $all = ''): Plan
    {
        return Plan::of(
            $this->brief->with(shape: $this->brief->shape->spaced($this->look->tokens->gap)),
            $this->site,
            $this->shown,
            $this->overall,
            $this->pages,
            $this->zone,
            $this->words,
            $this->pictures,
            Honesty::line($this->brief, $this->choices, $this->offered, $this->words),
            $this->accounts,
            $all,
            $this->font,
            $this->collected,
            $this->pages() !== [],
            CardBox::of($this->look->tokens),
        );
    }

    /** @return list<list<Entry>> what visitors can have beside those shown, page by page; none where the brief wants none */
    public function pages(): array
    {
        return $this->brief->shape->more === 'none' ? [] : ($this->further?->pages() ?? []);
    }

    /**
     * One of those pages. Whoever asks for more gets all of them, however little room there is.
     *
     * @param  list<Entry>  $entries
     */
    public function page(array $entries): self
    {
        return $this->instead($this->brief->with(criteria: $this->brief->criteria->with('/sift/fewer', [])), $entries);
    }

    /** Those shown and those beside them, all that there is of each, for the enlarged view. */
    public function inFull(): self
    {
        $brief = $this->brief->with(shape: Cards::inFull($this->brief->shape));

        return $this->instead($brief, array_merge($this->shown, ...$this->pages()));
    }

    /** The same entries by another brief. */
    public function as(Brief $brief): self
    {
        return new self(...['brief' => $brief] + get_object_vars($this));
    }

    /** The same, counted or not. */
    public function counted(bool $counts): self
    {
        return new self(...['counts' => $counts] + get_object_vars($this));
    }

    /** The same in another look. */
    public function in(Dressed $look): self
    {
        return new self(...['look' => $look] + get_object_vars($this));
    }

    /**
     * Others instead, by another brief, of which nothing is told.
     *
     * @param  list<Entry>  $shown  in their order
     */
    public function instead(Brief $brief, array $shown): self
    {
        $untold = ['choices' => [], 'offered' => 0, 'accounts' => [], 'further' => null, 'collected' => 0];

        return new self(...['brief' => $brief, 'shown' => $shown] + $untold + get_object_vars($this));
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
            'subjects' => in_array('subject', $this->brief->shape->card, true)
                ? array_map(
                    fn (Entry $entry): string => $this->site->names->subject((string) $entry->subject),
                    [...$this->shown, ...$this->further->entries ?? []],
                )
                : [],
            'channels' => array_intersect_key($this->site->channels, $sources),
            'pages' => array_map(
                get_object_vars(...),
                $this->brief->shape->actions === [] ? array_intersect_key($this->pages, $sources) : $this->pages,
            ),
            'accounts' => array_map(get_object_vars(...), $this->accounts),
            'collected' => in_array('account', $this->brief->shape->head, true) ? $this->collected : 0,
            'about' => $this->about,
            'further' => array_map(EntryJson::write(...), $this->further->entries ?? []),
            'font' => $this->font->value,
            'pins' => $this->brief->criteria->pins,
            'pictures' => array_map(get_object_vars(...), $this->pictures),
            'zone' => $this->zone->getName(),
            'words' => $this->words->digest(),
            'look' => $this->look->inputs(),
            'choices' => array_map(fn (Flattery $choice): string => $choice->value, $this->choices),
            'offered' => $this->offered,
            'counts' => $this->counts,
        ];
    }
}
