<?php

declare(strict_types=1);

namespace Standins;

/** Granting access: authorization codes with PKCE, refreshing and revoking (RFC 6749, 7636, 7009), and the consent page. */
final readonly class Access
{
    private const CLIENTS = ['gnomic' => 'gnomic-demo-secret'];

    /** @param  array<string, string>  $scopes what can be asked for, in words, by its name */
    public function __construct(private State $state, private string $service, private array $scopes, private int $lifetime)
    {
    }

    /**
     * @param  array<string, string>  $query
     * @param  array<string, string>  $form
     */
    public function answer(string $path, string $method, array $query, array $form): ?Answer
    {
        return match ("$method $path") {
            'GET /oauth/authorize' => $this->consent($query),
            'POST /oauth/authorize' => $this->decided($form),
            'POST /oauth/token' => $this->token($form),
            'POST /oauth/revoke' => $this->revoked($form),
            default => null,
        };
    }

    /** @return array<string, mixed>|Answer what was granted, or the refusal (RFC 6750 §3) */
    public function holder(string $authorization, string $scope): array|Answer
    {
        $token = preg_match('/^Bearer (\S+)$/', $authorization, $found) === 1 ? $found[1] : '';
        $grant = $this->state->read()['tokens'][$token] ?? null;
        if ($grant === null || $grant['until'] < time()) {
            return new Answer(401, 'application/json', (string) json_encode(
                ['error' => ['code' => $grant === null ? 'token_unknown' : 'token_expired', 'message' => 'Ask for a new token.']],
            ),
                ['WWW-Authenticate' => 'Bearer error="invalid_token"']);
        }

        return in_array($scope, $grant['scopes'], true)
            ? $grant
            : Answer::error(403, 'not_granted', "The owner has not granted \"$scope\".");
    }

    /** @param  array<string, string>  $query */
    private function consent(array $query): Answer
    {
        $scopes = array_values(array_filter(
            explode(' ', $query['scope'] ?? ''),
            fn (string $scope): bool => isset($this->scopes[$scope]),
        ));
        $wrong = match (true) {
            ! isset(self::CLIENTS[$query['client_id'] ?? '']) => 'This application is not known here.',
            preg_match(
                '~^http://127\.0\.0\.1(:\d+)?/grants/\w+/return$|^http://gnomic\.test/grants/\w+/return$~',
                $query['redirect_uri'] ?? '',
            ) !== 1 => 'This address to come back to is not registered.',
            ($query['response_type'] ?? '') !== 'code',
            ($query['code_challenge_method'] ?? '') !== 'S256',
            ($query['code_challenge'] ?? '') === '' => 'A code with a challenge by S256 has to be asked for.',
            $scopes === [] => 'Nothing that can be granted was asked for.',
            default => null,
        };
        if ($wrong !== null) {
            return new Answer(
                400,
                'text/html; charset=utf-8',
                '<!doctype html><html lang="en"><title>Refused</title><p>'.htmlspecialchars($wrong),
            );
        }
        $accounts = $this->state->read()['accounts'];
        ob_start();
        $service = $this->service;
        $words = array_intersect_key($this->scopes, array_flip($scopes));
        require __DIR__.'/views/consent.php';

        return new Answer(200, 'text/html; charset=utf-8', (string) ob_get_clean());
    }

    /** @param  array<string, string>  $form */
    private function decided(array $form): Answer
    {
        $back = $form['redirect_uri'] ?? '';
        if (($form['decision'] ?? '') !== 'allow') {
            return new Answer(
                303,
                'text/plain',
                '',
                ['Location' => $back.'?'.http_build_query(['error' => 'access_denied', 'state' => $form['state'] ?? ''])],
            );
        }
        $code = bin2hex(random_bytes(16));
        $this->state->change(fn (array $state): array => ['codes' => [$code => ['account' => $form['account'] ?? '', 'challenge' => $form['code_challenge'] ?? '', 'redirect' => $back,
            'scopes' => array_values(array_intersect(explode(' ', $form['scope'] ?? ''), array_keys($this->scopes))),
            'until' => time() + 60]] + ($state['codes'] ?? [])] + $state);

        return new Answer(
            303,
            'text/plain',
            '',
            ['Location' => $back.'?'.http_build_query(['code' => $code, 'state' => $form['state'] ?? ''])],
        );
    }

    /** @param  array<string, string>  $form */
    private function token(array $form): Answer
    {
        if ((self::CLIENTS[$form['client_id'] ?? ''] ?? '') !== ($form['client_secret'] ?? null)) {
            return self::refused('invalid_client');
        }
        $state = $this->state->read();
        if (($form['grant_type'] ?? '') === 'authorization_code') {
            $code = $state['codes'][$form['code'] ?? ''] ?? null;
            $challenge = rtrim(strtr(base64_encode(hash('sha256', $form['code_verifier'] ?? '', true)), '+/', '-_'), '=');
            if (
                $code === null
                || $code['until'] < time()
                || $code['challenge'] !== $challenge
                || $code['redirect'] !== ($form['redirect_uri'] ?? '')
            ) {
                return self::refused('invalid_grant');
            }

            return $this->issued($code['account'], $code['scopes'], bin2hex(random_bytes(16)), $form['code'] ?? '');
        }
        $refresh = $form['refresh_token'] ?? '';
        $kept = $state['refreshes'][$refresh] ?? null;

        return ($form['grant_type'] ?? '') === 'refresh_token' && $kept !== null
            ? $this->issued($kept['account'], $kept['scopes'], $refresh, '')
            : self::refused('invalid_grant');
    }

    /** @param  list<string>  $scopes */
    private function issued(string $account, array $scopes, string $refresh, string $code): Answer
    {
        $token = bin2hex(random_bytes(16));
        $names = array_column($this->state->read()['accounts'], 'name', 'id');
        $this->state->change(function (array $state) use ($token, $refresh, $account, $scopes, $code): array {
            unset($state['codes'][$code]);
            $state['tokens'][$token] = [
                'account' => $account,
                'scopes' => $scopes,
                'until' => time() + $this->lifetime,
                'refresh' => $refresh,
            ];
            $state['refreshes'][$refresh] = ['account' => $account, 'scopes' => $scopes];

            return $state;
        });

        return Answer::json(['access_token' => $token, 'token_type' => 'Bearer', 'expires_in' => $this->lifetime, 'refresh_token' => $refresh, 'scope' => implode(' ', $scopes),
            'account' => ['id' => $account, 'name' => $names[$account] ?? $account]]);
    }

    /** @param  array<string, string>  $form */
    private function revoked(array $form): Answer
    {
        $this->state->change(fn (array $state): array => ['tokens' => array_filter($state['tokens'] ?? [], fn (array $grant, string $token): bool => $token !== ($form['token'] ?? '') && $grant['refresh'] !== ($form['token'] ?? ''), ARRAY_FILTER_USE_BOTH),
            'refreshes' => array_diff_key($state['refreshes'] ?? [], [$form['token'] ?? '' => 1])] + $state);

        return new Answer(200, 'text/plain', '');
    }

    private static function refused(string $error): Answer
    {
        return Answer::json(['error' => $error], $error === 'invalid_client' ? 401 : 400);
    }
}
