<?php

declare(strict_types=1);

namespace App\Sift;

use Gnomic\Sift\Ordered;

/** What is found when it is first asked for. */
final class Once
{
    private ?Ordered $found = null;

    /** @param  callable(): Ordered  $find */
    public function of(callable $find): Ordered
    {
        return $this->found ??= $find();
    }
}
