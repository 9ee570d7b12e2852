<?php

declare(strict_types=1);

namespace App\Editions;

use Gnomic\Memo;

/** Of style sheets, what the widget has something for: rules for what stands in it. Visitors fetch nothing else. */
final class UsedStyles
{
    /** Classes that scripts give and take. */
    public const GIVEN = ['act', 'all', 'copy', 'followed', 'held', 'live', 'now', 'round', 'still'];

    /** Elements that scripts make. */
    public const MADE = ['button'];

    /** Sheets whose rules are kept: all parts, layouts and looks have fewer. */
    private const SHEETS = 500;

    private readonly Memo $rules;

    public function __construct()
    {
        $this->rules = new Memo(self::SHEETS);
    }

    /**
     * @param  list<string>  $sheets  in their order
     * @param  string  $on  selector of what carries the custom properties that are the same everywhere
     * @param  string  $markup  what it is for, with everything that comes in later
     * @param  string  $beside  rules that come in later, and may set properties
     */
    public function of(array $sheets, string $on, string $markup, string $beside = ''): string
    {
        $there = self::there($markup);
        $values = new StyleValues($on);
        $used = [];
        foreach ($sheets as $sheet) {
            $used = [...$used, ...self::used($this->rules->of($sheet, fn (): array => StyleRule::all($sheet)), $there, $values)];
        }

        return $values->settle($beside).self::written($used, $values);
    }

    /** @return array<string, true> elements, and classes as ".card" */
    private static function there(string $markup): array
    {
        preg_match_all('/<([a-z]\w*)(?: class="([^"]*)")?|(?<= class=")([^"]*)"/', $markup, $found);
        $classes = explode(' ', implode(' ', array_unique([...$found[2], ...$found[3]])));
        $there = array_fill_keys([...self::MADE, ...$found[1]], true);
        foreach ([...self::GIVEN, ...$classes] as $class) {
            $there[".$class"] = true;
        }

        return $there;
    }

    /**
     * Those of rules that there is something for, seen.
     *
     * @param  list<StyleRule>  $rules
     * @param  array<string, true>  $there  as there() has it
     * @param  bool  $isWithin  whether it is within a group, where nothing holds everywhere
     * @return list<UsedRule>
     */
    private static function used(array $rules, array $there, StyleValues $values, bool $isWithin = false): array
    {
        $used = [];
        foreach ($rules as $rule) {
            if ($rule->within !== []) {
                $within = self::used($rule->within, $there, $values, true);
                if ($within !== []) {
                    $used[] = new UsedRule($rule, $rule->for, $within);
                }

                continue;
            }
            $kept = [];
            foreach ($rule->selectors as [$selector, $asked]) {
                foreach ($asked as $one) {
                    if (! isset($there[$one])) {
                        continue 2;
                    }
                }
                $kept[] = self::plain($selector, $there);
            }
            if ($kept !== []) {
                $values->see($rule, $isWithin);
                $used[] = new UsedRule($rule, implode(',', $kept), []);
            }
        }

        return $used;
    }

    /** @param  list<UsedRule>  $rules */
    private static function written(array $rules, StyleValues $values, bool $isWithin = false): string
    {
        $written = '';
        foreach ($rules as $used) {
            if ($used->within === []) {
                $written .= $values->rule($used->rule, $used->for, $isWithin);

                continue;
            }
            $within = self::written($used->within, $values, true);
            $written .= $within === '' ? '' : $used->for.'{'.$within.'}';
        }

        return $written;
    }

    /**
     * A selector without what holds everywhere: that something has not in it what is not there.
     *
     * @param  array<string, true>  $there  as there() has it
     */
    private static function plain(string $selector, array $there): string
    {
        return ! str_contains($selector, ':not(:has(.') ? $selector : (string) preg_replace_callback(
            '/:not\(:has\((\.[a-z][\w-]*)\)\)/',
            fn (array $one): string => isset($there[$one[1]]) ? $one[0] : '',
            $selector,
        );
    }
}
