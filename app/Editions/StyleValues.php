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
    private const PRODUCT = '/calc\((-?[\d.]+(?:[a-z]+|%)?(?:[*\/]-?[\d.]+(?:[a-z]+|%)?)+)\)/';

    /** @var array<string, string> by name, of those that are set for all of it; the last one holds */
    private array $everywhere = [];

    /** @var array<string, string> of those that are set for something in it as well */
    private array $elsewhere = [];

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
        $values = array_map(fn (string $value): string => self::put($value, $same), $this->everywhere);
        preg_match_all('/var\(--([\w-]+)/', $css.$beside.implode(' ', array_diff_key($values, $same)), $found);
        $asked = array_fill_keys($found[1], true);
        $kept = array_intersect_key($values, $asked);

        return self::worked(($kept === [] ? '' : "$this->on{".StyleRule::setting($kept).'}').$this->without($css, $asked));
    }

    /** @return array<string, string> those that are set for all of it and nowhere else, by name */
    private function same(string $css, string $beside): array
    {
        preg_match_all('/[{;]--([\w-]+):/', $beside, $later);

        return array_filter(
            array_diff_key($this->everywhere, $this->elsewhere, array_flip($later[1])),
            fn (string $value, string $name): bool => ! str_contains($value, 'var(')
                && (strlen($value) <= self::SHORT || substr_count($css, "var(--$name") < 2),
            ARRAY_FILTER_USE_BOTH,
        );
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

    /** With products worked out, to a ten-thousandth. */
    private static function worked(string $css): string
    {
        return (string) preg_replace_callback(self::PRODUCT, function (array $product): string {
            preg_match_all('/([*\/]?)(-?[\d.]+)([a-z%]*)/', $product[1], $factors, PREG_SET_ORDER);
            $value = 1.0;
            foreach ($factors as [, $sign, $number]) {
                $value = $sign === '/' ? fdiv($value, (float) $number) : $value * (float) $number;
            }
            $units = array_filter(array_column($factors, 3), fn (string $unit): bool => $unit !== '');
            // A length times a length is none.
            if (! is_finite($value) || count($units) > 1) {
                return $product[0];
            }
            $written = rtrim(rtrim(number_format($value, 4, '.', ''), '0'), '.');

            return ($written === '-0' ? '0' : $written).implode('', $units);
        }, $css);
    }
}
