<?php

declare(strict_types=1);

namespace App\Editions;

use Gnomic\Memo;

/**
 * Of style sheets, what the widget has something for: rules for what stands in it, and custom properties only where they differ from
 * place to place. Visitors fetch nothing else.
 */
final class UsedStyles
{
    /** Classes that scripts give and take. */
    public const GIVEN = ['act', 'all', 'copy', 'followed', 'held', 'live', 'now', 'round', 'still'];

    /** Elements that scripts make. */
    public const MADE = ['button'];

    /** Longer values stand once, however often they are used. */
    private const SHORT = 12;

    /** Sheets whose rules are kept: all parts, layouts and looks have fewer. */
    private const SHEETS = 500;

    private const REFERENCE = '/var\(--([\w-]+)(?:,((?:[^()]++|\((?2)\))*+))?\)/';

    /** A product of numbers of which one at most has a unit. */
    private const PRODUCT = '/calc\((-?[\d.]+(?:[a-z]+|%)?(?:[*\/]-?[\d.]+(?:[a-z]+|%)?)+)\)/';

    /** Of widgets, the last of which are kept. */
    private const KNOWN = 200;

    private readonly Memo $rules;

    private readonly Memo $known;

    /** @var array<string, string> values of custom properties that are set for all of it */
    private array $everywhere = [];

    /** @var array<string, string> of those that are set for something in it as well */
    private array $elsewhere = [];

    public function __construct()
    {
        $this->rules = new Memo(self::SHEETS);
        $this->known = new Memo(self::KNOWN);
    }

    /**
     * @param  list<string>  $sheets  in their order
     * @param  string  $on  selector of what carries the properties that are the same everywhere
     * @param  string  $markup  what it is for, with everything that comes in later
     * @param  string  $beside  rules that come in later, and may set properties
     */
    public function of(array $sheets, string $on, string $markup, string $beside = ''): string
    {
        preg_match_all('/<([a-z]\w*)(?: class="([^"]*)")?|(?<= class=")([^"]*)"/', $markup, $found);
        $there = array_fill_keys([...self::MADE, ...$found[1]], true);
        foreach (array_unique([...$found[2], ...$found[3]]) as $classes) {
            foreach (explode(' ', $classes) as $class) {
                $there[".$class"] = true;
            }
        }
        foreach (self::GIVEN as $class) {
            $there[".$class"] = true;
        }

        // Variants of a widget differ in their words, and hardly ever in what is there.
        return $this->known->of(
            hash('xxh128', implode("\0", [...$sheets, $on, $beside, ...array_keys($there)])),
            fn (): string => $this->made($sheets, $on, $there, $beside),
        );
    }

    /**
     * @param  list<string>  $sheets
     * @param  array<string, true>  $there  elements, and classes as ".card"
     */
    private function made(array $sheets, string $on, array $there, string $beside): string
    {
        $this->everywhere = $this->elsewhere = [];
        $css = '';
        foreach ($sheets as $sheet) {
            $css .= $this->used($this->rules->of($sheet, fn (): array => StyleRule::all($sheet)), $there, $on);
        }

        return self::worked($this->resolved($css, $on, $beside));
    }

    /**
     * @param  list<StyleRule>  $rules
     * @param  array<string, true>  $there  elements, and classes as ".card"
     * @param  string|null  $on  null within a group, where nothing holds everywhere
     */
    private function used(array $rules, array $there, ?string $on): string
    {
        $used = '';
        foreach ($rules as $rule) {
            if ($rule->within !== []) {
                $within = $this->used($rule->within, $there, null);
                $used .= $within === '' ? '' : $rule->for.'{'.$within.'}';

                continue;
            }
            $kept = [];
            foreach ($rule->selectors as [$selector, $asked]) {
                foreach ($asked as $one) {
                    if (! isset($there[$one])) {
                        continue 2;
                    }
                }
                $kept[] = $selector;
            }
            if ($kept === []) {
                continue;
            }
            if ($rule->for === $on) {
                $this->everywhere = $rule->sets + $this->everywhere;
                $used .= $rule->body === '' ? '' : "$on{{$rule->body}}";
            } else {
                $this->elsewhere += $rule->sets;
                $used .= implode(',', $kept)."{{$rule->whole}}";
            }
        }

        return $used;
    }

    /** The same, with what is the same everywhere written where it is used; the others that are asked for stand first. */
    private function resolved(string $css, string $on, string $beside): string
    {
        $everywhere = $this->everywhere($css, $beside);
        $css = self::put($css, $everywhere);
        $values = array_map(fn (string $value): string => self::put($value, $everywhere), $this->everywhere);
        preg_match_all('/var\(--([\w-]+)/', $css.$beside.implode(' ', array_diff_key($values, $everywhere)), $asked);
        $names = array_fill_keys($asked[1], true);
        $kept = array_intersect_key($values, $names);

        return ($kept === [] ? '' : "$on{".StyleRule::setting($kept).'}').self::asked($css, $on, $names);
    }

    /**
     * Without properties that nobody asks for, where something else holds for all of it.
     *
     * @param  array<string, true>  $names  of those that are asked for
     */
    private static function asked(string $css, string $on, array $names): string
    {
        return (string) preg_replace_callback(
            '/(?<=[{}])('.preg_quote($on, '/').')\{(--[^{}]*)\}/',
            function (array $rule) use ($names): string {
                $sets = array_filter(
                    explode(';', $rule[2]),
                    fn (string $one): bool => preg_match('/^--([\w-]+):/', $one, $name) !== 1 || isset($names[$name[1]]),
                );

                return $sets === [] ? '' : $rule[1].'{'.implode(';', $sets).'}';
            },
            $css,
        );
    }

    /** @param  array<string, string>  $everywhere  values by name */
    private static function put(string $css, array $everywhere): string
    {
        return (string) preg_replace_callback(self::REFERENCE, function (array $one) use ($everywhere): string {
            $value = $everywhere[$one[1]] ?? null;
            $usual = isset($one[2]) ? self::put($one[2], $everywhere) : null;

            return match (true) {
                $value === null => "var(--$one[1]".($usual === null ? '' : ",$usual").')',
                $value === 'initial' => $usual ?? 'initial',
                default => $value,
            };
        }, $css);
    }

    /** @return array<string, string> properties that are set for all of it and nowhere else, by name */
    private function everywhere(string $css, string $beside): array
    {
        preg_match_all('/[{;]--([\w-]+):/', $beside, $later);

        return array_filter(
            array_diff_key($this->everywhere, $this->elsewhere, array_flip($later[1])),
            fn (string $value, string $name): bool => ! str_contains($value, 'var(')
                && (strlen($value) <= self::SHORT || substr_count($css, "var(--$name") < 2),
            ARRAY_FILTER_USE_BOTH,
        );
    }

    /** The same, with products of numbers worked out, to a ten-thousandth. */
    private static function worked(string $css): string
    {
        return (string) preg_replace_callback(self::PRODUCT, function (array $product): string {
            preg_match_all('/([*\/]?)(-?[\d.]+)([a-z%]*)/', $product[1], $factors, PREG_SET_ORDER);
            $value = 1.0;
            foreach ($factors as [, $sign, $number]) {
                $value = $sign === '/' ? fdiv($value, (float) $number) : $value * (float) $number;
            }
            $units = array_filter(array_column($factors, 3), fn (string $unit): bool => $unit !== '');
            if (! is_finite($value) || count($units) > 1) {
                return $product[0];
            }
            $written = rtrim(rtrim(number_format($value, 4, '.', ''), '0'), '.');

            return ($written === '-0' ? '0' : $written).implode('', $units);
        }, $css);
    }
}
