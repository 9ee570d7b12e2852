<?php

declare(strict_types=1);

namespace App\Editions;

/**
 * Of a style sheet, what the widget has something for: rules for what stands in it, and custom properties only where they differ from
 * place to place. Visitors fetch nothing else.
 */
final class UsedStyles
{
    /** Classes that scripts give and take. */
    public const GIVEN = ['act', 'all', 'copy', 'followed', 'held', 'live', 'now', 'round', 'still'];

    /** Longer values stand once, however often they are used. */
    private const SHORT = 12;

    /** One rule, or a group of them; no string of ours has a brace. */
    private const RULE = '/([^{}]*)\{((?:[^{}]++|\{(?2)\})*+)\}/';

    private const REFERENCE = '/var\(--([\w-]+)(?:,((?:[^()]++|\((?2)\))*+))?\)/';

    /** @var array<string, list<array{string, list<string>}>> selectors of a rule, and the classes that each is about */
    private array $selectors = [];

    /**
     * @param  string  $on  selector of what carries the properties that are the same everywhere
     * @param  string  $markup  what it is for, with everything that comes in later
     * @param  string  $beside  rules that come in later, and may set properties
     */
    public function of(string $css, string $on, string $markup, string $beside = ''): string
    {
        preg_match_all('/ class="([^"]*)"/', $markup, $found);
        $there = array_fill_keys([...self::GIVEN, ...explode(' ', implode(' ', $found[1]))], true);

        return $this->resolved($this->used($css, $there), $on, $beside);
    }

    /** @param  array<string, true>  $there  classes */
    private function used(string $css, array $there): string
    {
        preg_match_all(self::RULE, $css, $rules, PREG_SET_ORDER);
        $used = '';
        foreach ($rules as [, $for, $body]) {
            if (str_contains($body, '{')) {
                $within = $this->used($body, $there);
                $used .= $within === '' ? '' : $for.'{'.$within.'}';

                continue;
            }
            $kept = [];
            foreach ($this->selectors[$for] ??= self::selectors($for) as [$selector, $classes]) {
                foreach ($classes as $class) {
                    if (! isset($there[$class])) {
                        continue 2;
                    }
                }
                $kept[] = $selector;
            }
            $used .= $kept === [] ? '' : implode(',', $kept).'{'.$body.'}';
        }

        return $used;
    }

    /** @return list<array{string, list<string>}> */
    private static function selectors(string $for): array
    {
        preg_match_all('/(?:[^,()]|(\((?:[^()]|(?1))*\)))+/', $for, $each);

        return array_map(function (string $selector): array {
            // One of several, or none, may be there as well as not.
            $sure = (string) preg_replace('/:(?:is|where|not)(\((?:[^()]|(?1))*\))/', '', $selector);
            preg_match_all('/\.([a-z][\w-]*)/i', $sure, $classes);

            return [$selector, $classes[1]];
        }, $each[0]);
    }

    /** The same, with what is the same everywhere written where it is used. */
    private function resolved(string $css, string $on, string $beside): string
    {
        $everywhere = $this->everywhere($css, $on, $beside);
        $css = self::put($css, $everywhere);
        preg_match_all('/var\(--([\w-]+)/', $css.$beside, $asked);
        $asked = array_fill_keys($asked[1], true);

        return (string) preg_replace_callback(
            '/(^|[{}])('.preg_quote($on, '/').')\{([^{}]*)\}/',
            function (array $rule) use ($asked): string {
                $kept = array_filter(
                    explode(';', $rule[3]),
                    fn (string $one): bool => preg_match('/^--([\w-]+):/', $one, $name) !== 1 || isset($asked[$name[1]]),
                );

                return $rule[1].($kept === [] ? '' : $rule[2].'{'.implode(';', $kept).'}');
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
    private function everywhere(string $css, string $on, string $beside): array
    {
        preg_match_all(self::RULE, $css, $rules, PREG_SET_ORDER);
        $everywhere = $elsewhere = [];
        foreach ($rules as [, $for, $body]) {
            preg_match_all('/(?:^|[{;])--([\w-]+):([^;{}]*)/', $body, $set, PREG_SET_ORDER);
            foreach ($set as [, $name, $value]) {
                $for === $on ? $everywhere[$name] = $value : $elsewhere[$name] = true;
            }
        }
        preg_match_all('/[{;]--([\w-]+):/', $beside, $later);

        return array_filter(
            array_diff_key($everywhere, $elsewhere, array_flip($later[1])),
            fn (string $value, string $name): bool => ! str_contains($value, 'var(')
                && (strlen($value) <= self::SHORT || substr_count($css, "var(--$name") < 2),
            ARRAY_FILTER_USE_BOTH,
        );
    }
}
