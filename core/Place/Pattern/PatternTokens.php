<?php

declare(strict_types=1);

namespace Gnomic\Place\Pattern;

use IntlChar;

/**
 * A pattern taken apart into its signs: "tokenize a pattern string" of the URL Pattern Standard (urlpattern.spec.whatwg.org, §3.1).
 *
 * @internal
 */
final class PatternTokens
{
    private const SIGNS = ['{' => 'open', '}' => 'close', '*' => 'asterisk', '?' => 'modifier', '+' => 'modifier'];

    private int $at = 0;

    /** @var list<PatternToken> */
    private array $tokens = [];

    /** @param  list<string>  $signs  characters */
    private function __construct(private readonly string $pattern, private readonly array $signs)
    {
    }

    /**
     * @return non-empty-list<PatternToken> the last is the end
     *
     * @throws PatternIsWrong
     */
    public static function of(string $pattern): array
    {
        $reading = new self($pattern, mb_str_split($pattern));
        while ($reading->at < count($reading->signs)) {
            $reading->next();
        }

        return [...$reading->tokens, new PatternToken('end', count($reading->signs), '')];
    }

    private function next(): void
    {
        $from = $this->at;
        $sign = $this->signs[$this->at++];
        match ($sign) {
            '\\' => $this->escaped($from),
            ':' => $this->name($from),
            '(' => $this->regexp($from),
            default => $this->tokens[] = new PatternToken(self::SIGNS[$sign] ?? 'char', $from, $sign),
        };
    }

    private function escaped(int $from): void
    {
        $sign = $this->signs[$this->at++] ?? throw $this->wrong($from, 'write what the backslash is to keep after it.');
        $this->tokens[] = new PatternToken('escaped', $from, $sign);
    }

    private function name(int $from): void
    {
        $name = '';
        while (isset($this->signs[$this->at]) && self::isOfName($this->signs[$this->at], $name === '')) {
            $name .= $this->signs[$this->at++];
        }
        if ($name === '') {
            throw $this->wrong($from, 'a colon wants a name after it, as in "/shop/:item"; for a colon itself write "\\:".');
        }
        $this->tokens[] = new PatternToken('name', $from, $name);
    }

    private function regexp(int $from): void
    {
        $depth = 1;
        $expression = '';
        while ($depth > 0) {
            $at = $this->at;
            $sign = $this->signs[$this->at++] ?? throw $this->wrong($from, 'the bracket is never closed.');
            if (! mb_check_encoding($sign, 'ASCII')) {
                throw $this->wrong($at, 'an expression in brackets is of plain ASCII.');
            }
            if ($expression === '' && $sign === '?') {
                throw $this->wrong($at, 'an expression in brackets cannot begin with a question mark.');
            }
            if ($sign === '\\') {
                $next = $this->signs[$this->at++] ?? throw $this->wrong($at, 'write what the backslash is to keep after it.');
                if (! mb_check_encoding($next, 'ASCII')) {
                    throw $this->wrong($at, 'an expression in brackets is of plain ASCII.');
                }
                $expression .= $sign.$next;

                continue;
            }
            if ($sign === '(') {
                $depth++;
                if (($this->signs[$this->at] ?? '') !== '?') {
                    throw $this->wrong($at, 'brackets within brackets have to begin with "(?:".');
                }
            }
            $depth -= $sign === ')' ? 1 : 0;
            $expression .= $depth === 0 ? '' : $sign;
        }
        if ($expression === '') {
            throw $this->wrong($from, 'there is nothing between the brackets.');
        }
        $this->tokens[] = new PatternToken('regexp', $from, $expression);
    }

    /** Identifiers of ECMAScript: ID_Start or ID_Continue of UAX #31, with "$", "_" and the two joiners. */
    private static function isOfName(string $sign, bool $isFirst): bool
    {
        return $sign === '$' || $sign === '_' || (! $isFirst && ($sign === "\u{200C}" || $sign === "\u{200D}"))
            || IntlChar::hasBinaryProperty($sign, $isFirst ? IntlChar::PROPERTY_ID_START : IntlChar::PROPERTY_ID_CONTINUE) === true;
    }

    private function wrong(int $at, string $why): PatternIsWrong
    {
        return PatternIsWrong::at($this->pattern, $at, $why);
    }
}
