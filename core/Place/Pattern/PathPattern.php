<?php

declare(strict_types=1);

namespace Gnomic\Place\Pattern;

/**
 * Which pages of a site: a path, or a pattern of paths as the URL Pattern Standard writes their pathname: "/shop/*", "/shop/:item",
 * "/:lang(de|fr)/visit", "/visit{/}?". Capitals count.
 */
final class PathPattern
{
    /** Characters. */
    public const LONGEST = 400;

    /** Groups and stars: far more than any site's paths have levels. */
    public const MOST_GROUPS = 20;

    private ?string $expression = null;

    /**
     * @param  list<PatternPart>  $parts
     * @param  list<string>|null  $glob  fixed pieces between stars; null where there are other groups
     */
    private function __construct(public readonly string $pattern, private readonly array $parts, private readonly ?array $glob)
    {
    }

    /** @throws PatternIsWrong also for one that is too long, or has more groups than anybody reads */
    public static function of(string $pattern): self
    {
        if (mb_strlen($pattern) > self::LONGEST) {
            throw PatternIsWrong::at(
                $pattern,
                self::LONGEST,
                'it is longer than '.self::LONGEST.' characters. Use a star for what varies.',
            );
        }
        $parts = PatternParts::of($pattern);
        $isGroup = fn (PatternPart $part): bool => $part->type !== PatternPart::FIXED || $part->modifier !== '';
        $groups = count(array_filter($parts, $isGroup));
        if ($groups > self::MOST_GROUPS) {
            throw PatternIsWrong::at($pattern, 0, "it has $groups stars and groups; ".self::MOST_GROUPS.' are enough for any path.');
        }
        $read = new self($pattern, $parts, self::globOf($parts));
        if ($read->glob === null && @preg_match($read->regex(), '') === false) {
            throw PatternIsWrong::at($pattern, 0, 'the expression in brackets is none.');
        }

        return $read;
    }

    /** The pattern, where it can be read; else one that fits the words of it alone. */
    public static function readable(string $pattern): string
    {
        try {
            return self::of($pattern)->pattern;
        } catch (PatternIsWrong) {
            return mb_substr((string) preg_replace('~[^\w/-]~', '\\\\$0', $pattern), 0, self::LONGEST);
        }
    }

    /** @param  string  $path  of an address, with or without its host */
    public function matches(string $path): bool
    {
        $path = PathName::canonical($path === '' ? '/' : $path);
        if ($this->glob !== null) {
            return self::fits($this->glob, $path);
        }

        // What would take longer than its engine allows matches nothing.
        return preg_match($this->regex(), $path) === 1;
    }

    /** Whether it is one page and no other. */
    public function isOnePage(): bool
    {
        return $this->glob !== null && count($this->glob) === 1;
    }

    /**
     * Which of two is the more particular, part by part from the left: words as they stand before an expression, that before a name,
     * that before a star; then those that have to be there before those that may; then the longer.
     *
     * @return int below 0 where the other is, 0 where neither is
     */
    public function compared(self $other): int
    {
        [$left, $right] = [$this->parts, $other->parts];
        $common = min(count($left), count($right));
        for ($index = 0; $index < $common; $index++) {
            $said = $left[$index]->compared($right[$index]);
            if ($said !== 0) {
                return $said;
            }
        }
        if (count($left) === count($right)) {
            return 0;
        }
        $nothing = new PatternPart(PatternPart::FIXED, '');

        return ($left[$common] ?? $nothing)->compared($right[$common] ?? $nothing);
    }

    /**
     * For scripts, the quickest way to ask: the words of one page, the pieces between stars, or an expression with the words that a path
     * has to begin with, those that it has to end with, and the longest of the others: where one of them is not there, nobody has to ask
     * the expression.
     *
     * @return string|list<string>|array{0: string, e: string, m: string, r: string}
     */
    public function compiled(): string|array
    {
        if ($this->glob !== null) {
            return count($this->glob) === 1 ? $this->glob[0] : $this->glob;
        }
        $fixed = array_map(
            fn (PatternPart $part): string => $part->modifier !== '' ? '' : (
                $part->type === PatternPart::FIXED ? $part->value : $part->prefix
            ),
            $this->parts,
        );
        $last = $this->parts[count($this->parts) - 1] ?? null;
        $end = $last === null || $last->modifier !== '' ? '' : ($last->type === PatternPart::FIXED ? $last->value : $last->suffix);
        $middle = '';
        foreach ($fixed as $words) {
            $middle = strlen($words) > strlen($middle) ? $words : $middle;
        }

        return [FixedWords::first($this->source()), 'e' => $end, 'm' => $middle, 'r' => $this->source()];
    }

    /** As an expression in ECMAScript's grammar, whole. */
    public function source(): string
    {
        return $this->expression ??= '^'.implode('', array_map(fn (PatternPart $part): string => $part->expression(), $this->parts)).'$';
    }

    private function regex(): string
    {
        // In ECMAScript "$" is the very end, and a point any sign but the ends of lines, which no path has.
        // No sign of a path ends the expression: those below the blank are written as numbers.
        return "\x01{$this->source()}\x01Du";
    }

    /**
     * @param  list<PatternPart>  $parts
     * @return list<string>|null
     */
    private static function globOf(array $parts): ?array
    {
        $glob = [''];
        foreach ($parts as $part) {
            if ($part->modifier !== '' || ! in_array($part->type, [PatternPart::FIXED, PatternPart::ALL], true)) {
                return null;
            }
            $glob[count($glob) - 1] .= $part->type === PatternPart::FIXED ? $part->value : $part->prefix;
            if ($part->type === PatternPart::ALL) {
                $glob[] = $part->suffix;
            }
        }

        return $glob;
    }

    /**
     * Each piece as far to the left as it can be, the last at the end: that never takes longer than the path times the pieces.
     *
     * @param  list<string>  $glob
     */
    private static function fits(array $glob, string $path): bool
    {
        $first = array_shift($glob);
        if ($glob === []) {
            return $path === $first;
        }
        $last = array_pop($glob);
        if (! str_starts_with($path, (string) $first) || ! str_ends_with($path, $last)) {
            return false;
        }
        $at = strlen((string) $first);
        foreach ($glob as $piece) {
            $found = strpos($path, $piece, $at);
            if ($found === false) {
                return false;
            }
            $at = $found + strlen($piece);
        }

        return $at <= strlen($path) - strlen($last);
    }
}
