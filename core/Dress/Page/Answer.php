<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

/** Whether a condition holds, and whether that is known. */
final readonly class Answer
{
    public function __construct(public bool $holds, public bool $isSure)
    {
    }
}
