<?php

declare(strict_types=1);

namespace App\Channels;

use App\Channels\Feed\FeedChannel;
use App\Channels\Wayleaf\WayleafChannel;
use InvalidArgumentException;

/** The channels by their keys. */
final readonly class Channels
{
    public function __construct(private FeedChannel $feed, private WayleafChannel $wayleaf)
    {
    }

    public function of(string $key): Channel
    {
        return match ($key) {
            'feed' => $this->feed,
            'wayleaf' => $this->wayleaf,
            default => throw new InvalidArgumentException("There is no channel \"$key\"."),
        };
    }
}
