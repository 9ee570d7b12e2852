<?php

declare(strict_types=1);

namespace Gnomic\Brief;

/** What the sentence tells beside the brief itself. */
final readonly class Surroundings
{
    /**
     * @param  int  $sources  how many the site has
     * @param  array<string, string>  $names  of sources, by key
     * @param  list<string>  $cadences  of the sources that the brief names, each once: "every six hours"
     */
    public function __construct(public int $sources = 0, public array $names = [], public array $cadences = [])
    {
    }
}
