<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Middleware\Confirmed;
use App\Http\Requests\AskForPassword;
use App\Http\Requests\ChangePassword;
use App\Http\Requests\ConfirmPassword;
use App\Http\Requests\SetPassword;
use App\Models\User;
use App\People\GoodPassword;
use App\People\SecurityLog;
use App\People\SendNewPassword;
use App\People\Sessions;
use App\People\SignIn;
use App\People\TooManyTries;
use Gnomic\Json\Value;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Password;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/** Passwords: changed by whoever is signed in, and set anew by mail. */
final class PasswordController
{
    /** Sends the e-mail, where there is such an account; the answer tells nobody whether there is. */
    public function ask(AskForPassword $request): JsonResponse
    {
        SendNewPassword::dispatch(trim(Value::text($request->given()['email'])));

        return new JsonResponse(
            ['message' => 'If there is an account with this address, an e-mail is on its way.'],
            JsonResponse::HTTP_ACCEPTED,
        );
    }

    /** @throws ValidationException */
    public function set(SetPassword $request, Sessions $sessions, SecurityLog $log): JsonResponse
    {
        $given = $request->given();
        $password = Value::text($given['password']);
        $why = (new GoodPassword(Value::text($given['email'])))->wrong($password);
        if ($why !== null) {
            throw ValidationException::withMessages(['password' => $why]);
        }
        $told = Password::reset(
            ['email' => Value::text($given['email']), 'token' => Value::text($given['token']), 'password' => $password],
            function (User $user, string $password) use ($sessions, $log): void {
                $user->update(['password' => $password]);
                $sessions->end($user, null);
                $log->note($user->id, 'password', 'A new password was set by e-mail, and all browsers were signed out');
            },
        );
        if ($told !== Password::PASSWORD_RESET) {
            throw ValidationException::withMessages(['token' => 'This link has been used, or is too old. Ask for a new e-mail.']);
        }

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    /** The password again, before something that matters is removed. @throws ValidationException|TooManyRequestsHttpException */
    public function confirm(ConfirmPassword $request, SignIn $signIn, SecurityLog $log): JsonResponse
    {
        if (! $this->isOwn($request, Value::text($request->given()['password']), $signIn, $log)) {
            throw ValidationException::withMessages(['password' => 'That is not your password.']);
        }
        $request->session()->put(Confirmed::AT, now()->getTimestamp());

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    /** @throws ValidationException|TooManyRequestsHttpException */
    public function change(ChangePassword $request, SignIn $signIn, Sessions $sessions, SecurityLog $log): JsonResponse
    {
        $given = $request->given();
        if (! $this->isOwn($request, Value::text($given['current']), $signIn, $log)) {
            throw ValidationException::withMessages(['current' => 'That is not your current password.']);
        }
        /** @var User $user */
        $user = $request->user();
        $password = Value::text($given['password']);
        $why = (new GoodPassword($user->email))->wrong($password);
        if ($why !== null) {
            throw ValidationException::withMessages(['password' => $why]);
        }
        $user->update(['password' => $password]);
        $sessions->end($user, $request->session());
        $request->session()->put(Confirmed::AT, now()->getTimestamp());
        $log->note($user->id, 'password', 'The password was changed, and all other browsers were signed out');

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    /** Whether whoever is signed in has that password: guessing is bounded as it is at the door. @throws TooManyRequestsHttpException */
    private function isOwn(Request $request, string $password, SignIn $signIn, SecurityLog $log): bool
    {
        /** @var User $user */
        $user = $request->user();
        try {
            $is = $signIn->who($user->email, $password, Value::text($request->ip()), isKnown: true);
        } catch (TooManyTries $tries) {
            throw new TooManyRequestsHttpException($tries->seconds, $tries->getMessage(), $tries);
        }
        if ($is === null) {
            $log->note($user->id, 'guess', 'A wrong password was entered by somebody who was signed in', isAlike: true);
        }

        return $is !== null;
    }
}
