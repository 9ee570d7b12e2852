<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

use Gnomic\Brief\Brief;
use Gnomic\Dress\Dressed;
use Gnomic\Edition\Advice\Honesty;
use Gnomic\Edition\Plan\Cards;
use Gnomic\Edition\Plan\HonestLine;
use Gnomic\Edition\Plan\Plan;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Memo;
use Gnomic\Shape\Lines\Font;
use Gnomic\Shape\Parts\DatePart;
use Gnomic\Shape\Parts\SubjectPart;
use Gnomic\Sift\Flattery;
use Gnomic\Text\Catalogue;

/** All that one variant of an edition is rendered from. */
final readonly class VariantInput
{
    /** Inputs that each entry depends on by itself, wherever it is shown. */
    private const OF_ENTRIES = [
        'entries', 'further', 'subjects', 'channels', 'pages', 'pictures', 'zone', 'words', 'look', 'font', 'pins', 'older',
    ];

    private Memo $memo;

    /**
     * @param  Font  $font  that the page is set in, where that is known
     * @param  bool  $counts  whether what visitors do with it is counted
     */
    public function __construct(
        public Brief $brief,
        public Chosen $chosen,
        public SiteMaterial $site,
        public Catalogue $words,
        public Dressed $look,
        public Font $font = Font::Page,
        public bool $counts = false,
    ) {
        $this->memo = new Memo;
    }

    /** @param  string  $all  address of everything */
    public function plan(string $all = ''): Plan
    {
        return Plan::of($this, $all);
    }

    /** What visitors are told of the choice; null where there is nothing to say. */
    public function honestLine(): ?HonestLine
    {
        return Honesty::line($this->brief, $this->chosen->choices, $this->chosen->offered, $this->words);
    }

    /** @return list<list<Entry>> what visitors can have beside those shown, page by page; none where the brief wants none */
    public function pages(): array
    {
        return $this->brief->shape->more === 'none' ? [] : ($this->chosen->further?->pages() ?? []);
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

        return $this->instead($brief, array_merge($this->chosen->shown, ...$this->pages()));
    }

    /**
     * Other entries instead, by another brief, of which nothing is told.
     *
     * @param  list<Entry>  $shown  in their order
     */
    public function instead(Brief $brief, array $shown): self
    {
        $site = $this->site->withoutAccounts();

        return new self($brief, $this->chosen->instead($shown), $site, $this->words, $this->look, $this->font, $this->counts);
    }

    /** The same entries by another brief, in its look. */
    public function by(Brief $brief, ?Dressed $look = null): self
    {
        return new self($brief, $this->chosen, $this->site, $this->words, $look ?? $this->look, $this->font, $this->counts);
    }

    /** The same, counted or not. */
    public function counted(bool $counts): self
    {
        return new self($this->brief, $this->chosen, $this->site, $this->words, $this->look, $this->font, $counts);
    }

    /** @return array<string, mixed> everything that a rendering of it depends on */
    public function inputs(): array
    {
        return $this->memo->of('inputs', fn (): array => $this->written());
    }

    /** @return array<string, mixed> of those, what each entry depends on by itself, wherever it is shown */
    public function inputsOfEntries(): array
    {
        return ['shape' => $this->brief->toArray()['shape']] + array_intersect_key($this->inputs(), array_flip(self::OF_ENTRIES));
    }

    /** @return list<string> identifiers of entries whose day says no more than their month */
    private function older(): array
    {
        $now = $this->site->context->now->setTimezone($this->site->zone);
        $isOlder = fn (Entry $entry): bool => $entry->published !== null && DatePart::isOlder($entry->published, $now);

        return array_map(fn (Entry $entry): string => $entry->id, array_values(array_filter($this->chosen->all(), $isOlder)));
    }

    /** @return array<string, mixed> */
    private function written(): array
    {
        [$chosen, $site, $shape] = [$this->chosen, $this->site, $this->brief->shape];
        $sources = array_flip(array_map(fn (Entry $entry): string => (string) $entry->source, $chosen->shown));

        return [
            'brief' => $this->brief->toArray(),
            'entries' => array_map(EntryJson::write(...), $chosen->shown),
            'overall' => [
                $chosen->overall->count,
                $chosen->overall->mean,
                $chosen->overall->spread,
                $chosen->overall->sources,
                $chosen->overall->since,
                in_array('channels', $shape->head, true) ? $chosen->overall->bySource : [],
            ],
            'never' => $site->context->never !== [],
            'subjects' => in_array(SubjectPart::name(), $shape->card, true)
                ? array_map(fn (Entry $entry): string => $site->context->names->subject((string) $entry->subject), $chosen->all())
                : [],
            'channels' => array_intersect_key($site->context->channels, $sources),
            'pages' => array_map(
                get_object_vars(...),
                $shape->actions === [] && ! in_array('channels', $shape->head, true)
                    ? array_intersect_key($site->pages, $sources)
                    : $site->pages,
            ),
            'accounts' => array_map(get_object_vars(...), $site->accounts),
            'collected' => in_array('account', $shape->head, true) ? $chosen->collected : 0,
            'about' => $site->about,
            'further' => array_map(EntryJson::write(...), $chosen->further->entries ?? []),
            'font' => $this->font->value,
            'pins' => $this->brief->criteria->pins,
            'pictures' => array_map(get_object_vars(...), $site->pictures),
            'zone' => $site->zone->getName(),
            'words' => $this->words->digest(),
            'look' => $this->look->inputs(),
            'choices' => array_map(fn (Flattery $choice): string => $choice->value, $chosen->choices),
            'offered' => $chosen->offered,
            'ways' => array_map(get_object_vars(...), $chosen->ways),
            'way' => $chosen->way?->name,
            'for' => $chosen->pages,
            'counts' => $this->counts,
            'older' => $shape->date === 'recent' ? $this->older() : [],
        ];
    }
}
