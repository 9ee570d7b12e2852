<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/** By what a choice may look better than all there is; a catalogue has words for each. */
enum Flattery: string
{
    case Stars = 'stars';
    case WithWords = 'withWords';
    case ByWords = 'byWords';
}
