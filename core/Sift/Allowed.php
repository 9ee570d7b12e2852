<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/** What may be shown of a channel's entries, by its terms or by taste. */
enum Allowed: string
{
    case Everything = 'everything';
    /** They count in the figures and are not shown themselves. */
    case Figures = 'figures';
    /** Shown, and their words never shortened. */
    case Whole = 'whole';
}
