<?php

declare(strict_types=1);

namespace Gnomic\Json\Schema;

use Gnomic\Json\MemberIsWrong;
use stdClass;

/** An object with members that are known, and no others. */
final readonly class ObjectSchema extends Schema
{
    /**
     * @param  array<string, Schema>  $members
     * @param  list<string>  $required
     */
    private function __construct(private array $members, private array $required, string $about, bool $isNullable)
    {
        parent::__construct($about, $isNullable, null);
    }

    /**
     * @param  array<string, Schema>  $members
     * @param  list<string>  $required
     */
    public static function of(array $members, array $required = [], string $about = ''): self
    {
        return new self($members, $required, $about, false);
    }

    /** @param  array<string, Schema>  $members */
    public static function orNull(array $members, string $about = ''): self
    {
        return new self($members, [], $about, true);
    }

    public function member(string $name): ?Schema
    {
        return $this->members[$name] ?? null;
    }

    /** Where a member stands among the others; the last for one that is not known. */
    public function placeOf(string $name): int
    {
        $place = array_search($name, array_keys($this->members), true);

        return is_int($place) ? $place : count($this->members);
    }

    /** Whole by its defaults; null where it may be. */
    public function missing(): mixed
    {
        return $this->isNullable ? null : $this->taken(new stdClass, '');
    }

    protected function keywords(): array
    {
        return ['type' => 'object', 'additionalProperties' => false] + ($this->required === [] ? [] : ['required' => $this->required])
            + ['properties' => array_map(fn (Schema $member): array => $member->toArray(), $this->members)];
    }

    /** @return array<string, mixed> */
    protected function taken(mixed $value, string $pointer): array
    {
        $given = self::membersOf($value) ?? throw MemberIsWrong::at($pointer === '' ? '/' : $pointer, $this->wanted(), $value);
        foreach (array_keys($given) as $name) {
            if (! isset($this->members[$name])) {
                throw MemberIsWrong::unknown(self::to($pointer, (string) $name), array_map(strval(...), array_keys($this->members)));
            }
        }
        $taken = [];
        // In an object of JSON, an empty list is a list; an empty array of PHP may have been either.
        $isDecoded = $value instanceof stdClass;
        foreach ($this->members as $name => $member) {
            $taken[$name] = match (true) {
                $isDecoded
                    && ($given[$name] ?? null) === []
                    && ! $member instanceof ListSchema => throw MemberIsWrong::at(self::to($pointer, $name), $member->wanted(), []),
                array_key_exists($name, $given) => $member->read($given[$name], self::to($pointer, $name)),
                in_array($name, $this->required, true) => throw MemberIsWrong::missing(self::to($pointer, $name), $member->wanted()),
                default => $member->missing(),
            };
        }

        return $taken;
    }

    protected function wanted(): string
    {
        return 'an object';
    }

    /** @return array<array-key, mixed>|null null where it is no object */
    public static function membersOf(mixed $value): ?array
    {
        return match (true) {
            $value instanceof stdClass => get_object_vars($value),
            is_array($value) && ($value === [] || ! array_is_list($value)) => $value,
            default => null,
        };
    }

    private static function to(string $pointer, string $name): string
    {
        return $pointer.'/'.strtr($name, ['~' => '~0', '/' => '~1']);
    }
}
