<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Json\Members;

/** How long the words are, in characters as readers count them, both bounds included; the wrong way round, the same. */
final readonly class LengthWanted
{
    /** Of a bound. */
    private const MOST = 100_000;

    public function __construct(public ?int $from, public ?int $to)
    {
    }

    /** Null where there is no bound. */
    public static function read(?Members $length): ?self
    {
        if ($length === null) {
            return null;
        }
        Fields::only($length, ['from', 'to']);
        [$from, $to] = [Fields::within($length, 'from', 0, self::MOST), Fields::within($length, 'to', 0, self::MOST)];

        return $from === null && $to === null ? null : new self($from, $to);
    }

    public function least(): int
    {
        return $this->to === null ? ($this->from ?? 0) : min($this->from ?? 0, $this->to);
    }

    public function most(): ?int
    {
        return $this->to === null ? null : max($this->from ?? 0, $this->to);
    }

    /** @return array<string, int|null> */
    public function toArray(): array
    {
        return ['from' => $this->from, 'to' => $this->to];
    }
}
