<?php

declare(strict_types=1);

namespace Gnomic\Gather\Page;

/** A thing that a page describes, whatever syntax it uses: types and properties by their names without a vocabulary. */
final class Item
{
    /**
     * @param  list<string>  $types  short names: "Review", "Product"
     * @param  array<string, list<string|Item>>  $properties  in the order of the page
     */
    public function __construct(public array $types, public array $properties = [], public ?string $id = null)
    {
    }

    public function add(string $name, string|self $value): void
    {
        $this->properties[$name][] = $value;
    }

    public function is(string ...$types): bool
    {
        return array_intersect($types, $this->types) !== [];
    }

    /** @return list<string|Item> the values of the first of these properties that has any */
    public function all(string ...$names): array
    {
        foreach ($names as $name) {
            if (($this->properties[$name] ?? []) !== []) {
                return $this->properties[$name];
            }
        }

        return [];
    }

    /** The first value as text: a thing speaks by its name. */
    public function text(string ...$names): ?string
    {
        return $this->spoken($names, 0);
    }

    /** @param  array<string>  $names */
    private function spoken(array $names, int $depth): ?string
    {
        foreach ($this->all(...$names) as $value) {
            $text = match (true) {
                is_string($value) => trim($value),
                // Things can be called by each other, in a circle.
                $depth > 3 => '',
                default => (string) $value->spoken(['name', 'value', '@value', 'url'], $depth + 1),
            };
            if ($text !== '') {
                return $text;
            }
        }

        return null;
    }

    /** @return list<self> the values of the first of these properties that are things */
    public function items(string ...$names): array
    {
        return array_values(array_filter($this->all(...$names), fn (string|self $value): bool => $value instanceof self));
    }

    public function item(string ...$names): ?self
    {
        foreach ($this->all(...$names) as $value) {
            if ($value instanceof self) {
                return $value;
            }
        }

        return null;
    }

    /** "https://schema.org/Review", "schema:Review" and "Review" are one name. */
    public static function short(string $name): string
    {
        return (string) preg_replace('~^.*[/#:]~', '', trim($name));
    }
}
