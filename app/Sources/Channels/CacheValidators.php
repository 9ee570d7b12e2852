<?php

declare(strict_types=1);

namespace App\Sources\Channels;

use App\Fetching\HttpResponse;

/** What lets a service say "nothing new": the validators of its last answer (RFC 9110 §13.1). */
final readonly class CacheValidators
{
    public function __construct(public ?string $etag = null, public ?string $lastModified = null)
    {
    }

    public static function from(HttpResponse $answer): self
    {
        return new self($answer->header('ETag'), $answer->header('Last-Modified'));
    }

    /** @return array<string, string> */
    public function headers(): array
    {
        return array_filter(
            ['If-None-Match' => (string) $this->etag, 'If-Modified-Since' => (string) $this->lastModified],
            fn (string $value): bool => $value !== '',
        );
    }
}
