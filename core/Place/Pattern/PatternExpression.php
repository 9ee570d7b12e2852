<?php

declare(strict_types=1);

namespace Gnomic\Place\Pattern;

/**
 * An expression between the brackets of a pattern, read sign by sign and written so that PHP (PCRE) and scripts (ECMAScript with the flag
 * "v", as the URL Pattern Standard asks for) read the same: what "v" wants escaped is escaped, and what either of them refuses, or reads
 * otherwise than the other, is refused here. ECMA-262, §22.2.1 (Patterns), with ClassSetReservedPunctuator and its like.
 *
 * @internal
 */
final class PatternExpression
{
    /** Of a quantifier: PCRE's own bound is higher, and no path is as long. */
    private const MOST = 1_000;

    private const SYNTAX = '^$\\.*+?()[]{}|/';

    private int $at = 0;

    private int $depth = 0;

    private string $written = '';

    private function __construct(private readonly string $source)
    {
    }

    /**
     * @param  string  $source  of plain ASCII, its brackets balanced
     *
     * @throws ExpressionIsWrong
     */
    public static function written(string $source): string
    {
        $reading = new self($source);
        $reading->alternatives();

        return $reading->written;
    }

    private function alternatives(): void
    {
        // Whether what stands before can be repeated.
        $isAtom = false;
        while ($this->at < strlen($this->source)) {
            $sign = $this->source[$this->at];
            if ($sign === ')') {
                return;
            }
            $isAtom = match ($sign) {
                '|' => $this->as('|', false),
                '(' => $this->group(),
                '[' => $this->set(),
                '\\' => $this->escaped(),
                '*', '+', '?' => $this->repeated($isAtom, $sign),
                '{' => $this->counted($isAtom),
                '^', '$' => $this->as($sign, false),
                '.' => $this->as('.', true),
                default => $this->as(self::literal($sign), true),
            };
        }
    }

    private function as(string $written, bool $isAtom): bool
    {
        $this->at++;
        $this->written .= $written;

        return $isAtom;
    }

    private function group(): bool
    {
        if (preg_match('/\G\((\?(?::|=|!|<=|<!))/', $this->source, $found, 0, $this->at) !== 1) {
            throw new ExpressionIsWrong('brackets within brackets begin with "(?:", or with "(?=", "(?!", "(?<=" and "(?<!".');
        }
        if (++$this->depth > 20) {
            throw new ExpressionIsWrong('its brackets are nested too deeply.');
        }
        $this->at += strlen($found[0]);
        $this->written .= $found[0];
        $this->alternatives();
        if (($this->source[$this->at] ?? '') !== ')') {
            throw new ExpressionIsWrong('a bracket is never closed.');
        }
        $this->depth--;

        // What only looks ahead or back cannot be repeated.
        return $this->as(')', $found[1] === '?:');
    }

    private function repeated(bool $isAtom, string $sign): bool
    {
        if (! $isAtom) {
            throw new ExpressionIsWrong("there is nothing before \"$sign\" to be repeated; for the sign itself write \"\\$sign\".");
        }
        $this->as($sign, false);
        $this->lazily();

        return false;
    }

    private function counted(bool $isAtom): bool
    {
        if (! $isAtom || preg_match('/\G\{(\d{1,4})(?:(,)(\d{1,4})?)?\}/', $this->source, $found, 0, $this->at) !== 1) {
            return $this->as('\\{', true);
        }
        [$least, $most] = [(int) $found[1], isset($found[3]) ? (int) $found[3] : (int) $found[1]];
        if ($most < $least || $most > self::MOST) {
            throw new ExpressionIsWrong("\"$found[0]\" counts the wrong way round, or beyond ".self::MOST.'.');
        }
        $this->at += strlen($found[0]);
        $this->written .= $found[0];
        $this->lazily();

        return false;
    }

    private function lazily(): void
    {
        if (($this->source[$this->at] ?? '') === '?') {
            $this->as('?', false);
        }
    }

    private function escaped(): bool
    {
        $sign = $this->source[$this->at + 1] ?? throw new ExpressionIsWrong('there is nothing after its last backslash.');
        if ($sign === 'b' || $sign === 'B') {
            $this->at++;

            return $this->as("\\$sign", false);
        }
        $this->written .= str_contains('dDwWsS', $sign) ? $this->kind($sign) : self::literal($this->named());

        return true;
    }

