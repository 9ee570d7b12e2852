<?php

declare(strict_types=1);

namespace Gnomic\Json\Schema;

use Gnomic\Json\MemberIsWrong;

/** A number within bounds, both included. */
final readonly class NumberSchema extends Schema
{
    private function __construct(
        private bool $isWhole,
        private int $least,
        private int $most,
        string $about,
        bool $isNullable,
        int|float|null $default,
    ) {
        parent::__construct($about, $isNullable, $default);
    }

    /** May be null where it has no default, unless that is said. */
    public static function whole(int $least, int $most, ?int $default = null, string $about = '', ?bool $nullable = null): self
    {
        return new self(true, $least, $most, $about, $nullable ?? $default === null, $default);
    }

    /** Null means something else than a missing member, which is the default. */
    public static function wholeOrNull(int $least, int $most, int $default, string $about = ''): self
    {
        return new self(true, $least, $most, $about, true, $default);
    }

    public static function any(int $least, int $most, float $default, string $about = ''): self
    {
        return new self(false, $least, $most, $about, false, $default);
    }

    protected function keywords(): array
    {
        return ['type' => $this->isWhole ? 'integer' : 'number', 'minimum' => $this->least, 'maximum' => $this->most];
    }

    protected function taken(mixed $value, string $pointer): int|float
    {
        $isNumber = is_int($value) || is_float($value);
        // To JSON Schema, 5.0 is as whole as 5.
        if (! $isNumber || ($this->isWhole && (float) $value !== floor((float) $value))) {
            throw MemberIsWrong::at($pointer, $this->wanted(), $value);
        }
        if (! ($value >= $this->least && $value <= $this->most)) {
            throw MemberIsWrong::at($pointer, "between $this->least and $this->most", $value);
        }

        return $this->isWhole ? (int) $value : (float) $value;
    }

    protected function wanted(): string
    {
        return $this->isWhole ? 'a whole number' : 'a number';
    }
}
