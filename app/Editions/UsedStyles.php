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

    /** In selectors: that something has not a class in it. */
    private const WITHOUT = '/:not\(:has\((\.[a-z][\w-]*)\)\)/';

    private const PRINT = '@media print';

    /** Widgets whose styles are kept: what comes into one changes them in its entries' own rules alone. */
    private const WIDGETS = 100;

    private readonly StyleReader $reader;

    private readonly Memo $named;

    private readonly Memo $seen;

    private readonly Memo $settled;

    public function __construct()
    {
        $this->reader = new StyleReader;
        $this->named = new Memo(self::WIDGETS);
        $this->seen = new Memo(self::WIDGETS);
        $this->settled = new Memo(self::WIDGETS);
    }

    /**
     * @param  Sheets  $sheets  in their order
     * @param  string  $on  selector of what carries the custom properties that are the same everywhere
     * @param  string  $markup  what it is for, with everything that comes in later
     * @param  string  $beside  rules that come in later, and may set properties
     */
    public function of(Sheets $sheets, string $on, string $markup, string $beside = ''): string
    {
        $there = self::there($markup);
        $id = hash('xxh128', implode("\0", [$on, ...$sheets->usual, $sheets->own]));
        $names = $this->named->of($id, fn (): array => self::named([...$this->parsed($sheets), ...$this->reader->usual($sheets->own)]));
        $id .= self::mask($names, $there);
        [$rules, $own, $seen] = $this->seen->of($id, function () use ($sheets, $on, $there): array {
            $values = new StyleValues($on);

            return [
                self::used($this->parsed($sheets), $there, $values),
                self::used($this->reader->usual($sheets->own), $there, $values),
                $values,
            ];
        });
        $ofEntries = new EntryStyles($sheets->ofEntries.$beside);
        [$before, $after] = $this->settled->of($id.$ofEntries->state(), function () use ($rules, $own, $seen, $ofEntries): array {
            $values = clone $seen;

            return [$values->settle($ofEntries).self::written($rules, $values), self::written($own, $values)];
        });

        return $before.$sheets->ofEntries.$after;
    }

    /** @return list<StyleRule> */
    private function parsed(Sheets $sheets): array
    {
        return array_merge(...array_map($this->reader->usual(...), $sheets->usual));
    }

    /**
     * What has to be there for rules, or may be.
     *
     * @param  list<StyleRule>  $rules
     * @return list<string> as there() has it
     */
    private static function named(array $rules): array
    {
        $names = [];
        foreach ($rules as $rule) {
            $names += array_fill_keys(self::named($rule->within), true);
            foreach ($rule->selectors as [$selector, $asked]) {
                preg_match_all(self::WITHOUT, $selector, $without);
                $names += array_fill_keys([...$asked, ...$without[1]], true);
            }
        }

        return array_map(strval(...), array_keys($names));
    }

    /**
     * @param  list<string>  $names
     * @param  array<string, true>  $there  as there() has it
     */
    private static function mask(array $names, array $there): string
    {
        $mask = '';
        foreach ($names as $name) {
            $mask .= isset($there[$name]) ? '1' : '0';
        }

        return $mask;
    }

    /** @return array<string, true> elements, and classes as ".card" */
    private static function there(string $markup): array
    {
        preg_match_all('/<([a-z]\w*)/', $markup, $elements);
        preg_match_all('/ class="([^"]+)"/', $markup, $found);
        $classes = explode(' ', implode(' ', array_unique($found[1])));
        $there = array_fill_keys([...self::MADE, ...array_unique($elements[1])], true);
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
        $for = $says = [];
        $last = -1;
        $printed = '';
        foreach ($rules as $used) {
            $body = $used->within === [] ? $values->body($used->rule, $isWithin) : self::written($used->within, $values, true);
            if ($body === '') {
                continue;
            }
            // What holds in print stands together, behind all that it is otherwise than.
            if ($used->for === self::PRINT) {
                $printed .= $body;

                continue;
            }
            // Neighbours that say the same stand together, where every browser reads both.
            if ($last >= 0 && $says[$last] === $body && self::isPlain($for[$last]) && self::isPlain($used->for)) {
                $for[$last] .= ",$used->for";
            } else {
                [$for[], $says[], $last] = [$used->for, $body, $last + 1];
            }
        }

        $written = array_map(fn (string $for, string $says): string => "$for{{$says}}", $for, $says);

        return implode('', $written).($printed === '' ? '' : self::PRINT.'{'.$printed.'}');
    }

    /** Whether selectors have nothing in them that only some browsers know, for which they would drop all of them. */
    private static function isPlain(string $selectors): bool
    {
        return strpbrk($selectors, ':@') === false;
    }

    /**
     * A selector without what holds everywhere: that something has not in it what is not there.
     *
     * @param  array<string, true>  $there  as there() has it
     */
    private static function plain(string $selector, array $there): string
    {
        return ! str_contains($selector, ':not(:has(.') ? $selector : (string) preg_replace_callback(
            self::WITHOUT,
            fn (array $one): string => isset($there[$one[1]]) ? $one[0] : '',
            $selector,
        );
    }
}