    /** A set: what v reads as sets of sets is refused, since PHP has none. */
    private function set(): bool
    {
        $this->as('[', false);
        if (($this->source[$this->at] ?? '') === '^') {
            $this->as('^', false);
        }
        $isEmpty = true;
        while (($sign = $this->source[$this->at] ?? throw new ExpressionIsWrong('a square bracket is never closed.')) !== ']') {
            $isEmpty = false;
            if (preg_match('/\G(?:--|&&|\[)/', $this->source, $found, 0, $this->at) === 1) {
                throw new ExpressionIsWrong(
                    "\"$found[0]\" within square brackets makes sets of sets, which are not read; write \"\\"
                        .implode('\\', str_split($found[0])).'" for the signs themselves.',
                );
            }
            $kind = $sign === '\\' ? ($this->source[$this->at + 1] ?? '') : '';
            if ($kind !== '' && str_contains('dDwWsS', $kind)) {
                $this->written .= $this->kind($kind);

                continue;
            }
            $this->range($this->one());
        }
        if ($isEmpty) {
            throw new ExpressionIsWrong('there is nothing between its square brackets.');
        }

        return $this->as(']', true);
    }

    private function range(string $first): void
    {
        $isRange = ($this->source[$this->at] ?? '') === '-' && ! in_array($this->source[$this->at + 1] ?? ']', [']', '-'], true)
            && preg_match('/\G-\\\\[dDwWsS]/', $this->source, offset: $this->at) !== 1;
        $this->written .= self::inSet($first);
        if (! $isRange) {
            return;
        }
        $this->at++;
        $last = $this->one();
        if (ord($last) < ord($first)) {
            throw new ExpressionIsWrong("the range \"$first-$last\" is the wrong way round.");
        }
        $this->written .= '-'.self::inSet($last);
    }

    /** One sign of a set, escaped or not. */
    private function one(): string
    {
        if ($this->source[$this->at] !== '\\') {
            return $this->source[$this->at++];
        }
        if (($this->source[$this->at + 1] ?? '') === 'b') {
            $this->at += 2;

            return "\x08";
        }

        return $this->named();
    }

    private function kind(string $sign): string
    {
        $this->at += 2;

        return "\\$sign";
    }

    /** The sign that an escape stands for. */
    private function named(): string
    {
        $escape = '/\G\\\\(?:x([0-9a-f]{2})|u00([0-9a-f]{2})|([tnrvf])|([^a-z0-9]))/i';
        if (preg_match($escape, $this->source, $found, PREG_UNMATCHED_AS_NULL, $this->at) !== 1) {
            throw new ExpressionIsWrong(
                '"\\'.($this->source[$this->at + 1] ?? '').'" means nothing here, or not the same everywhere; '
                    .'write the sign without the backslash, or what it stands for.',
            );
        }
        $this->at += strlen($found[0]);
        $number = $found[1] ?? $found[2] ?? null;
        if ($number !== null && hexdec($number) > 0x7F) {
            throw new ExpressionIsWrong('an expression in brackets is of plain ASCII; addresses have other letters as "%C3%BC".');
        }

        return match (true) {
            $number !== null => chr((int) hexdec($number)),
            ($found[3] ?? null) !== null => ['t' => "\t", 'n' => "\n", 'r' => "\r", 'v' => "\v", 'f' => "\f"][strtolower($found[3])] ?? '',
            default => $found[4] ?? '',
        };
    }

    private static function literal(string $sign): string
    {
        return match (true) {
            ord($sign) < 0x20 || ord($sign) === 0x7F => sprintf('\\x%02x', ord($sign)),
            str_contains(self::SYNTAX, $sign) => "\\$sign",
            default => $sign,
        };
    }

    /** Within a set every mark is escaped that may be: v reads two of them as a sign of its own. */
    private static function inSet(string $sign): string
    {
        return match (true) {
            ord($sign) < 0x20 || ord($sign) === 0x7F => sprintf('\\x%02x', ord($sign)),
            preg_match('/[A-Za-z0-9_"\' ]/', $sign) === 1 => $sign,
            default => "\\$sign",
        };
    }
}
