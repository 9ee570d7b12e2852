<?php

declare(strict_types=1);

namespace Tests\app;

use Gnomic\Json\Schema\Schema;
use Random\Randomizer;

/** Values by chance that a schema allows: read off its published form, so that whatever it allows may come. */
final readonly class DrawnValues
{
    /** @param  list<string>  $texts  those that fit a schema's form are drawn where it wants a text */
    public function __construct(private Randomizer $chance, private array $texts)
    {
    }

    public function of(Schema $schema): mixed
    {
        return $this->drawn($schema->toArray());
    }

    /** @param  array<string, mixed>  $schema  JSON Schema */
    private function drawn(array $schema): mixed
    {
        $kinds = (array) ($schema['type'] ?? []);
        if (in_array('null', $kinds, true) && $this->chance->getInt(0, 5) === 0) {
            return null;
        }
        $choices = [...$this->list($schema['enum'] ?? []), ...array_column($this->list($schema['oneOf'] ?? []), 'const')];

        return match (true) {
            $choices !== [] => $this->one($choices),
            isset($schema['anyOf']) => $this->drawn($this->members($this->one($this->list($schema['anyOf'])))),
            in_array('boolean', $kinds, true) => $this->chance->getInt(0, 1) === 1,
            in_array('integer', $kinds, true) => (int) $this->number($schema),
            in_array('number', $kinds, true) => round(2 * $this->number($schema)) / 2,
            in_array('array', $kinds, true) => $this->items($schema),
            in_array('object', $kinds, true) => $this->object($schema),
            default => $this->text($schema),
        };
    }

    /**
     * As likely small as large, where there is much room: bounds that tell entries apart are rarely the largest.
     *
     * @param  array<string, mixed>  $schema
     */
    private function number(array $schema): float
    {
        [$least, $most] = [$this->figure($schema['minimum'] ?? 0), $this->figure($schema['maximum'] ?? 1000)];
        $room = min($most - $least, $this->one([6.0, 60.0, $most - $least]));

        return $least + $room * $this->chance->getInt(0, 1000) / 1000;
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return list<mixed>
     */
    private function items(array $schema): array
    {
        $many = $this->chance->getInt((int) $this->figure($schema['minItems'] ?? 0), min(4, (int) $this->figure($schema['maxItems'] ?? 4)));
        $items = [];
        for ($at = 0; $at < $many; $at++) {
            $items[] = $this->drawn($this->members($schema['items'] ?? []));
        }

        return array_values(array_unique($items, SORT_REGULAR));
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>|object
     */
    private function object(array $schema): array|object
    {
        $required = $this->list($schema['required'] ?? []);
        $drawn = [];
        foreach ($this->members($schema['properties'] ?? []) as $name => $member) {
            if (in_array($name, $required, true) || $this->chance->getInt(0, 2) > 0) {
                $drawn[$name] = $this->drawn($this->members($member));
            }
        }

        return $drawn === [] ? (object) [] : $drawn;
    }

    /** @param  array<string, mixed>  $schema */
    private function text(array $schema): string
    {
        if (($schema['format'] ?? null) === 'date') {
            return sprintf('2026-0%d-%02d', $this->chance->getInt(1, 2), $this->chance->getInt(1, 28));
        }
        $pattern = is_string($schema['pattern'] ?? null) ? $schema['pattern'] : '';
        $fit = array_filter(
            $this->texts,
            fn (string $text): bool => preg_match("~$pattern~uD", $text) === 1
                && mb_strlen($text) >= $this->figure($schema['minLength'] ?? 0) && mb_strlen($text) <= $this->figure($schema['maxLength'] ?? 1000),
        );

        return $this->one(array_values($fit));
    }

    private function figure(mixed $value): float
    {
        return is_int($value) || is_float($value) ? (float) $value : 0.0;
    }

    /** @return list<mixed> */
    private function list(mixed $value): array
    {
        return is_array($value) ? array_values($value) : [];
    }

    /** @return array<string, mixed> */
    private function members(mixed $value): array
    {
        $members = [];
        foreach (is_array($value) ? $value : [] as $name => $member) {
            $members[(string) $name] = $member;
        }

        return $members;
    }

    /**
     * @template T
     *
     * @param  list<T>  $of
     * @return T
     */
    private function one(array $of): mixed
    {
        return $of[$this->chance->getInt(0, count($of) - 1)];
    }
}
