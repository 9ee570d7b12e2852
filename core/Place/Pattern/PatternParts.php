<?php

declare(strict_types=1);

namespace Gnomic\Place\Pattern;

/**
 * The pieces of a pattern of paths: "parse a pattern string" of the URL Pattern Standard (§3.2), with the slash as delimiter and prefix.
 *
 * @internal
 */
final class PatternParts
{
    private int $at = 0;

    private string $pending = '';

    private int $unnamed = 0;

    /** @var list<PatternPart> */
    private array $parts = [];

    /** @param  non-empty-list<PatternToken>  $tokens */
    private function __construct(private readonly string $pattern, private readonly array $tokens)
    {
    }

    /**
     * @return list<PatternPart>
     *
     * @throws PatternIsWrong
     */
    public static function of(string $pattern): array
    {
        $reading = new self($pattern, PatternTokens::of($pattern));
        while ($reading->at < count($reading->tokens)) {
            $reading->next();
        }

        return $reading->parts;
    }

    private function next(): void
    {
        $char = $this->taken('char');
        $name = $this->taken('name');
        $group = $this->group($name);
        if ($name !== null || $group !== null) {
            $prefix = $char->value ?? '';
            if ($prefix !== '/') {
                $this->pending .= $prefix;
                $prefix = '';
            }
            $this->settle();
            $this->add($prefix, $name, $group, '', $this->modifier());

            return;
        }
        $fixed = $char ?? $this->taken('escaped');
        if ($fixed !== null) {
            $this->pending .= $fixed->value;

            return;
        }
        if ($this->taken('open') !== null) {
            $prefix = $this->text();
            $name = $this->taken('name');
            $group = $this->group($name);
            $suffix = $this->text();
            $this->required('close');
            $this->add($prefix, $name, $group, $suffix, $this->modifier());

            return;
        }
        $this->settle();
        $this->required('end');
    }

    /** @param  ''|'?'|'+'|'*'  $modifier */
    private function add(string $prefix, ?PatternToken $name, ?PatternToken $group, string $suffix, string $modifier): void
    {
        if ($name === null && $group === null && $modifier === '') {
            $this->pending .= $prefix;

            return;
        }
        $this->settle();
        if ($name === null && $group === null) {
            if ($prefix !== '') {
                $this->parts[] = new PatternPart(PatternPart::FIXED, $this->encoded($prefix), $modifier);
            }

            return;
        }
        [$type, $value] = match (true) {
            $group === null, $group->value === '[^\/]+?' => [PatternPart::SEGMENT, ''],
            $group->type === 'asterisk', $group->value === '.*' => [PatternPart::ALL, ''],
            default => [PatternPart::REGEXP, $this->expression($group)],
        };
        $called = $name->value ?? (string) $this->unnamed++;
        foreach ($this->parts as $part) {
            if ($part->name === $called) {
                throw PatternIsWrong::at($this->pattern, $name->position ?? 0, "the name \"$called\" is there twice; give each its own.");
            }
        }
        $this->parts[] = new PatternPart($type, $value, $modifier, $called, $this->encoded($prefix), $this->encoded($suffix));
    }

    private function expression(PatternToken $group): string
    {
        try {
            return PatternExpression::written($group->value);
        } catch (ExpressionIsWrong $wrong) {
            throw PatternIsWrong::at($this->pattern, $group->position, $wrong->getMessage());
        }
    }

    private function settle(): void
    {
        if ($this->pending !== '') {
            $this->parts[] = new PatternPart(PatternPart::FIXED, $this->encoded($this->pending));
            $this->pending = '';
        }
    }

    private function encoded(string $words): string
    {
        return $words === '' ? '' : PathName::canonical($words);
    }

    private function group(?PatternToken $name): ?PatternToken
    {
        return $this->taken('regexp') ?? ($name === null ? $this->taken('asterisk') : null);
    }

    /** @return ''|'?'|'+'|'*' */
    private function modifier(): string
    {
        $token = $this->taken('modifier') ?? $this->taken('asterisk');

        return match ($token?->value) {
            '?' => '?',
            '+' => '+',
            '*' => '*',
            default => '',
        };
    }

    private function text(): string
    {
        $text = '';
        while (($token = $this->taken('char') ?? $this->taken('escaped')) !== null) {
            $text .= $token->value;
        }

        return $text;
    }

    private function taken(string $type): ?PatternToken
    {
        $token = $this->tokens[$this->at] ?? null;
        if ($token?->type !== $type) {
            return null;
        }
        $this->at++;

        return $token;
    }

    private function required(string $type): void
    {
        if ($this->taken($type) === null) {
            $token = $this->tokens[$this->at] ?? $this->tokens[count($this->tokens) - 1];
            throw PatternIsWrong::at($this->pattern, $token->position, $type === 'close'
                ? 'a brace is opened and not closed before this.'
                : "\"$token->value\" is not meant to stand here; for the sign itself write \"\\$token->value\".");
        }
    }
}
