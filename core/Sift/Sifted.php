<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/** A brief's choice among the entries of a site, whether these lie in a database or in a file. */
interface Sifted
{
    public function context(): SiteContext;

    public function tally(): Tally;

    public function selection(): Selection;

    /** @return list<string> references of the first that pass every clause, in their order */
    public function passing(int $most): array;

    /** @return list<string> primary subtags of the languages that pass, the most frequent first */
    public function languages(): array;

    /** The same entries in another order: on a page of another language, or at another visit. */
    public function at(?string $language, int $visit): self;

    /** Another choice among the same entries, at the same moment. */
    public function alongside(Criteria $wanted): self;
}
