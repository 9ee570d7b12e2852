<?php

declare(strict_types=1);

namespace Gnomic\Json\Schema;

use BackedEnum;
use Gnomic\Json\MemberIsWrong;

/** One word of some. */
final readonly class ChoiceSchema extends Schema
{
    /** @param  list<string>  $words */
    private function __construct(private array $words, string $about, ?string $default)
    {
        parent::__construct($about, false, $default);
    }

    /**
     * @param  list<string>  $words
     * @param  string|null  $default  null where it stands in a list
     */
    public static function among(array $words, ?string $default = null, string $about = ''): self
    {
        return new self($words, $about, $default);
    }

    /** One of the cases, this one where it is missing. */
    public static function case(BackedEnum $default, string $about = ''): self
    {
        return new self(
            array_map(fn (BackedEnum $case): string => (string) $case->value, $default::cases()),
            $about,
            (string) $default->value,
        );
    }

    protected function keywords(): array
    {
        return ['enum' => $this->words];
    }

    protected function taken(mixed $value, string $pointer): string
    {
        return is_string($value) && in_array($value, $this->words, true)
            ? $value
            : throw MemberIsWrong::at($pointer, $this->wanted(), $value);
    }

    protected function wanted(): string
    {
        return 'one of '.implode(', ', array_map(fn (string $word): string => "\"$word\"", $this->words));
    }
}
