<?php

declare(strict_types=1);

namespace Gnomic\Brief;

/** The order in which entries are shown. Equals are told apart by date, newest first, then by identifier. */
enum Order: string
{
    case Newest = 'newest';
    case Oldest = 'oldest';
    case Highest = 'highest';
    case Lowest = 'lowest';
    /** By chance, another order each day. */
    case Shuffled = 'shuffled';
}
