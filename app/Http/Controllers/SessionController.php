<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Host\LockIsHeld;
use App\Http\Requests\SignInWithPassword;
use App\Models\User;
use App\People\SignIn;
use Gnomic\Json\Value;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/** Signing in and out. */
final class SessionController
{
    /** Seconds after which somebody may try again. */
    private const AGAIN = 5;

    public function show(Request $request): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();
        $site = $user->sites()->orderBy('sites.id')->first();

        return new JsonResponse([
            'name' => $user->name,
            'email' => $user->email,
            'site' => $site === null ? null : ['name' => $site->name, 'address' => $site->address, 'timezone' => $site->timezone],
        ]);
    }

    /** @throws ValidationException|TooManyRequestsHttpException */
    public function store(SignInWithPassword $request, SignIn $signIn): JsonResponse
    {
        $given = $request->given();
        try {
            $user = $signIn->who(Value::text($given['email']), Value::text($given['password']), Value::text($request->ip()));
        } catch (LockIsHeld) {
            throw new TooManyRequestsHttpException(
                self::AGAIN,
                'Too many people are signing in with this address. Try again in a few seconds.',
            );
        }
        if ($user === null) {
            throw ValidationException::withMessages(['email' => 'That e-mail address and password do not match. Check both.']);
        }
        Auth::login($user);
        $request->session()->regenerate();

        return $this->show($request);
    }

    public function destroy(Request $request): JsonResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }
}
