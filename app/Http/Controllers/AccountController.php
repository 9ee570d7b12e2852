<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use App\People\SecurityLog;
use App\People\Sessions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Where somebody is signed in, and what has happened to the account. */
final class AccountController
{
    public function show(Request $request, Sessions $sessions, SecurityLog $log): JsonResponse
    {
        $user = self::user($request);

        return new JsonResponse(
            ['email' => $user->email, 'sessions' => $sessions->of($user, $request->session()), 'events' => $log->of($user->id)],
        );
    }

    /** Ends one session, or all but this one. */
    public function end(Request $request, Sessions $sessions, SecurityLog $log, ?string $id = null): JsonResponse
    {
        $user = self::user($request);
        $isOne = $id !== null && preg_match('/^\d{1,12}$/D', $id) === 1;
        if ($id !== null && ! $isOne) {
            return new JsonResponse(['message' => 'There is no such session.'], JsonResponse::HTTP_NOT_FOUND);
        }
        $ended = $sessions->end($user, $request->session(), $isOne ? (int) $id : null);
        if ($isOne && $ended === 0) {
            return new JsonResponse(['message' => 'There is no such session.'], JsonResponse::HTTP_NOT_FOUND);
        }
        $log->note($user->id, 'session', $isOne ? 'A browser was signed out' : 'All other browsers were signed out');

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    private static function user(Request $request): User
    {
        /** @var User */
        return $request->user();
    }
}
