<?php

declare(strict_types=1);

namespace App\Entries\Sift;

use Gnomic\Entry\Kind;

/** What sentences tell of channels: nothing where no sentence is made. */
final readonly class SaidOfChannels
{
    /**
     * @param  array<string, string>  $names  by key
     * @param  array<string, Kind|null>  $kinds  of which everything is that a channel brings; null where it may be of several
     */
    public function __construct(public array $names = [], public array $kinds = [])
    {
    }
}
