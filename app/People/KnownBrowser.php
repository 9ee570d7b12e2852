<?php

declare(strict_types=1);

namespace App\People;

use Gnomic\Json\Value;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Cookie;

/** A cookie of the studio's, encrypted and signed, that says to which accounts a browser has signed in before. */
final class KnownBrowser
{
    public const COOKIE = 'gnomic_known';

    private const SECONDS = 31_536_000;

    /** Accounts of one browser. */
    private const MOST = 5;

    public static function knows(Request $request, string $email): bool
    {
        return in_array(SignIn::account($email), self::accounts($request), true);
    }

    public static function remembering(Request $request, string $email): Cookie
    {
        $accounts = array_slice(array_unique([SignIn::account($email), ...self::accounts($request)]), 0, self::MOST);

        return Cookie::create(
            self::COOKIE,
            json_encode($accounts, JSON_THROW_ON_ERROR),
            time() + self::SECONDS,
            '/',
            null,
            (bool) config('session.secure'),
            true,
            false,
            Cookie::SAMESITE_LAX,
        );
    }

    /** @return list<string> */
    private static function accounts(Request $request): array
    {
        $kept = $request->cookies->get(self::COOKIE);

        return is_string($kept) ? Value::texts(json_decode($kept, true)) : [];
    }
}
