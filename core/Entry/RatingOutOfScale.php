<?php

declare(strict_types=1);

namespace Gnomic\Entry;

use DomainException;

final class RatingOutOfScale extends DomainException implements RatingException
{
    private function __construct(string $message, public readonly float $value, public readonly Scale $scale)
    {
        parent::__construct($message);
    }

    public static function forValue(float $value, Scale $scale): self
    {
        return new self("$value lies outside the scale from $scale->worst to $scale->best.", $value, $scale);
    }

    public function about(): array
    {
        return [];
    }
}
