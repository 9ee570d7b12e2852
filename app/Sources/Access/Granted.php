<?php

declare(strict_types=1);

namespace App\Sources\Access;

use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use App\Fetching\HttpResponse;
use App\Models\Grant;
use Carbon\CarbonImmutable;
use Gnomic\Gather\Records\Record;
use Gnomic\Tend\RetryAfter;

/** Asks services for which an owner has granted access: renews tokens before they end, and notices when access has ended. */
final readonly class Granted
{
    public function __construct(private Fetcher $fetcher, private OAuthProviders $services)
    {
    }

    /**
     * @param  array<string, string>  $headers
     *
     * @throws FetchFailed for everything but success and "not modified"
     */
    public function get(Grant $grant, string $address, array $headers = []): HttpResponse
    {
        $service = $this->services->of($grant->channel);
        if ($grant->ended_at !== null) {
            throw FetchFailed::accessEnded($service->name);
        }
        if (! $service->owns($address)) {
            throw FetchFailed::elsewhere($service->name, $address);
        }
        if ($grant->expires_at !== null && $grant->expires_at->lessThan(now()->addSeconds($service->renewBefore))) {
            $service->renew($grant);
        }
        $answer = $this->asked($grant, $address, $headers);
        if ($answer->status === 401) {
            // It ended before its time: renewing tells whether the access has, too.
            $service->renew($grant);
            $answer = $this->asked($grant, $address, $headers);
        }
        if ($answer->isOk() || $answer->status === 304) {
            return $answer;
        }
        if ($answer->status === 401) {
            $grant->update(['ended_at' => now()]);
            throw FetchFailed::accessEnded($service->name);
        }
        throw FetchFailed::status($answer->status, $service->name, RetryAfter::seconds(
            $answer->header('Retry-After'),
            CarbonImmutable::now(),
        ),
            match (Record::of(json_decode($answer->body, true))->record('error')->text('code')) {
                'not_granted' => 'you did not grant this; grant access again and leave it ticked',
                'account_private' => 'the account is private; make it public there, or grant access for another',
                'venue_unknown' => 'the account no longer has this venue; choose again',
                default => null,
            });
    }

    /** @param  array<string, string>  $headers */
    private function asked(Grant $grant, string $address, array $headers): HttpResponse
    {
        return $this->fetcher->get($address, $headers + ['Accept' => 'application/json', 'Authorization' => "Bearer $grant->access"]);
    }
}
