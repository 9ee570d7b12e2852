<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

use Gnomic\Entry\Entry;
use Gnomic\Sift\Flattery;
use Gnomic\Standing\Overall;

/** The entries that a brief chose, and what is said of the choice. */
final readonly class Chosen
{
    /**
     * @param  list<Entry>  $shown  in their order
     * @param  Overall  $overall  over everything collected from the brief's sources
     * @param  int  $collected  entries of the brief's sources
     * @param  list<Flattery>  $choices  by which it may look otherwise than all there is, where visitors are told
     * @param  int  $offered  entries behind the link to everything
     * @param  Further|null  $further  entries that visitors can have beside those shown
     * @param  list<Way>  $ways  by which visitors may choose among them
     * @param  Way|null  $way  the one that these are; null for what everybody sees first
     * @param  string  $pages  language of the pages that they are for; empty for all that have none of their own
     */
    public function __construct(
        public array $shown,
        public Overall $overall,
        public int $collected = 0,
        public array $choices = [],
        public int $offered = 0,
        public ?Further $further = null,
        public array $ways = [],
        public ?Way $way = null,
        public string $pages = '',
    ) {
    }

    /**
     * Others, of which nothing is told.
     *
     * @param  list<Entry>  $shown  in their order
     */
    public function instead(array $shown): self
    {
        return new self($shown, $this->overall);
    }

    /** @return list<Entry> with those beside them */
    public function all(): array
    {
        return [...$this->shown, ...$this->further->entries ?? []];
    }
}
