<?php

declare(strict_types=1);

namespace App\Channels;

use App\Channels\Feed\FeedChannel;
use App\Channels\Wayleaf\WayleafChannel;
use App\Models\Site;
use InvalidArgumentException;

/** The channels by their keys. */
final readonly class Channels
{
    public function __construct(private FeedChannel $feed, private WayleafChannel $wayleaf)
    {
    }

    /** @return array<string, string> where the entries of a site's sources were said, by the sources' keys */
    public function saidAt(Site $site): array
    {
        $said = [];
        foreach ($site->sources()->get() as $source) {
            $said[$source->key] = $this->of($source->channel)->saidAt($source);
        }

        return $said;
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
