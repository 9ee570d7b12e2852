<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/** One step of the sieve's account. */
final readonly class Step
{
    /**
     * @param  string  $key  "collected", a clause's key, "mostOfAuthor", "mostOfSource" or "shown"
     * @param  int  $kept  entries left behind this step
     * @param  int  $dropped  entries that this step kept out, of those the steps before it let through
     * @param  int|null  $alone  entries that nothing but this step keeps out: so many more would pass without it; null where it
     *     cannot be left out
     * @param  int|null  $more  how many more would show without it, at most where there are other caps; null where it cannot be left out
     */
    public function __construct(
        public string $key,
        public string $phrase,
        public int $kept,
        public int $dropped,
        public ?int $alone = null,
        public ?int $more = null,
    ) {
    }
}
