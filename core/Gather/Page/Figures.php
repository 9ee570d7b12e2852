<?php

declare(strict_types=1);

namespace Gnomic\Gather\Page;

use Gnomic\Entry\Rating;

/** The overall figures that a service itself gives of a subject. StoredPicture apart from those of the collected entries. */
final readonly class Figures
{
    /** @param  int|null  $count ratings, or reviews where only those are counted */
    public function __construct(public Rating $mean, public ?int $count)
    {
    }
}
