<?php

declare(strict_types=1);

namespace App\Editions;

/** One rule of a style sheet, or a group of them under a condition. */
final readonly class StyleRule
{
    /** One rule, or a group of them; no string of ours has a brace. */
    private const RULE = '/([^{}]*)\{((?:[^{}]++|\{(?2)\})*+)\}/';

    /** Semicolons end it but in strings and brackets. */
    private const DECLARATION = '/(?:[^;"\'()]|"[^"]*"|\'[^\']*\'|(\((?:[^()"\']|"[^"]*"|\'[^\']*\'|(?1))*\)))+/';

    /** @var list<array{string, string|null}> as StyleReferences::in() has it, of its body */
    public array $asks;

    /**
     * @param  string  $for  selectors, or the condition
     * @param  list<array{string, list<string>}>  $selectors  each with what has to be there for it: elements, and classes as ".card"
     * @param  string  $body  what it says beside its custom properties
     * @param  array<string, string>  $sets  values of custom properties by name
     * @param  list<self>  $within  of a group
     */
    private function __construct(
        public string $for,
        public array $selectors,
        public string $body,
        public array $sets,
        public array $within,
    ) {
        $this->asks = StyleReferences::in($body);
    }

    /** @return list<self> of a style sheet, in its order */
    public static function all(string $css): array
    {
        preg_match_all(self::RULE, $css, $found, PREG_SET_ORDER);

        return array_map(
            fn (array $rule): self => str_contains($rule[2], '{')
                ? new self($rule[1], [], '', [], str_starts_with($rule[1], '@keyframes') ? self::frames($rule[2]) : self::all($rule[2]))
                : new self($rule[1], self::selectors($rule[1]), ...self::body($rule[2]), within: []),
            $found,
        );
    }

    /** @return list<self> moments of a movement: for nothing that would be there or not */
    private static function frames(string $css): array
    {
        preg_match_all(self::RULE, $css, $found, PREG_SET_ORDER);

        return array_map(fn (array $rule): self => new self($rule[1], [[$rule[1], []]], $rule[2], [], []), $found);
    }

    /** @return list<array{string, list<string>}> */
    private static function selectors(string $for): array
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
        preg_match_all(self::DECLARATION, $declarations, $each);
        foreach ($each[0] as $one) {
            if (preg_match('/^--([\w-]+):(.*)$/s', $one, $set) === 1) {
                $sets[$set[1]] = $set[2];
            } else {
                $body[] = $one;
            }
        }

        return ['body' => StyleProducts::workedOut(implode(';', $body)), 'sets' => $sets];
    }

    /** @param  array<string, string>  $values  of custom properties by name */
    public static function setting(array $values): string
    {
        return implode(';', array_map(
            fn (string $name, string $value): string => "--$name:$value",
            array_keys($values),
            $values,
        ));
    }
}
