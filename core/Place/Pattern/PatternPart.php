<?php

declare(strict_types=1);

namespace Gnomic\Place\Pattern;

/**
 * A piece of a pattern: words as they stand, or a group that stands for others.
 *
 * @internal
 */
final readonly class PatternPart
{
    /** From the least particular to the most, as the URL Pattern Standard's reference implementation compares them. */
    public const ALL = 0;

    public const SEGMENT = 1;

    public const REGEXP = 2;

    public const FIXED = 3;

    public const MODIFIERS = ['*' => 0, '?' => 1, '+' => 2, '' => 3];

    /**
     * @param  0|1|2|3  $type
     * @param  string  $value  words of a fixed one, expression of one with its own
     * @param  ''|'?'|'+'|'*'  $modifier
     */
    public function __construct(
        public int $type,
        public string $value,
        public string $modifier = '',
        public string $name = '',
        public string $prefix = '',
        public string $suffix = '',
    ) {
    }

    /** Which of two is the more particular: below 0 where the other is. */
    public function compared(self $other): int
    {
        return [
            $this->type <=> $other->type,
            self::MODIFIERS[$this->modifier] <=> self::MODIFIERS[$other->modifier],
            strcmp($this->prefix, $other->prefix),
            strcmp($this->value, $other->value),
            strcmp($this->suffix, $other->suffix),
        ] <=> [0, 0, 0, 0, 0];
    }

    /** As a regular expression, by "generate a regular expression and name list" (§3.3). */
    public function expression(): string
    {
        if ($this->type === self::FIXED) {
            $words = self::escaped($this->value);

            return $this->modifier === '' ? $words : "(?:$words)$this->modifier";
        }
        $own = match ($this->type) {
            self::SEGMENT => '[^\/]+?',
            self::ALL => '.*',
            default => $this->value,
        };
        $repeats = $this->modifier === '*' || $this->modifier === '+';
        if ($this->prefix === '' && $this->suffix === '') {
            return $repeats ? "((?:$own)$this->modifier)" : "($own)$this->modifier";
        }
        [$prefix, $suffix] = [self::escaped($this->prefix), self::escaped($this->suffix)];

        return $repeats
            ? "(?:$prefix((?:$own)(?:$suffix$prefix(?:$own))*)$suffix)".($this->modifier === '*' ? '?' : '')
            : "(?:$prefix($own)$suffix)$this->modifier";
    }

    /** Signs that mean something in expressions, taken as they stand. In PHP's and in ECMAScript's. */
    private static function escaped(string $words): string
    {
        return (string) preg_replace('~[.+*?^${}()[\]|/\\\\]~', '\\\\$0', $words);
    }
}
