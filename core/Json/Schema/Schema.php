<?php

declare(strict_types=1);

namespace Gnomic\Json\Schema;

use Gnomic\Json\MemberIsWrong;

/**
 * What a value of a JSON document may be, written down once: published as JSON Schema (2020-12), and read by. Reading refuses
 * exactly what the published schema refuses, and gives the value whole: every member that is missing with its default.
 */
abstract readonly class Schema
{
    /**
     * @param  string  $about  for those who read the published schema; may be empty
     * @param  mixed  $default  what a missing member is; null for those that may be null
     */
    protected function __construct(protected string $about, protected bool $isNullable, public mixed $default)
    {
    }

    /** @return array<string, mixed> JSON Schema */
    final public function toArray(): array
    {
        $keywords = $this->keywords();
        if ($this->isNullable && isset($keywords['type'])) {
            $keywords['type'] = [$keywords['type'], 'null'];
        } elseif ($this->isNullable) {
            $keywords = ['anyOf' => [$keywords, ['type' => 'null']]];
        }

        return ($this->about === '' ? [] : ['description' => $this->about]) + $keywords + $this->written();
    }

    /**
     * The value as it is kept.
     *
     * @param  string  $pointer  JSON Pointer (RFC 6901) of the value
     *
     * @throws MemberIsWrong naming the member and the remedy
     */
    final public function read(mixed $value, string $pointer = ''): mixed
    {
        if ($value === null) {
            return $this->isNullable ? null : throw MemberIsWrong::at($pointer, $this->wanted(), null);
        }

        return $this->taken($value, $pointer);
    }

    /** What a missing member is. */
    public function missing(): mixed
    {
        return $this->default;
    }

    /** @return array<string, mixed> keywords but for what every kind has */
    abstract protected function keywords(): array;

    /** @throws MemberIsWrong */
    abstract protected function taken(mixed $value, string $pointer): mixed;

    /** "a whole number", "one of …". */
    abstract protected function wanted(): string;

    /** @return array<string, mixed> the default, where it is written */
    protected function written(): array
    {
        return $this->default === null ? [] : ['default' => $this->default];
    }
}
