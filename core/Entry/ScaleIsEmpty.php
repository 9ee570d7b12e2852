<?php

declare(strict_types=1);

namespace Gnomic\Entry;

use DomainException;

final class ScaleIsEmpty extends DomainException implements RatingException
{
    private function __construct(string $message, public readonly float $worst, public readonly float $best)
    {
        parent::__construct($message);
    }

    public static function between(float $worst, float $best): self
    {
        return new self("A scale from $worst to $best holds no rating: its worst must be below its best.", $worst, $best);
    }

    public function about(): array
    {
        return [];
    }
}
