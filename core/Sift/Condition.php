<?php

declare(strict_types=1);

namespace Gnomic\Sift;

/**
 * What a clause keeps, as an expression of SQL over columns named as the members of Facts (ref for its identifier, told_by,
 * tags and labels between bars), over barred, and over the index entry_words. The expression is 1 or 0, never NULL.
 */
final readonly class Condition
{
    /** @param  list<string|int|float>  $bindings in the order of the question marks */
    public function __construct(public string $sql, public array $bindings = [])
    {
    }

    /** @param  list<string>  $values */
    public static function oneOf(string $column, array $values): self
    {
        return $values === [] ? new self('0')
            : new self("$column IN (".implode(', ', array_fill(0, count($values), '?')).')', $values);
    }

    public function or(self $other): self
    {
        return new self("($this->sql OR $other->sql)", [...$this->bindings, ...$other->bindings]);
    }

    public function not(): self
    {
        return new self("(NOT $this->sql)", $this->bindings);
    }
}
