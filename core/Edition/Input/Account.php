<?php

declare(strict_types=1);

namespace Gnomic\Edition\Input;

/** An account that posts come from, as its owner wants it shown. */
final readonly class Account
{
    /** @param  string|null  $picture  its address at the source */
    public function __construct(public string $name, public ?string $picture, public ?string $bio, public ?string $url)
    {
    }
}
