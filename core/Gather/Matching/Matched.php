<?php

declare(strict_types=1);

namespace Gnomic\Gather\Matching;

use Gnomic\Entry\Entry;

/** What an answer means for the entries that are stored. */
final readonly class Matched
{
    /**
     * @param  list<Entry>  $new
     * @param  list<Entry>  $changed  edited at the source, or back after having gone
     * @param  int  $same  how many stayed as they were
     * @param  list<Entry>  $reread  those of them that are stored under an earlier version of what a digest speaks of
     * @param  list<string>  $gone  identifiers of those that are no longer there
     * @param  array<array-key, string>  $digests  of those that are new, changed or reread, by identifier
     * @param  string|null  $held  why nothing of this may be applied; null where all may
     */
    public function __construct(
        public array $new,
        public array $changed,
        public int $same,
        public array $reread,
        public array $gone,
        public array $digests = [],
        public ?string $held = null,
    ) {
    }

    public function changesNothing(): bool
    {
        return $this->new === [] && $this->changed === [] && $this->gone === [];
    }
}
