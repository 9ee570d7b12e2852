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
     */
    public function __construct(public string $name, public Brief $brief, public string $words, public ?string $first, public int $visit)
    {
    }
}
