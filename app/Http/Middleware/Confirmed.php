<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Gnomic\Json\Value;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** What removes much is for whoever has given the password lately, and not for whoever found a screen left open. */
final class Confirmed
{
    /** When the password was given the last time, in seconds since 1970. */
    public const AT = 'gnomic_confirmed_at';

    private const SECONDS = 900;

    public function handle(Request $request, Closure $next): Response
    {
        $isLate = Value::whole($request->session()->get(self::AT, 0)) + self::SECONDS < now()->getTimestamp();
        // What is brought back asks for nothing.
        if ($isLate && $request->boolean('removed', true)) {
            return new JsonResponse(
                ['message' => 'Give your password again.', 'needs' => 'password'],
                Response::HTTP_PRECONDITION_REQUIRED,
            );
        }

        /** @var Response */
        return $next($request);
    }
}
