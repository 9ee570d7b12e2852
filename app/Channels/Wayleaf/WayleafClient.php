<?php

declare(strict_types=1);

namespace App\Channels\Wayleaf;

use App\Fetching\Answer;
use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use App\Models\Site;
use Carbon\CarbonImmutable;
use Gnomic\Tend\RetryAfter;

/** Asks Wayleaf's interface with the site's own key. */
final readonly class WayleafClient
{
    public function __construct(private Fetcher $fetcher, private string $address)
    {
    }

    /**
     * @param  array<string, string>  $query
     * @param  array<string, string>  $headers
     *
     * @throws FetchFailed for everything but success and "not modified"
     */
    public function get(Site $site, string $path, array $query, array $headers = []): Answer
    {
        $key = $site->credentials()->where('channel', 'wayleaf')->first()?->secret;
        $answer = $this->fetcher->get($this->address.$path.($query === [] ? '' : '?'.http_build_query($query)),
            $headers + ['Accept' => 'application/json', 'Wayleaf-Key' => (string) $key]);
        if ($answer->isOk() || $answer->status === 304) {
            return $answer;
        }
        $record = json_decode($answer->body, true);
        $code = is_array($record) && is_array($record['error'] ?? null) ? ($record['error']['code'] ?? null) : null;
        throw FetchFailed::status($answer->status, 'Wayleaf', RetryAfter::seconds($answer->header('Retry-After'), CarbonImmutable::now()), match ($code) {
            'key_missing' => 'it wants a key; paste yours',
            'key_unknown' => 'it does not know the key; copy it once more from your Wayleaf account',
            'place_unknown' => 'it has no such place any more; look the place up again',
            default => null,
        });
    }
}
