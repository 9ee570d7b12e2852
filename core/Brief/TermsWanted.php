<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Json\Members;

/** Words, hashtags or labels: all of some, any of others, none of a third kind. A star at the end of one is any ending. */
final readonly class TermsWanted
{
    /** Of each list. */
    public const MOST = 5000;

    /**
     * @param  list<string>  $all  as they were written
     * @param  list<string>  $any
     * @param  list<string>  $none
     */
    public function __construct(public array $all, public array $any, public array $none)
    {
    }

    /** Null where it asks nothing. */
    public static function read(?Members $terms): ?self
    {
        if ($terms === null) {
            return null;
        }
        Fields::only($terms, ['all', 'any', 'none']);
        $read = self::lists($terms);

        return $read->isEmpty() ? null : $read;
    }

    public static function lists(Members $terms): self
    {
        return new self(...array_map(fn (string $name): array => Fields::texts($terms, $name, self::MOST, 100), ['all', 'any', 'none']));
    }

    public function isEmpty(): bool
    {
        return $this->all === [] && $this->any === [] && $this->none === [];
    }

    /** @return list<string> */
    public function each(): array
    {
        return [...$this->all, ...$this->any, ...$this->none];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['all' => $this->all, 'any' => $this->any, 'none' => $this->none];
    }
}
