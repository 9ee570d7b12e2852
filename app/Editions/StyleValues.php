<?php

declare(strict_types=1);

namespace App\Editions;

/**
 * Custom properties of one style sheet: what is the same everywhere is written where it is used, and only what differs from place to
 * place stays a property. Products of numbers are worked out.
 */
final class StyleValues
{
    /** Longer values stand once, however often they are used. */
    private const SHORT = 12;

    private const REFERENCE = '/var\(--([\w-]+)(?:,((?:[^()]++|\((?2)\))*+))?\)/';

    /** Of numbers with units or without. */
    private const PRODUCT = '/calc\(('.self::TERM.')\)/';

    /** Of two products. */
    private const LEAST = '/min\(('.self::TERM.'),('.self::TERM.')\)/';

    private const TERM = '-?[\d.]+(?:[a-z]+|%)?(?:[*\/]-?[\d.]+(?:[a-z]+|%)?)*';

    /** @var array<string, string> by name, of those that are set for all of it; the last one holds */
    private array $everywhere = [];

    /** @var array<string, string> of those that are set for something in it as well */
    private array $elsewhere = [];

    /** @var array<string, true> names of those that something in it takes back */
    private array $takenBack = [];

    /** @param  string  $on  selector of what carries those that are the same everywhere */
    public function __construct(private readonly string $on)
    {
    }

    /**
     * What of a rule stays where it stands.
     *
     * @param  string  $for  selectors, of which there may be fewer than it has
     * @param  bool  $isWithin  whether it holds under a condition alone
     */
    public function taken(StyleRule $rule, string $for, bool $isWithin): string
    {
        if ($isWithin || $rule->for !== $this->on) {
            $this->elsewhere += $rule->sets;
            $this->takenBack += array_fill_keys(array_keys($rule->sets, 'initial', true), true);

            return $for.'{'.$rule->whole.'}';
        }
        $this->everywhere = $rule->sets + $this->everywhere;

        return $rule->body === '' ? '' : $for.'{'.$rule->body.'}';
    }

    /**
     * The rules with their values; properties that are asked for stand first.
     *
     * @param  string  $css  what taken() gave
     * @param  string  $beside  rules that come in later, and may set properties and ask for some
     */
    public function writtenInto(string $css, string $beside): string
    {
        $same = $this->same($css, $beside);
        $css = self::put($css, $same);
        $values = array_map(fn (string $value): string => self::shortened(self::put($value, $same)), $this->everywhere);
        [$css, $values] = $this->settled($css, $values, $beside);
        preg_match_all('/var\(--([\w-]+)/', $css.$beside.implode(' ', array_diff_key($values, $same)), $found);
        $asked = array_fill_keys($found[1], true);
        $kept = array_intersect_key($values, $asked);

        return self::worked(($kept === [] ? '' : "$this->on{".StyleRule::setting($kept).'}').$this->without($css, $asked));
    }

    /** @return array<string, string> those that are set for all of it and nowhere else, by name */
    private function same(string $css, string $beside): array
    {
        preg_match_all('/[{;]--([\w-]+):/', $beside, $later);
        $values = array_diff_key($this->everywhere, $this->elsewhere, array_flip($later[1]));
        $plain = array_filter($values, fn (string $value): bool => strlen($value) <= self::SHORT && ! str_contains($value, 'var('));
        // Those that ask for nothing but plain ones are plain as well.
        $values = array_map(fn (string $value): string => self::worked(self::put($value, $plain)), $values);

        return array_filter(
            $values,
            fn (string $value, string $name): bool => ! str_contains($value, 'var(')
                && (strlen($value) <= self::SHORT || substr_count($css, "var(--$name") < 2),
            ARRAY_FILTER_USE_BOTH,
        );
    }

