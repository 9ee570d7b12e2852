<?php

declare(strict_types=1);

namespace App\Fetching;

use Gnomic\Text\Address;
use GuzzleHttp\Client;
use GuzzleHttp\Exception\TransferException;
use Psr\Http\Message\ResponseInterface;

/** The one way out: asks outside services over HTTP, within bounds of time, size and place. */
final readonly class Fetcher
{
    private const AGENT = 'Gnomic/1.0 (reads feeds and reviews for a site owner)';

    public function __construct(private Hosts $hosts, private int $seconds, private int $bytes, private int $redirects)
    {
    }

    /**
     * @param  array<string, string>  $headers
     *
     * @throws FetchFailed for everything but an answer; any status is an answer
     */
    public function get(string $address, array $headers = []): HttpResponse
    {
        $deadline = microtime(true) + $this->seconds;
        $host = '';
        for ($hop = 0; $hop <= $this->redirects; $hop++) {
            [$response, $body, $host] = $this->once($address, $headers, $deadline);
            $next = in_array($response->getStatusCode(), [301, 302, 303, 307, 308], true) ? $response->getHeaderLine('Location') : '';
            if ($next === '') {
                $names = array_map(strtolower(...), array_keys($response->getHeaders()));
                $lines = array_map(fn (array $lines): string => implode(', ', $lines), array_values($response->getHeaders()));

                return new HttpResponse($response->getStatusCode(), $body, $address, array_combine($names, $lines));
            }
            $address = Address::resolved($next, $address);
            // A key is for the host that it was given for.
            if ((string) parse_url($address, PHP_URL_HOST) !== (string) parse_url("http://$host", PHP_URL_HOST)) {
                $headers = array_intersect_key($headers, ['Accept' => 1]);
            }
        }
        throw FetchFailed::redirectsWithoutEnd($host, $this->redirects);
    }

    /**
     * @param  array<string, string>  $headers
     * @return array{ResponseInterface, string, string} response, body, "host:port" as the owner would write it
     *
     * @throws FetchFailed
     */
    private function once(string $address, array $headers, float $deadline): array
    {
        $parts = parse_url($address);
        $scheme = strtolower((string) ($parts['scheme'] ?? ''));
        $host = strtolower((string) ($parts['host'] ?? ''));
        if (! in_array($scheme, ['http', 'https'], true) || $host === '' || isset($parts['user'])) {
            throw FetchFailed::notAnAddress(mb_strimwidth($address, 0, 200, '…'));
        }
        $port = $parts['port'] ?? ($scheme === 'https' ? 443 : 80);
        $target = $this->hosts->addressOf($host, $port);
        $shown = isset($parts['port']) ? "$host:$port" : $host;
        $left = $deadline - microtime(true);
        $body = new BoundedBody($this->bytes);
        try {
            $response = (new Client)->get($address, [
                'headers' => $headers + ['User-Agent' => self::AGENT, 'Accept-Encoding' => 'gzip'],
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

        return [$response, $body->getContents(), $shown];
    }

    /** The heart of what the HTTP client says: "cURL error 7: Failed to connect to … (see https…)". */
    private static function plain(string $message): string
    {
        return lcfirst(trim((string) preg_replace(['/^cURL error \d+: /', '/ \(see http.*$/s', '/ after \d+ ms.*$/s'], '', $message)));
    }
}
