<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\People\Sessions;
use Closure;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** A session that was ended somewhere else, or is over, is none. */
final readonly class HeldSession
{
    public function __construct(private Sessions $sessions)
    {
    }

    /** @throws AuthenticationException */
    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User && $request->hasSession() && ! $this->sessions->holds($user, $request->session())) {
            Auth::logout();
            $request->session()->invalidate();
            throw new AuthenticationException;
        }

        /** @var Response */
        return $next($request);
    }
}
