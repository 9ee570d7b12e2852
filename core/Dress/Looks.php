<?php

declare(strict_types=1);

namespace Gnomic\Dress;

use InvalidArgumentException;

/** The looks that there are. */
final readonly class Looks
{
    /** What a brief takes that says nothing. */
    public const USUAL = 'paper';

    /** @param  array<string, Look>  $looks  by key */
    public function __construct(private array $looks)
    {
        isset($looks[self::USUAL]) || throw new InvalidArgumentException('There is no look "'.self::USUAL.'".');
    }

    /** @param  list<Look>  $more  those of the same key stay as they are */
    public function with(array $more): self
    {
        return new self($this->looks + array_column(array_map(fn (Look $look): array => [$look->key, $look], $more), 1, 0));
    }

    public function has(string $key): bool
    {
        return isset($this->looks[$key]);
    }

    /** The usual one where there is none of this key: a widget is never blank for that. */
    public function named(string $key): Look
    {
        return $this->looks[$key] ?? $this->looks[self::USUAL];
    }

    /** @return list<Look> the usual one first */
    public function all(): array
    {
        return array_values([self::USUAL => $this->looks[self::USUAL]] + $this->looks);
    }

    /** @return array<string, string> by key */
    public function names(): array
    {
        return array_map(fn (Look $look): string => $look->name, $this->looks);
    }
}
