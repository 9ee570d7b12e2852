<?php

declare(strict_types=1);

namespace Gnomic\Json;

/**
 * Reads the members of an untrusted JSON object one by one, each with the type it must have.
 * Nothing is converted silently: a member of another type is an error that names its path.
 */
final readonly class Members
{
    /** @param  array<array-key, mixed>  $values */
    private function __construct(private array $values, public string $path)
    {
    }

    /** @throws MemberIsWrong where the value is no object (a PHP array with names) */
    public static function of(mixed $value, string $path = ''): self
    {
        if (! is_array($value) || ($value !== [] && array_is_list($value))) {
            throw MemberIsWrong::at($path === '' ? '/' : $path, 'an object', $value);
        }

        return new self($value, $path);
    }

    public function has(string $name): bool
    {
        return isset($this->values[$name]);
    }

    /** @return list<string> the names that are present, whatever their values */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->values));
    }

    /** @throws MemberIsWrong where it is missing or no string */
    public function string(string $name): string
    {
        return $this->stringOrNull($name) ?? throw MemberIsWrong::missing($this->to($name), 'a string');
    }

    /** @throws MemberIsWrong where it is present and no string */
    public function stringOrNull(string $name): ?string
    {
        $value = $this->values[$name] ?? null;

        return $value === null || is_string($value) ? $value : throw MemberIsWrong::at($this->to($name), 'a string', $value);
    }

    /** @throws MemberIsWrong where it is present and no whole number of 0 or more */
    public function countOrNull(string $name): ?int
    {
        $value = $this->intOrNull($name);

        return $value === null || $value >= 0 ? $value : throw MemberIsWrong::at($this->to($name), 'a count, 0 or more', $value);
    }

    /** A string, or a number written as one; null where it is anything else. For formats that leave the type open. */
    public function textOrNull(string $name): ?string
    {
        $value = $this->values[$name] ?? null;

        return is_string($value) || is_int($value) || is_float($value) ? (string) $value : null;
    }

    /** @throws MemberIsWrong where it is present and no number */
    public function numberOrNull(string $name): ?float
    {
        $value = $this->values[$name] ?? null;

        return match (true) {
            $value === null => null,
            is_int($value), is_float($value) && is_finite($value) => (float) $value,
            default => throw MemberIsWrong::at($this->to($name), 'a number', $value),
        };
    }

    /** @throws MemberIsWrong where it is present and no whole number */
    public function intOrNull(string $name): ?int
    {
        $value = $this->values[$name] ?? null;

        return $value === null || is_int($value) ? $value : throw MemberIsWrong::at($this->to($name), 'a whole number', $value);
    }

    /** @throws MemberIsWrong where it is present and neither true nor false */
    public function boolOr(string $name, bool $default): bool
    {
        $value = $this->values[$name] ?? $default;

        return is_bool($value) ? $value : throw MemberIsWrong::at($this->to($name), 'true or false', $value);
    }

    /**
     * @return list<string>
     *
     * @throws MemberIsWrong where it is present and no list of strings
     */
    public function strings(string $name): array
    {
        $strings = [];
        foreach ($this->list($name) as $index => $value) {
            $strings[] = is_string($value) ? $value : throw MemberIsWrong::at($this->to($name)."/$index", 'a string', $value);
        }

        return $strings;
    }

    /**
     * @return list<mixed> empty where it is missing
     *
     * @throws MemberIsWrong where it is present and no list
     */
    public function list(string $name): array
    {
        $value = $this->values[$name] ?? [];

        return is_array($value) && array_is_list($value) ? $value : throw MemberIsWrong::at($this->to($name), 'a list', $value);
    }

    /** @throws MemberIsWrong where it is present and no object */
    public function objectOrNull(string $name): ?self
    {
        return isset($this->values[$name]) ? self::of($this->values[$name], $this->to($name)) : null;
    }

    /** The object of this name, or one with no members. @throws MemberIsWrong where it is present and no object */
    public function object(string $name): self
    {
        return $this->objectOrNull($name) ?? new self([], $this->to($name));
    }

    /** JSON Pointer (RFC 6901) to a member. */
    public function to(string $name): string
    {
        return $this->path.'/'.strtr($name, ['~' => '~0', '/' => '~1']);
    }
}
