<?php

declare(strict_types=1);

namespace App\Sources\Access;

use App\Fetching\Fetcher;
use App\Fetching\FetchFailed;
use App\Models\Grant;
use App\Models\Site;
use Gnomic\Json\Value;
use Gnomic\Text\Address;
use GuzzleHttp\Client;
use GuzzleHttp\Promise\Create;
use GuzzleHttp\Promise\PromiseInterface;
use Illuminate\Support\Carbon;
use League\OAuth2\Client\Grant\RefreshToken;
use League\OAuth2\Client\Provider\Exception\IdentityProviderException;
use League\OAuth2\Client\Provider\GenericProvider;
use League\OAuth2\Client\Token\AccessTokenInterface;
use Psr\Http\Message\RequestInterface;
use Throwable;

/** One service's side of granting: authorization code with PKCE and state (RFC 6749, 7636), by league/oauth2-client. */
final readonly class OAuthProvider
{
    /**
     * @param  array<string, string>  $scopes  what is asked for, in words, by name
     * @param  int  $renewBefore  seconds before a token ends at which it is renewed
     */
    public function __construct(
        public string $channel,
        public string $name,
        private string $address,
        private string $client,
        private string $secret,
        private string $redirectUri,
        public array $scopes,
        public int $renewBefore,
        private Fetcher $fetcher,
    ) {
    }

    /** @return array{address: string, state: string, verifier: string} where the owner is sent, and what has to be kept meanwhile */
    public function beginning(): array
    {
        $provider = $this->provider();
        $address = $provider->getAuthorizationUrl(['scope' => implode(' ', array_keys($this->scopes))]);

        return ['address' => $address, 'state' => $provider->getState(), 'verifier' => (string) $provider->getPkceCode()];
    }

    /** @throws AccessRefused where the service does not take the code */
    public function completed(Site $site, string $code, string $verifier): Grant
    {
        $provider = $this->provider();
        $provider->setPkceCode($verifier);
        try {
            $token = $provider->getAccessToken('authorization_code', ['code' => $code]);
        } catch (IdentityProviderException) {
            throw AccessRefused::byService($this->name);
        } catch (Throwable $failure) {
            report($failure);
            throw AccessRefused::unreachable($this->name);
        }
        $account = $token->getValues()['account'] ?? [];

        $name = Value::text(Value::members($account)['name'] ?? 'your account');

        return $site->grants()->updateOrCreate(['channel' => $this->channel, 'account' => $name],
            ['scopes' => array_keys($this->scopes), 'ended_at' => null] + self::kept($token));
    }

    /**
     * A new token for the one that ends; the grant is marked where the owner has taken it back.
     *
     * @throws FetchFailed
     */
    public function renew(Grant $grant): void
    {
        if ($grant->refresh === null) {
            $grant->update(['ended_at' => now()]);
            throw FetchFailed::accessEnded($this->name);
        }
        try {
            $token = $this->provider()->getAccessToken(new RefreshToken, ['refresh_token' => $grant->refresh]);
        } catch (IdentityProviderException $refused) {
            $answer = $refused->getResponseBody();
            if (is_array($answer) && ($answer['error'] ?? '') === 'invalid_grant') {
                $grant->update(['ended_at' => now()]);
                throw FetchFailed::accessEnded($this->name);
            }
            throw FetchFailed::noAnswer($this->name, 'it would not renew the access');
        } catch (Throwable) {
            throw FetchFailed::noAnswer($this->name, 'it could not be asked to renew the access');
        }
        $grant->update(self::kept($token));
    }

    /** @return array<string, mixed> */
    private static function kept(AccessTokenInterface $token): array
    {
        $kept = [
            'access' => $token->getToken(),
            'expires_at' => $token->getExpires() === null ? null : Carbon::createFromTimestamp($token->getExpires()),
        ];

        // A service that gives no new one means that the old one goes on (RFC 6749 §6).
        return $token->getRefreshToken() === null ? $kept : $kept + ['refresh' => $token->getRefreshToken()];
    }

    private function provider(): GenericProvider
    {
        return new GenericProvider([
            'clientId' => $this->client, 'clientSecret' => $this->secret, 'redirectUri' => $this->redirectUri,
            'urlAuthorize' => "$this->address/oauth/authorize",
            'urlAccessToken' => "$this->address/oauth/token",
            'urlResourceOwnerDetails' => "$this->address/api/me",
            'pkceMethod' => GenericProvider::PKCE_METHOD_S256, 'scopeSeparator' => ' ',
        ], ['httpClient' => new Client(['handler' => $this->guarded(...)])]);
    }

    /** By the one way out, which follows nothing: a secret goes to the address that it is for, or nowhere. */
    private function guarded(RequestInterface $request): PromiseInterface
    {
        return Create::promiseFor($this->fetcher->send($request));
    }

    /** Whether an address is one of this service's own, so that a token may go there. */
    public function owns(string $address): bool
    {
        return Address::origin($address) !== null && Address::origin($address) === Address::origin($this->address);
    }
}
