<?php

declare(strict_types=1);

namespace Gnomic\Gather\Matching;

/** How much of a source an answer speaks of. */
enum Coverage
{
    /** All there is: what is missing has gone. */
    case Whole;
    /** The newest only, as feeds do: what is missing among the newest has gone, what is older has only dropped off the end. */
    case Newest;
    /** Some, as a table that is handed over does: nothing goes for not being in it. */
    case Some;
}
