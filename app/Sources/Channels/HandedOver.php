<?php

declare(strict_types=1);

namespace App\Sources\Channels;

use App\Models\Source;
use Closure;
use Gnomic\Gather\Matching\Coverage;

/** A channel that nobody is asked on: the owner writes, or hands over a table. */
final readonly class HandedOver implements Channel
{
    public function __construct(private string $name, private string $brings, private ?string $saidAt)
    {
    }

    public function name(): string
    {
        return $this->name;
    }

    public function brings(): string
    {
        return $this->brings;
    }

    public function kind(): null
    {
        return null;
    }

    public function saidAt(Source $source): string
    {
        return $this->saidAt ?? $source->name;
    }

    public function pageOf(Source $source): null
    {
        return null;
    }

    public function takesReviews(): bool
    {
        return false;
    }

    public function recognised(string $address): ?string
    {
        return null;
    }

    public function isAsked(): bool
    {
        return false;
    }

    public function gather(Source $source, CacheValidators $since, Closure $progress): Gathered
    {
        return new Gathered(null, Coverage::Newest, $since);
    }
}
