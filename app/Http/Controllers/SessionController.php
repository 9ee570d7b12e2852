<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Middleware\Confirmed;
use App\Http\Requests\SignInWithPassword;
use App\Models\User;
use App\People\KnownBrowser;
use App\People\SecurityLog;
use App\People\Sessions;
use App\People\SignIn;
use App\People\TooManyTries;
use App\Placing\Owner\OwnerLinks;
use Gnomic\Json\Value;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/** Signing in and out. */
final class SessionController
{
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
    public function store(SignInWithPassword $request, SignIn $signIn, Sessions $sessions, SecurityLog $log): JsonResponse
    {
        $given = $request->given();
        $email = Value::text($given['email']);
        try {
            $isKnown = KnownBrowser::knows($request, $email);
            $user = $signIn->who($email, Value::text($given['password']), Value::text($request->ip()), $isKnown);
        } catch (TooManyTries $tries) {
            throw new TooManyRequestsHttpException($tries->seconds, $tries->getMessage(), $tries);
        }
        if ($user === null) {
            $of = User::query()->where('email', trim($email))->value('id');
            $log->note($of === null ? null : Value::whole($of), 'guess', 'A wrong password was entered at sign-in', isAlike: true);
            throw ValidationException::withMessages(['email' => 'That e-mail address and password do not match. Check both.']);
        }
        Auth::login($user);
        $request->session()->regenerate();
        $request->session()->put(Confirmed::AT, now()->getTimestamp());
        $sessions->begin($user, $request->session(), (string) $request->userAgent());
        $log->note($user->id, 'sign-in', 'Signed in');

        return $this->show($request)->withCookie(KnownBrowser::remembering($request, $email));
    }

    public function destroy(Request $request, OwnerLinks $links, Sessions $sessions): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();
        $links->end($user->id);
        $sessions->leave($user, $request->session());
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }
}
