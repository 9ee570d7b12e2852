<?php

declare(strict_types=1);

namespace Gnomic\Entry;

/** The words in another language, as the source itself gives them. */
final readonly class Translation
{
    /** @param  string  $language  BCP 47 tag */
    public function __construct(public string $text, public string $language)
    {
    }
}
