<?php

declare(strict_types=1);

namespace App\Editions;

/** One rule of a style sheet, or a group of them under a condition. */
final readonly class StyleRule
{
    /** @var list<array{string, string|null}> as StyleReferences::in() has it, of its body */
    public array $asks;

    /**
     * @param  string  $for  selectors, or the condition
     * @param  list<array{string, list<string>}>  $selectors  each with what has to be there for it: elements, and classes as ".card"
     * @param  string  $body  what it says beside its custom properties
     * @param  array<string, string>  $sets  values of custom properties by name
     * @param  list<self>  $within  of a group
     */
    public function __construct(
        public string $for,
        public array $selectors,
        public string $body,
        public array $sets,
        public array $within,
    ) {
        $this->asks = StyleReferences::in($body);
    }

    /** @param  array<string, string|null>  $values  of properties by name; those that are null are left out */
    public static function listed(array $values): string
    {
        $values = array_filter($values, is_string(...));

        return implode(';', array_map(fn (string $name, string $value): string => "$name:$value", array_keys($values), $values));
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
