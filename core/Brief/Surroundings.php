<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use DateTimeImmutable;
use Gnomic\Sift\Circumstances;

/** What the sentence tells beside the brief itself. */
final readonly class Surroundings
{
    public Circumstances $circumstances;

    /**
     * @param  int  $sources  how many the site has
     * @param  array<string, string>  $names  of sources, by key
     * @param  list<string>  $cadences  of the sources that the brief names, each once: "every six hours"
     * @param  array<string, string>  $subjects  names by key
     * @param  array<string, string>  $channelNames  by channel
     */
    public function __construct(public int $sources = 0, public array $names = [], public array $cadences = [], public array $subjects = [], public array $channelNames = [], ?Circumstances $circumstances = null)
    {
        $this->circumstances = $circumstances ?? new Circumstances(new DateTimeImmutable('1970-01-01T00:00:00Z'));
    }
}
