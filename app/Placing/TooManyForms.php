<?php

declare(strict_types=1);

namespace App\Placing;

use Gnomic\Failure;
use RuntimeException;

/** More forms of widgets would have to be made ahead than a site has room for. */
final class TooManyForms extends RuntimeException implements Failure
{
    public function about(): array
    {
        return [];
    }
}
