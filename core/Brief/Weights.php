<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Json\Members;

/** What the balanced order weighs: parts of 0 to 1000 each, times their weights of 0 to 10. */
final readonly class Weights
{
    /** @param  int  $halfLife  days after which freshness has halved */
    public function __construct(public int $freshness = 3, public int $rating = 2, public int $substance = 2, public int $variety = 3, public int $halfLife = 180)
    {
    }

    public static function read(Members $weights): self
    {
        Fields::only($weights, ['freshness', 'rating', 'substance', 'variety', 'halfLife']);
        $usual = new self;
        $weight = fn (string $name, int $default): int => Fields::within($weights, $name, 0, 10) ?? $default;

        return new self($weight('freshness', $usual->freshness), $weight('rating', $usual->rating), $weight('substance', $usual->substance),
            $weight('variety', $usual->variety), Fields::within($weights, 'halfLife', 1, 3650) ?? $usual->halfLife);
    }

    /** @return array<string, int> */
    public function toArray(): array
    {
        return ['freshness' => $this->freshness, 'rating' => $this->rating, 'substance' => $this->substance, 'variety' => $this->variety, 'halfLife' => $this->halfLife];
    }
}
