<?php

declare(strict_types=1);

namespace App\Fetching;

/** What an outside service answered, whole and unpacked. */
final readonly class HttpResponse
{
    /**
     * @param  string  $address  where it came from in the end, after redirects
     * @param  array<string, string>  $headers  by name in lower case
     */
    public function __construct(public int $status, public string $body, public string $address, private array $headers)
    {
    }

    public function header(string $name): ?string
    {
        return $this->headers[strtolower($name)] ?? null;
    }

    public function isOk(): bool
    {
        return $this->status >= 200 && $this->status < 300;
    }
}
