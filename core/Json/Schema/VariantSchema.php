<?php

declare(strict_types=1);

namespace Gnomic\Json\Schema;

use Gnomic\Json\MemberIsWrong;

/** One object of several, told by its member "name": each has members of its own. */
final readonly class VariantSchema extends Schema
{
    /** @var array<string, ObjectSchema> by name */
    private array $variants;

    /**
     * @param  array<string, array<string, Schema>>  $members  by the name of the variant
     * @param  string  $usual  the variant that a missing member is
     */
    public function __construct(array $members, private string $usual, string $about = '', bool $nullable = false)
    {
        parent::__construct($about, $nullable, null);
        $variants = [];
        foreach ($members as $name => $own) {
            $variants[$name] = ObjectSchema::of(['name' => ChoiceSchema::among([$name])] + $own, ['name']);
        }
        $this->variants = $variants;
    }

    public function missing(): mixed
    {
        return $this->isNullable ? null : $this->read(['name' => $this->usual]);
    }

    protected function keywords(): array
    {
        return ['oneOf' => array_values(array_map(fn (ObjectSchema $variant): array => $variant->toArray(), $this->variants))];
    }

    protected function taken(mixed $value, string $pointer): mixed
    {
        $given = ObjectSchema::membersOf($value)
            ?? throw MemberIsWrong::at($pointer, 'an object whose "name" is '.$this->wanted(), $value);
        $name = $given['name'] ?? throw MemberIsWrong::missing("$pointer/name", $this->wanted());
        $variant = is_string($name) ? $this->variants[$name] ?? null : null;

        return ($variant ?? throw MemberIsWrong::at("$pointer/name", $this->wanted(), $name))->read($value, $pointer);
    }

    protected function wanted(): string
    {
        return 'one of '.implode(', ', array_map(fn (string $name): string => "\"$name\"", array_keys($this->variants)));
    }

    protected function written(): array
    {
        return $this->isNullable ? [] : ['default' => ['name' => $this->usual]];
    }
}
