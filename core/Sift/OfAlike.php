<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/**
 * A clause that cannot tell apart two entries of the same source, kind, state, stars, subject and language that both have
 * words, pictures and a reply or have not, but for those that are picked by hand. It is asked once for all of them.
 */
interface OfAlike extends Clause
{
}
