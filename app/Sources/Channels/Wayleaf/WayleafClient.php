<?php

declare(strict_types=1);

namespace App\Sources\Channels\Wayleaf;

use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use App\Fetching\HttpResponse;
use App\Models\Site;
use App\Sources\Channels\PublicAddress;
use Carbon\CarbonImmutable;
use Gnomic\Json\Value;
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
    public function get(Site $site, string $path, array $query, array $headers = []): HttpResponse
    {
        $key = $site->credentials()->where('channel', 'wayleaf')->first()?->secret;
        $answer = $this->fetcher->get($this->address.$path.($query === [] ? '' : '?'.http_build_query($query)),
            $headers + ['Accept' => 'application/json', 'Wayleaf-Key' => (string) $key, 'Wayleaf-Site' => $site->address]);
        if ($answer->isOk() || $answer->status === 304) {
            return $answer;
        }
        $record = json_decode($answer->body, true);
        $code = is_array($record) && is_array($record['error'] ?? null) ? ($record['error']['code'] ?? null) : null;
        throw FetchFailed::status($answer->status, 'Wayleaf', RetryAfter::seconds(
            $answer->header('Retry-After'),
            CarbonImmutable::now(),
        ), match ($code) {
            'key_missing' => 'it requires a key; paste yours',
            'key_unknown' => 'it does not recognise the key; copy it again from your Wayleaf account',
            'key_not_active' => 'the key is new and not active yet; Gnomic will try again',
            'key_other_site' => "the key is kept for another site than $site->address; allow this one in your Wayleaf account",
            'quota_used' => 'today’s quota is used up; Gnomic will continue tomorrow',
            'query_short' => 'give at least three letters of the name',
            'place_unknown' => 'the place no longer exists there; search for it again',
            default => null,
        }, str_starts_with(Value::text($code), 'key_') ? 'key' : null);
    }

    /** The page of a place, for everybody. @param  string  $place  its identifier */
    public function pageOf(string $place): string
    {
        return "$this->address/places/$place";
    }

    /** The identifier of a place in the address of its public page. */
    public function identifierIn(string $address): ?string
    {
        return PublicAddress::identifier($this->address, '/places/([\w-]+)', $address);
    }

    /** @return array{used: int, limit: int}|null */
    public static function quotaOf(HttpResponse $answer): ?array
    {
        [$limit, $left] = [$answer->header('Wayleaf-Quota'), $answer->header('Wayleaf-Quota-Left')];

        return $limit === null || $left === null ? null : ['used' => max(0, (int) $limit - (int) $left), 'limit' => (int) $limit];
    }
}
