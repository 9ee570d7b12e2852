<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/** How long an order by chance keeps. */
enum Shuffle: string
{
    case Day = 'day';
    /** One of some orders made ahead, another at every visit. */
    case Visit = 'visit';
    case Fixed = 'fixed';
}
