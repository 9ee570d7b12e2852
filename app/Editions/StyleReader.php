<?php

declare(strict_types=1);

namespace App\Editions;

use Gnomic\Memo;

/** Reads style sheets of ours into their rules. What it has read, it remembers. */
final class StyleReader
{
    /** One rule, or a group of them; no string of ours has a brace. */
    private const RULE = '/([^{}]*)\{((?:[^{}]++|\{(?2)\})*+)\}/';

    /** Semicolons end it but in strings and brackets. */
    private const DECLARATION = '/(?:[^;"\'()]|"[^"]*"|\'[^\']*\'|(\((?:[^()"\']|"[^"]*"|\'[^\']*\'|(?1))*\)))+/';

    /** Sheets that are remembered: all parts, layouts and looks have fewer. */
    private const SHEETS = 500;

    /** Selectors that are remembered: rules of widths have the same for each. */
    private const SELECTORS = 2000;

    private readonly Memo $sheets;

    private readonly Memo $selectors;

    public function __construct()
    {
        $this->sheets = new Memo(self::SHEETS);
        $this->selectors = new Memo(self::SELECTORS);
    }

    /** @return list<StyleRule> of a sheet that will be asked for again, in its order */
    public function usual(string $css): array
    {
        return $this->sheets->of($css, fn (): array => $this->all($css));
    }

    /** @return list<StyleRule> of a sheet, in its order */
    public function all(string $css): array
    {
        preg_match_all(self::RULE, $css, $found, PREG_SET_ORDER);

        return array_map(
            fn (array $rule): StyleRule => match (true) {
                ! str_contains($rule[2], '{') => new StyleRule($rule[1], $this->selectors($rule[1]), ...self::body($rule[2]), within: []),
                str_starts_with($rule[1], '@keyframes') => new StyleRule($rule[1], [], '', [], $this->frames($rule[2])),
                default => new StyleRule($rule[1], [], '', [], $this->all($rule[2])),
            },
            $found,
        );
    }

    /** @return list<StyleRule> moments of a movement: for nothing that would be there or not */
    private function frames(string $css): array
    {
        preg_match_all(self::RULE, $css, $found, PREG_SET_ORDER);

        return array_map(fn (array $rule): StyleRule => new StyleRule($rule[1], [[$rule[1], []]], $rule[2], [], []), $found);
    }

    /** @return list<array{string, list<string>}> */
    private function selectors(string $for): array
    {
        return $this->selectors->of($for, fn (): array => self::each($for));
    }

    /** @return list<array{string, list<string>}> */
    private static function each(string $for): array
    {
        preg_match_all('/(?:[^,()]|(\((?:[^()]|(?1))*\)))+/', $for, $each);

        return array_map(function (string $selector): array {
            // One of several, or none, may be there as well as not.
            $sure = (string) preg_replace(['/\[[^\]]*\]/', '/:(?:is|where|not)(\((?:[^()]|(?1))*\))/'], '', $selector);
            preg_match_all('/\.[a-z][\w-]*/', $sure, $classes);
            preg_match_all('/(?<![\w.:#-])[a-z]\w*/', (string) preg_replace('/(\((?:[^()]|(?1))*\))/', '', $sure), $elements);

            return [$selector, [...$elements[0], ...$classes[0]]];
        }, $each[0]);
    }

    /** @return array{body: string, sets: array<string, string>} */
    private static function body(string $declarations): array
    {
        $body = $sets = [];
        if (strpbrk($declarations, '"\'(') === false) {
            $each = explode(';', trim($declarations, ';'));
        } else {
            preg_match_all(self::DECLARATION, $declarations, $found);
            $each = $found[0];
        }
        foreach ($each as $one) {
            if (str_starts_with($one, '--')) {
                [$name, $value] = explode(':', $one, 2) + [1 => ''];
                $sets[substr($name, 2)] = $value;
            } elseif ($one !== '') {
                $body[] = $one;
            }
        }

        return ['body' => StyleProducts::workedOut(implode(';', $body)), 'sets' => $sets];
    }
}
