<?php

declare(strict_types=1);

namespace App\Sources\Channels\Wayleaf;

use Gnomic\Text\Address;

/** A place as the directory lists it: enough to tell namesakes apart. */
final readonly class Place
{
    private function __construct(
        public string $id,
        public string $name,
        public ?string $address,
        public ?string $town,
        public int $reviews,
        public ?float $average,
        public ?string $picture,
    ) {
    }

    public static function fromRecord(mixed $record): ?self
    {
        if (! is_array($record) || ! is_string($record['place_id'] ?? null) || ! is_string($record['name'] ?? null)) {
            return null;
        }
        $text = fn (string $name): ?string => is_string($record[$name] ?? null) ? $record[$name] : null;
        $average = $record['average'] ?? null;

        return new self($record['place_id'], $record['name'], $text('address'), $text('town'),
            is_int($record['reviews'] ?? null) ? $record['reviews'] : 0, is_int($average) || is_float($average) ? (float) $average : null,
            Address::webOrNull($text('picture'), null));
    }
}
