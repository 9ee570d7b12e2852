<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What browsers may do with the studio: its own parts only, in nobody else's frame. */
final class StudioHeaders
{
    private const POLICY = "default-src 'self'; img-src 'self' data:; font-src 'self' data:; style-src 'self' 'unsafe-inline'; "
        ."object-src 'none'; base-uri 'self'; form-action 'self'; frame-ancestors 'self'";

    private const PERMISSIONS = 'accelerometer=(), camera=(), display-capture=(), geolocation=(), gyroscope=(), magnetometer=(), '
        .'microphone=(), midi=(), payment=(), usb=()';

    public function handle(Request $request, Closure $next): Response
    {
        /** @var Response $response */
        $response = $next($request);
        // A page of the owner's in a frame of the bench has a stricter one.
        if (! $response->headers->has('Content-Security-Policy')) {
            $response->headers->set('Content-Security-Policy', self::POLICY);
        }
        $response->headers->set('X-Content-Type-Options', 'nosniff');
        $response->headers->set('Referrer-Policy', 'same-origin');
        $response->headers->set('Permissions-Policy', self::PERMISSIONS);
        // Windows that the studio opens are the owner's pages: they get no hold on it.
        $response->headers->set('Cross-Origin-Opener-Policy', 'same-origin');
        if (str_starts_with(config()->string('app.url'), 'https:')) {
            $response->headers->set('Strict-Transport-Security', 'max-age=31536000');
        }

        return $response;
    }
}
