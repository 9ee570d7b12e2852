<?php

declare(strict_types=1);

namespace Gnomic\Sift;

use Gnomic\Entry\Entry;

/** What the clauses of a brief ask of an entry, and no more. */
final readonly class Facts
{
    /**
     * @param  string  $kind  as Kind's values
     * @param  float|null  $stars  1 to 5; null where it is not rated
     * @param  int  $length  characters of its words; the title does not count
     * @param  int|null  $published  seconds since 1970
     * @param  bool  $gone  no longer at its source
     * @param  bool  $hidden  hidden by the owner in every widget
     * @param  list<string>  $toldBy  sources in which another entry tells the same and speaks before this one
     */
    public function __construct(
        public string $id,
        public string $source,
        public string $kind,
        public ?float $stars,
        public int $length,
        public ?int $published,
        public bool $gone = false,
        public bool $hidden = false,
        public array $toldBy = [],
    ) {
    }

    public static function of(Entry $entry): self
    {
        return new self($entry->id, (string) $entry->source, $entry->kind->value, $entry->stars(), $entry->length(), $entry->published?->getTimestamp());
    }
}
