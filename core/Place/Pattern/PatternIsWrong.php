<?php

declare(strict_types=1);

namespace Gnomic\Place\Pattern;

use DomainException;
use Gnomic\Failure;

/** A pattern of pages that cannot be read. The message names the place and the fix. */
final class PatternIsWrong extends DomainException implements Failure
{
    private function __construct(string $message, public readonly string $pattern, public readonly int $position)
    {
        parent::__construct($message);
    }

    /** @param  int  $position  characters before the place, from 0 */
    public static function at(string $pattern, int $position, string $why): self
    {
        $shown = mb_strimwidth($pattern, 0, 60, '…');

        return new self("The pattern \"$shown\" cannot be read at character ".($position + 1).": $why", $pattern, $position);
    }

    public function about(): array
    {
        return [];
    }
}
