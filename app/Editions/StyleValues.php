<?php

declare(strict_types=1);

namespace App\Editions;

/**
 * Custom properties of one style sheet: what is the same everywhere is written where it is used, and only what differs from place to
 * place stays a property. First all rules are seen, then they are written.
 */
final class StyleValues
{
    /** Longer values stand once, however often they are used. */
    private const SHORT = 12;

    private const TAKEN_BACK = 'initial';

    /** Room around something that is none, once it is worked out. */
    private const NO_ROOM = '/\b(padding|margin):0px 0px(?=;|$)/';

    /** @var array<string, string> by name, of those that are set for all of it; the last one holds */
    private array $everywhere = [];

    /** @var array<string, bool> names of those that are set for something in it as well, and whether any of that takes them back */
    private array $elsewhere = [];

    /** @var array<string, array<string, int>> how often a name is asked for, by what holds without; "" where that is not said */
    private array $uses = [];

    /** @var array<string, string> values that are the same everywhere, written where they are asked for */
    private array $same = [];

    /** @var array<string, true> names of those that are asked for without saying what holds without */
    private array $settled = [];

    /** @var array<string, true> names that anything asks for */
    private array $asked = [];

    /** @param  string  $on  selector of what carries those that are the same everywhere */
    public function __construct(private readonly string $on)
    {
    }

    /** @param  bool  $isWithin  whether it holds under a condition alone */
    public function see(StyleRule $rule, bool $isWithin): void
    {
        $this->use($rule->asks);
        if ($rule->sets === []) {
            return;
        }
        if (! $isWithin && $rule->for === $this->on) {
            $this->everywhere = $rule->sets + $this->everywhere;

            return;
        }
        foreach ($rule->sets as $name => $value) {
            $this->elsewhere[$name] = ($this->elsewhere[$name] ?? false) || $value === self::TAKEN_BACK;
            $this->use(StyleReferences::in($value));
        }
    }

    /**
     * All rules are seen.
     *
     * @return string the rule that sets those that are asked for
     */
    public function settle(EntryStyles $ofEntries): string
    {
        $this->same = $this->same($ofEntries->sets);
        // What rules of entries ask for has to be there.
        $this->asked = $ofEntries->names;
        $stay = array_diff_key($this->everywhere, array_diff_key($this->same, $ofEntries->names));
        $values = array_map(fn (string $value): string => $this->written($value), $stay);
        $uses = [];
        $all = [...$this->each(), ...$ofEntries->asks, ...StyleReferences::in(implode(' ', $values))];
        foreach ($all as [$name, $usual]) {
            $this->count($uses, $name, $usual);
        }
        foreach ($values as $name => $value) {
            $each = $uses[$name] ?? [];
            $value = $value === self::TAKEN_BACK && count($each) === 1 ? (string) array_key_first($each) : $value;
            $isPlain = $value !== '' && $value !== self::TAKEN_BACK && ! str_contains($value, 'var(');
            if ($isPlain && ! ($this->elsewhere[$name] ?? false)) {
                $values[$name] = $value;
                $this->settled[$name] = true;
            }
        }
        foreach ($all as [$name, $usual]) {
            $this->ask($name, $usual);
        }
        $kept = array_map(
            fn (string $value): string => self::shortened($this->written($value)),
            array_intersect_key($values, $this->asked),
        );

        return $kept === [] ? '' : "$this->on{".StyleRule::setting($kept).'}';
    }

    /** What a rule says, with its values. @param  bool  $isWithin  whether it holds under a condition alone */
    public function body(StyleRule $rule, bool $isWithin): string
    {
        $body = $rule->asks === [] ? $rule->body : (string) preg_replace(self::NO_ROOM, '$1:0', $this->written($rule->body));
        if ($rule->sets !== [] && ($isWithin || $rule->for !== $this->on)) {
            $sets = array_intersect_key($rule->sets, $this->asked);
            $set = StyleRule::setting(array_map(fn (string $value): string => $this->written($value), $sets));

            return $set === '' || $body === '' ? $set.$body : "$set;$body";
        }

        return $body;
    }

    /** @param  list<array{string, string|null}>  $asks */
    private function use(array $asks): void
    {
        foreach ($asks as [$name, $usual]) {
            $usual ??= '';
            $this->uses[$name][$usual] = ($this->uses[$name][$usual] ?? 0) + 1;
        }
    }

    /** @return list<array{string, string|null}> names that rules ask for, each with what holds without, once */
    private function each(): array
    {
        $each = [];
        foreach ($this->uses as $name => $usual) {
            foreach (array_keys($usual) as $one) {
                $each[] = [(string) $name, $one === '' ? null : (string) $one];
            }
        }

        return $each;
    }

    /**
     * @param  array<string, int>  $ofEntries  names of those that rules of entries set
     * @return array<string, string> those that are set for all of it and nowhere else, by name
     */
    private function same(array $ofEntries): array
    {
        $values = array_diff_key($this->everywhere, $this->elsewhere, $ofEntries);
        $plain = array_filter($values, fn (string $value): bool => strlen($value) <= self::SHORT && ! str_contains($value, 'var('));
        // Those that ask for nothing but plain ones are plain as well.
        $this->same = $plain;
        $values = array_map(fn (string $value): string => str_contains($value, 'var(') ? $this->written($value) : $value, $values);

        return array_filter(
            $values,
            fn (string $value, string $name): bool => ! str_contains($value, 'var(')
                && (strlen($value) <= self::SHORT || array_sum($this->uses[$name] ?? []) < 2),
            ARRAY_FILTER_USE_BOTH,
        );
    }

    /**
     * What holds without, of each that stays a property.
     *
     * @param  array<string, array<string, true>>  $uses  by name
     */
    private function count(array &$uses, string $name, ?string $usual): void
    {
        $value = $this->same[$name] ?? null;
        if ($value === null) {
            $uses[$name][$usual === null ? '' : $this->written($usual)] = true;
        }
        if ($usual !== null && ($value ?? self::TAKEN_BACK) === self::TAKEN_BACK) {
            foreach (StyleReferences::in($usual) as [$other, $without]) {
                $this->count($uses, $other, $without);
            }
        }
    }

    private function ask(string $name, ?string $usual): void
    {
        $value = $this->same[$name] ?? null;
        if ($value === null) {
            $this->asked[$name] = true;
        }
        if ($usual !== null && ! isset($this->settled[$name]) && ($value ?? self::TAKEN_BACK) === self::TAKEN_BACK) {
            foreach (StyleReferences::in($usual) as [$other, $without]) {
                $this->ask($other, $without);
            }
        }
    }

    /** With values that are the same everywhere, and products worked out. */
    private function written(string $css): string
    {
        return StyleProducts::workedOut(StyleReferences::replaced($css, $this->reference(...)));
    }

    private function reference(string $name, ?string $usual): string
    {
        $value = $this->same[$name] ?? null;

        return match (true) {
            $value !== null && $value !== self::TAKEN_BACK => $value,
            $value !== null => $usual === null ? self::TAKEN_BACK : StyleReferences::replaced($usual, $this->reference(...)),
            $usual === null, isset($this->settled[$name]) => "var(--$name)",
            default => "var(--$name,".StyleReferences::replaced($usual, $this->reference(...)).')',
        };
    }

    /** A colour with a digit for two that are alike. */
    private static function shortened(string $value): string
    {
        return (string) preg_replace('/^#(.)\1(.)\2(.)\3(?:(.)\4)?$/', '#$1$2$3$4', $value);
    }
}
