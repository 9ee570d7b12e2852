<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

use Gnomic\Brief\Brief;

/** One of the forms that an edition is made in. */
final readonly class Variant
{
    /**
     * @param  string  $name  empty for the usual one
     * @param  string  $words  language of the catalogue it speaks by
     * @param  string|null  $first  language of the entries that come first; null where none do
     * @param  int  $visit  which of the orders made ahead, from 1
     * @param  string|null  $language  of the pages that get it, where nothing else has a say; empty for all that have none of their own
     * @param  Way|null  $way  that a visitor has chosen; null for what everybody sees first
     */
    public function __construct(
        public string $name,
        public Brief $brief,
        public string $words,
        public ?string $first,
        public int $visit,
        public ?string $language = null,
        public ?Way $way = null,
    ) {
    }

    /** The same where a visitor has chosen. @param  Brief  $brief  of the choice */
    public function chosen(Way $way, Brief $brief): self
    {
        return new self($way->file((string) $this->language), $brief, $this->words, $this->first, $this->visit, $this->language, $way);
    }
}
