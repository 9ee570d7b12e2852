<?php

declare(strict_types=1);

namespace App\Fetching;

use Psr\Http\Message\ResponseInterface;

/** What an outside service answered, whole and unpacked. */
final readonly class HttpResponse
{
    /**
     * @param  string  $address  where it came from in the end, after redirects
     * @param  array<string, string>  $headers  by name in lower case
     * @param  int  $redirects  that were followed on the way
     */
    public function __construct(
        public int $status,
        public string $body,
        public string $address,
        private array $headers,
        public int $redirects = 0,
    ) {
    }

    public static function from(ResponseInterface $response, string $address, int $redirects): self
    {
        $headers = [];
        foreach ($response->getHeaders() as $name => $lines) {
            $headers[strtolower((string) $name)] = implode(', ', $lines);
        }

        return new self($response->getStatusCode(), $response->getBody()->getContents(), $address, $headers, $redirects);
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
