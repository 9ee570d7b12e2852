<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

/** The line that says what a selection is. */
final readonly class HonestLine
{
    /**
     * @param  string  $text  "A selection: four stars and up, with words."
     * @param  string  $all  "See all (318)"
     */
    public function __construct(public string $text, public string $all)
    {
    }
}
