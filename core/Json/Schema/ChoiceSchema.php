<?php

declare(strict_types=1);

namespace Gnomic\Json\Schema;

use BackedEnum;
use Gnomic\Json\MemberIsWrong;

/** One word of some. */
final readonly class ChoiceSchema extends Schema
{
    /**
     * @param  list<string>  $words
     * @param  array<string, string>  $said  what people read for a word, where it does not say it itself
     */
    private function __construct(private array $words, string $about, ?string $default, private array $said = [], bool $nullable = false)
    {
        parent::__construct($about, $nullable, $default);
    }

    /** @param  array<string, string>  $said  what is read, by the word */
    public static function orNull(array $said, string $about = ''): self
    {
        return new self(array_map(strval(...), array_keys($said)), $about, null, $said, true);
    }

    /**
     * @param  list<string>  $words
     * @param  string|null  $default  null where it stands in a list
     */
    public static function among(array $words, ?string $default = null, string $about = ''): self
    {
        return new self($words, $about, $default);
    }

    /**
     * Words that people read otherwise, such as those of settings that are chosen from a list.
     *
     * @param  array<string, string>  $said  what is read, by the word
     * @param  string|null  $default  null where it stands in a list
     */
    public static function said(array $said, ?string $default = null, string $about = ''): self
    {
        return new self(array_map(strval(...), array_keys($said)), $about, $default, $said);
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

    /** Words with what is read for them are annotated constants, as JSON Schema (2020-12) has no other place for it. */
    protected function keywords(): array
    {
        $said = $this->said;

        return $said === [] ? ['enum' => $this->words] : ['oneOf' => array_map(
            fn (string $word): array => ['const' => $word, 'title' => $said[$word] ?? $word],
            $this->words,
        )];
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
