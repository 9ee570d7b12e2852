<?php

declare(strict_types=1);

namespace Gnomic\Entry;

use Gnomic\Failure;

/** Everything that can be wrong with a rating. */
interface RatingException extends Failure
{
}
