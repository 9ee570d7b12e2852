<?php

declare(strict_types=1);

namespace Gnomic\Place\Spot;

/** Where on a page a widget stands. */
enum Position: string
{
    /** Where its own tag is pasted. */
    case Tag = 'tag';

    case Before = 'before';

    case After = 'after';

    /** At the end of what is within. */
    case Inside = 'inside';
}