    /**
     * Without what holds where a property is not set, if it is set everywhere; where it is taken back everywhere, and the same holds
     * wherever it is asked for, that is its value.
     *
     * @param  array<string, string>  $values  by name
     * @return array{string, array<string, string>} rules and values
     */
    private function settled(string $css, array $values, string $beside): array
    {
        preg_match_all('/(?='.substr(self::REFERENCE, 1, -1).')/', $css.$beside.implode(' ', $values), $found, PREG_SET_ORDER);
        $usual = [];
        foreach ($found as $one) {
            $usual[$one[1]][$one[2] ?? ''] = $one[2] ?? '';
        }
        $settled = [];
        foreach (array_diff_key($values, $this->takenBack) as $name => $value) {
            $each = $usual[$name] ?? [];
            $value = $value === 'initial' && count($each) === 1 ? reset($each) : $value;
            if ($value !== '' && $value !== 'initial' && ! str_contains($value, 'var(')) {
                $values[$name] = $value;
                $settled[$name] = true;
            }
        }

        return [self::bare($css, $settled), array_map(fn (string $value): string => self::bare($value, $settled), $values)];
    }

    /** @param  array<string, true>  $settled  names of those that are asked for without saying what holds else */
    private static function bare(string $css, array $settled): string
    {
        return (string) preg_replace_callback(self::REFERENCE, fn (array $one): string => match (true) {
            ! isset($one[2]) => $one[0],
            isset($settled[$one[1]]) => "var(--$one[1])",
            default => "var(--$one[1],".self::bare($one[2], $settled).')',
        }, $css);
    }

    /** A colour with a digit for two that are alike. */
    private static function shortened(string $value): string
    {
        return (string) preg_replace('/^#(.)\1(.)\2(.)\3(?:(.)\4)?$/', '#$1$2$3$4', $value);
    }

    /** @param  array<string, string>  $same  values by name */
    private static function put(string $css, array $same): string
    {
        return (string) preg_replace_callback(self::REFERENCE, function (array $one) use ($same): string {
            $value = $same[$one[1]] ?? null;
            $usual = isset($one[2]) ? self::put($one[2], $same) : null;

            return match (true) {
                $value === null => "var(--$one[1]".($usual === null ? '' : ",$usual").')',
                $value === 'initial' => $usual ?? 'initial',
                default => $value,
            };
        }, $css);
    }

    /**
     * Without properties that nobody asks for, where others hold for all of it under a condition.
     *
     * @param  array<string, true>  $asked  names
     */
    private function without(string $css, array $asked): string
    {
        return (string) preg_replace_callback(
            '/(?<=[{}])'.preg_quote($this->on, '/').'\{--[^{}]*\}/',
            function (array $found) use ($asked): string {
                $rule = StyleRule::all($found[0])[0];
                $left = array_filter(
                    [StyleRule::setting(array_intersect_key($rule->sets, $asked)), $rule->body],
                    fn (string $one): bool => $one !== '',
                );

                return $left === [] ? '' : $rule->for.'{'.implode(';', $left).'}';
            },
            $css,
        );
    }

    /** With products worked out, and the lesser of two lengths. */
    private static function worked(string $css): string
    {
        $css = (string) preg_replace_callback(self::LEAST, function (array $two): string {
            [$one, $other] = [self::product($two[1]), self::product($two[2])];

            return $one === null || $other === null || $one[1] !== $other[1] ? $two[0] : self::written(min($one[0], $other[0]), $one[1]);
        }, $css);

        return (string) preg_replace_callback(self::PRODUCT, function (array $found): string {
            $product = self::product($found[1]);

            return $product === null ? $found[0] : self::written(...$product);
        }, $css);
    }

    /** @return array{float, string}|null a number and its unit; null where it has none: a length times a length is no length */
    private static function product(string $term): ?array
    {
        preg_match_all('/([*\/]?)(-?[\d.]+)([a-z%]*)/', $term, $factors, PREG_SET_ORDER);
        $value = 1.0;
        foreach ($factors as [, $sign, $number]) {
            $value = $sign === '/' ? fdiv($value, (float) $number) : $value * (float) $number;
        }
        $units = array_filter(array_column($factors, 3), fn (string $unit): bool => $unit !== '');

        return is_finite($value) && count($units) < 2 ? [$value, implode('', $units)] : null;
    }

    /** To a ten-thousandth. */
    private static function written(float $value, string $unit): string
    {
        $written = rtrim(rtrim(number_format($value, 4, '.', ''), '0'), '.');

        return ($written === '-0' ? '0' : $written).$unit;
    }
}
