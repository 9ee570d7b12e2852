<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/** The order in which entries are shown. Equals are told apart by date, newest first, then by identifier. */
enum Order: string
{
    case Newest = 'newest';
    case Oldest = 'oldest';
    case Highest = 'highest';
    case Lowest = 'lowest';
    case Liked = 'liked';
    case Longest = 'longest';
    /** By chance. */
    case Shuffled = 'shuffled';
    /** By a score of freshness, certainty of the rating, substance of the words and variety. */
    case Balanced = 'balanced';
}
