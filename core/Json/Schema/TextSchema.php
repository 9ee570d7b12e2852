<?php

declare(strict_types=1);

namespace Gnomic\Json\Schema;

use DateTimeImmutable;
use Gnomic\Json\MemberIsWrong;

/** A text of some length, and of some form where one is said. */
final readonly class TextSchema extends Schema
{
    /** @param  string|null  $pattern  a regular expression that JavaScript and PHP read alike, with ^ and $ */
    private function __construct(
        private int $shortest,
        private ?int $longest,
        private ?string $pattern,
        private bool $isDay,
        private string $remedy,
        string $about,
        bool $isNullable,
        ?string $default,
    ) {
        parent::__construct($about, $isNullable, $default);
    }

    /** @param  int  $longest  characters (code points) */
    public static function of(int $shortest, int $longest, string $about = ''): self
    {
        return new self($shortest, $longest, null, false, '', $about, false, null);
    }

    public static function orNull(int $longest, string $about = ''): self
    {
        return new self(0, $longest, null, false, '', $about, true, null);
    }

    /** @param  string  $remedy  what it has to be, in words */
    public static function matching(string $pattern, string $remedy, int $longest, ?string $default = null, string $about = ''): self
    {
        return new self(1, $longest, $pattern, false, $remedy, $about, false, $default);
    }

    /** A text of a form, or null. @param  string  $remedy  what it has to be, in words */
    public static function matchingOrNull(string $pattern, string $remedy, int $longest, string $about = ''): self
    {
        return new self(1, $longest, $pattern, false, $remedy, $about, true, null);
    }

    /** An address of the web, http or https. */
    public static function addressOrNull(string $about = ''): self
    {
        $remedy = 'an address that begins with http:// or https://';

        return new self(0, 2000, '^https?://[^\\s/?#]+[^\\s]*$', false, $remedy, $about, true, null);
    }

    /** A day as RFC 3339 writes it, or null. */
    public static function dayOrNull(string $about = ''): self
    {
        return new self(0, null, null, true, 'a day such as "2026-03-31"', $about, true, null);
    }

    protected function keywords(): array
    {
        return ['type' => 'string'] + ($this->shortest > 0 ? ['minLength' => $this->shortest] : []) + (
            $this->longest === null
                ? []
                : ['maxLength' => $this->longest]
        )
            + ($this->pattern === null ? [] : ['pattern' => $this->pattern]) + ($this->isDay ? ['format' => 'date'] : []);
    }

    protected function taken(mixed $value, string $pointer): string
    {
        if (! is_string($value)) {
            throw MemberIsWrong::at($pointer, $this->remedy === '' ? 'a string' : $this->remedy, $value);
        }
        $length = mb_strlen($value, 'UTF-8');
        if ($length < $this->shortest || ($this->longest !== null && $length > $this->longest)) {
            throw MemberIsWrong::at(
                $pointer,
                $this->shortest === 0 ? "at most $this->longest characters long" : "$this->shortest to $this->longest characters long",
                $value,
            );
        }
        if (($this->pattern !== null && preg_match("~$this->pattern~uD", $value) !== 1) || ($this->isDay && ! self::isDay($value))) {
            throw MemberIsWrong::at($pointer, $this->remedy, $value);
        }

        return $value;
    }

    protected function wanted(): string
    {
        return $this->remedy === '' ? 'a string' : $this->remedy;
    }

    private static function isDay(string $value): bool
    {
        $read = DateTimeImmutable::createFromFormat('!Y-m-d', $value);

        return $read !== false && $read->format('Y-m-d') === $value;
    }
}
