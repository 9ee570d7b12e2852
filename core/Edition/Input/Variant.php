<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

use Gnomic\Brief\Brief;

/** One of the forms that an edition is made in. */
final readonly class Variant
{
    /** Names of those that visitors choose begin so. */
    public const BY = 'by.';

    /**
     * @param  string  $name  empty for the usual one
     * @param  string  $words  language of the catalogue it speaks by
     * @param  string|null  $first  language of the entries that come first; null where none do
     * @param  int  $visit  which of the orders made ahead, from 1
     * @param  string  $way  that a visitor has chosen; empty for what everybody sees first
     */
    public function __construct(
        public string $name,
        public Brief $brief,
        public string $words,
        public ?string $first,
        public int $visit,
        public string $way = '',
    ) {
    }

    /** The same where a visitor has chosen. @param  Brief  $brief  of the choice */
    public function chosen(string $way, Brief $brief): self
    {
        return new self(self::BY.($this->name === '' ? '' : "$this->name.").$way, $brief, $this->words, $this->first, $this->visit, $way);
    }

    /** Whether there are choices in it: of pages and visits that differ, there are enough forms already. */
    public function isByLanguage(): bool
    {
        return preg_match('/^(?:[a-z]{2,3})?$/', $this->name) === 1;
    }
}
