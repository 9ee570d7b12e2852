<?php

declare(strict_types=1);

namespace Gnomic\Place\Pattern;

/** One sign of a pattern. @internal */
final readonly class PatternToken
{
    /** @param  'char'|'escaped'|'name'|'regexp'|'open'|'close'|'asterisk'|'modifier'|'end'  $type */
    public function __construct(public string $type, public int $position, public string $value)
    {
    }
}
