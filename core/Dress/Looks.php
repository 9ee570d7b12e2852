<?php

declare(strict_types=1);

namespace Gnomic\Dress;

use InvalidArgumentException;

/** The looks that there are. */
final readonly class Looks
{
    /** What a brief takes that says nothing. */
    public const USUAL = 'window';

    /**
     * @param  array<string, Look>  $looks  by key
     * @param  array<string, Look>  $earlier  those that nobody is offered any more, for briefs that have them
     */
    public function __construct(private array $looks, private array $earlier = [])
    {
        isset($looks[self::USUAL]) || throw new InvalidArgumentException('There is no look "'.self::USUAL.'".');
    }

    /** @param  list<Look>  $more  those of the same key stay as they are */
    public function with(array $more): self
    {
        $more = array_column(array_map(fn (Look $look): array => [$look->key, $look], $more), 1, 0);

        return new self($this->looks + $more, $this->earlier);
    }

    public function has(string $key): bool
    {
        return isset($this->looks[$key]) || isset($this->earlier[$key]);
    }

    /** The usual one where there is none of this key: a widget is never blank for that. */
    public function named(string $key): Look
    {
        return $this->looks[$key] ?? $this->earlier[$key] ?? $this->looks[self::USUAL];
    }

    /** @return list<Look> those to choose among, the usual one first */
    public function all(): array
    {
        return array_values([self::USUAL => $this->looks[self::USUAL]] + $this->looks);
    }

    /** @return array<string, string> of all, by key */
    public function names(): array
    {
        return array_map(fn (Look $look): string => $look->name, $this->looks + $this->earlier);
    }
}
