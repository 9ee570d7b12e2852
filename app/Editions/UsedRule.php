<?php

declare(strict_types=1);

namespace App\Editions;

/** A rule of a style sheet that a widget has something for, or a group of them under a condition. */
final readonly class UsedRule
{
    /**
     * @param  string  $for  those of its selectors that there is something for, or the condition
     * @param  list<self>  $within  of a group
     */
    public function __construct(public StyleRule $rule, public string $for, public array $within)
    {
    }
}
