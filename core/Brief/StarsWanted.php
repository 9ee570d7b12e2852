<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Members;

/**
 * Stars from–to, both included, as numbers: 4.6 stars lie between 4 and 5, and not between 1 and 4. Bounds the wrong way
 * round are kept as they were given, and mean the same as the right way round.
 */
final readonly class StarsWanted
{
    /** @param  bool  $keepUnrated whether entries with no rating pass */
    public function __construct(public float $from, public float $to, public bool $keepUnrated)
    {
    }

    public static function read(?Members $stars): ?self
    {
        if ($stars === null) {
            return null;
        }
        Fields::only($stars, ['from', 'to', 'unrated']);
        $unrated = $stars->stringOrNull('unrated') ?? 'drop';
        if (! in_array($unrated, ['keep', 'drop'], true)) {
            throw MemberIsWrong::at($stars->to('unrated'), '"keep" or "drop"', $unrated);
        }
        $bound = function (string $name, float $default) use ($stars): float {
            $value = $stars->numberOrNull($name) ?? $default;

            return $value >= 1.0 && $value <= 5.0 ? $value : throw MemberIsWrong::at($stars->to($name), 'between 1 and 5', $value);
        };

        return new self($bound('from', 1.0), $bound('to', 5.0), $unrated === 'keep');
    }

    public function least(): float
    {
        return min($this->from, $this->to);
    }

    public function most(): float
    {
        return max($this->from, $this->to);
    }

    /** Whether some rating is kept out. */
    public function narrows(): bool
    {
        return $this->least() > 1.0 || $this->most() < 5.0;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['from' => $this->from, 'to' => $this->to, 'unrated' => $this->keepUnrated ? 'keep' : 'drop'];
    }
}
