<?php

declare(strict_types=1);

namespace Gnomic\Entry;

use Throwable;

/** Everything that can be wrong with a rating. */
interface RatingException extends Throwable
{
}
