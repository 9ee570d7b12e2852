<?php

declare(strict_types=1);

namespace Gnomic\Edition\Plan;

/** What a visitor can press in the head: one link, or a menu of several. */
final readonly class HeadAction
{
    /** @param  non-empty-array<string, string>  $links  addresses by what is said of each; of one link, that is the text */
    public function __construct(public string $text, public array $links)
    {
    }
}
