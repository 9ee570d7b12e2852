<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/** One thing that a brief asks of an entry, said four ways that agree: a test, a reason, a phrase, and SQL. */
interface Clause
{
    /** Name of the step in the sieve. */
    public function key(): string;

    /** How the sieve heads the step: "four stars and up". */
    public function phrase(): string;

    public function keeps(Facts $entry): bool;

    /** Why it does not keep an entry, in a whole sentence's worth: "3 stars, the brief wants 4 and up". */
    public function reason(Facts $entry): string;

    public function condition(): Condition;
}
