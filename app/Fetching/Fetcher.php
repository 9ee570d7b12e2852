<?php

declare(strict_types=1);

namespace App\Fetching;

use Gnomic\Text\Address;
use GuzzleHttp\Client;
use GuzzleHttp\Exception\TransferException;
use GuzzleHttp\Psr7\Request;
use InvalidArgumentException;
use Psr\Http\Message\RequestInterface;
use Psr\Http\Message\ResponseInterface;

/** The one way out: asks outside services over HTTP, within bounds of time, size and place. */
final readonly class Fetcher
{
    private const AGENT = 'Gnomic/1.0 (reads feeds and reviews for a site owner)';

    public function __construct(private Hosts $hosts, private int $seconds, private int $bytes, private int $redirects)
    {
    }

    /** The same for those who wait in front of a screen. */
    public function within(int $seconds): self
    {
        return new self($this->hosts, min($seconds, $this->seconds), $this->bytes, $this->redirects);
    }

    /**
     * @param  array<string, string>  $headers  those that say who is asking go to the origin they were given for, and to no other
     *
     * @throws FetchFailed for everything but an answer; any status is an answer
     */
    public function get(string $address, array $headers = []): HttpResponse
    {
        $deadline = microtime(true) + $this->seconds;
        $hosts = [];
        for ($hop = 0; $hop <= $this->redirects; $hop++) {
            if (! Address::isWeb($address)) {
                throw FetchFailed::notAnAddress($address);
            }
            try {
                $request = new Request('GET', $address, $headers);
            } catch (InvalidArgumentException) {
                throw FetchFailed::notAnAddress($address);
            }
            $response = $this->once($request, $deadline);
            $isRedirect = in_array($response->getStatusCode(), [301, 302, 303, 307, 308], true);
            $next = $isRedirect ? $response->getHeaderLine('Location') : '';
            if ($next === '') {
                return HttpResponse::from($response, $address, $hop);
            }
            $hosts[] = (string) parse_url($address, PHP_URL_HOST);
            $from = Address::origin($address);
            $address = Address::resolved($next, $address);
            if (Address::origin($address) !== $from) {
                $headers = array_intersect_key($headers, ['Accept' => 1]);
            }
        }
        throw FetchFailed::redirectsWithoutEnd((string) end($hosts), $this->redirects);
    }

    /**
     * Sends one request as it is, and follows nothing: what it carries goes nowhere else.
     *
     * @throws FetchFailed
     */
    public function send(RequestInterface $request): ResponseInterface
    {
        return $this->once($request, microtime(true) + $this->seconds);
    }

    /** @throws FetchFailed */
    private function once(RequestInterface $request, float $deadline): ResponseInterface
    {
        $address = (string) $request->getUri();
        $parts = parse_url($address);
        $scheme = strtolower((string) ($parts['scheme'] ?? ''));
        $host = strtolower((string) ($parts['host'] ?? ''));
        if (! in_array($scheme, ['http', 'https'], true) || $host === '' || isset($parts['user'])) {
            throw FetchFailed::notAnAddress($address);
        }
        $port = $parts['port'] ?? ($scheme === 'https' ? 443 : 80);
        $target = $this->hosts->addressOf($host, $port);
        $shown = isset($parts['port']) ? "$host:$port" : $host;
        $left = $deadline - microtime(true);
        $body = new BoundedBody($this->bytes);
        foreach (['User-Agent' => self::AGENT, 'Accept-Encoding' => 'gzip'] as $name => $value) {
            $request = $request->withHeader($name, $value);
        }
        try {
            $response = (new Client)->send($request, [
                'allow_redirects' => false,
                'http_errors' => false,
                'decode_content' => false,
                'connect_timeout' => min(10, max(0.1, $left)),
                'timeout' => max(0.1, $left),
                'sink' => $body,
                'proxy' => '',
                'on_headers' => fn (ResponseInterface $response) => $body->contentEncoding($response->getHeaderLine('Content-Encoding')),
                'curl' => [
                    CURLOPT_RESOLVE => [sprintf('%s:%d:%s', trim($host, '[]'), $port, str_contains($target, ':') ? "[$target]" : $target)],
                    CURLOPT_PROTOCOLS => CURLPROTO_HTTP | CURLPROTO_HTTPS,
                ],
            ]);
        } catch (TransferException $failure) {
            throw match (true) {
                $body->isOver => FetchFailed::tooLarge($shown, $this->bytes),
                $body->isBroken => FetchFailed::brokenPacking($shown),
                microtime(true) >= $deadline - 0.05 => FetchFailed::tooSlow($shown, $this->seconds),
                default => FetchFailed::noAnswer($shown, self::plain($failure->getMessage())),
            };
        }
        $body->rewind();

        return $response->withBody($body)->withoutHeader('Content-Encoding');
    }

    /** The heart of what the HTTP client says: "cURL error 7: Failed to connect to … (see https…)". */
    private static function plain(string $message): string
    {
        return lcfirst(trim((string) preg_replace(['/^cURL error \d+: /', '/ \(see http.*$/s', '/ after \d+ ms.*$/s'], '', $message)));
    }
}
