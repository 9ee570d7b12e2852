<?php

declare(strict_types=1);

namespace Gnomic;

use Throwable;

/**
 * What is wrong with what somebody gave, or with what a service answered: its message is for them, and names the place and the fix.
 * Whatever else is thrown is a fault of Gnomic's own.
 */
interface Failure extends Throwable
{
    /** @return array<string, scalar> what a program may want to know beside the words, by name */
    public function about(): array;
}
