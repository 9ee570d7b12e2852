<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Host\KnowsHost;
use App\Http\Middleware\Confirmed;
use App\Http\Requests\AskForPassword;
use App\Http\Requests\ChangePassword;
use App\Http\Requests\ConfirmPassword;
use App\Http\Requests\SetPassword;
use App\Models\User;
use App\People\GoodPassword;
use App\People\NewPasswordMail;
use App\People\SecurityLog;
use App\People\Sessions;
use App\People\SignIn;
use App\People\TooManyTries;
use Gnomic\Json\Value;
use Illuminate\Contracts\Hashing\Hasher;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Password;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;
use Throwable;

/** Passwords: changed by whoever is signed in, and set anew by mail. */
final class PasswordController
{
    use KnowsHost;

    /** Sends the letter, where there is such an account; the answer tells nobody whether there is. */
    public function ask(AskForPassword $request): JsonResponse
    {
        $email = Value::text($request->given()['email']);
        try {
            Password::sendResetLink(['email' => $email], function (User $user, string $token) use ($email): void {
                $address = $this->host().'/#set-password='.rawurlencode($token).'&for='.rawurlencode($email);
                Mail::to($user->email)->send(new NewPasswordMail($address, config()->integer('auth.passwords.users.expire')));
            });
        } catch (Throwable $fault) {
            report($fault); // what cannot be sent is no matter of whoever asks
        }

        return new JsonResponse(['message' => 'If there is such an account, a letter is on its way to it.'], JsonResponse::HTTP_ACCEPTED);
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
                $log->note($user->id, 'password', 'A new password was set by mail; all sessions were ended');
            },
        );
        if ($told !== Password::PASSWORD_RESET) {
            throw ValidationException::withMessages(['token' => 'This letter has been used already, or is too old. Ask for another one.']);
        }

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    /** The password again, before much is removed. @throws ValidationException|TooManyRequestsHttpException */
    public function confirm(ConfirmPassword $request, SignIn $signIn, SecurityLog $log): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();
        try {
            $is = $signIn->who($user->email, Value::text($request->given()['password']), Value::text($request->ip()), true);
        } catch (TooManyTries $tries) {
            throw new TooManyRequestsHttpException($tries->seconds, $tries->getMessage(), $tries);
        }
        if ($is === null) {
            $log->note($user->id, 'guess', 'A wrong password was given where it was asked for again', isAlike: true);
            throw ValidationException::withMessages(['password' => 'That is not your password.']);
        }
        $request->session()->put(Confirmed::AT, now()->getTimestamp());

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    /** @throws ValidationException */
    public function change(ChangePassword $request, Hasher $hasher, Sessions $sessions, SecurityLog $log): JsonResponse
    {
        $given = $request->given();
        /** @var User $user */
        $user = $request->user();
        if (! $hasher->check(Value::text($given['current']), $user->password)) {
            $log->note($user->id, 'guess', 'A wrong password was given where it was to be changed', isAlike: true);
            throw ValidationException::withMessages(['current' => 'That is not your password as it is now.']);
        }
        $why = (new GoodPassword($user->email))->wrong(Value::text($given['password']));
        if ($why !== null) {
            throw ValidationException::withMessages(['password' => $why]);
        }
        $user->update(['password' => Value::text($given['password'])]);
        $sessions->end($user, $request->session());
        $log->note($user->id, 'password', 'The password was changed; all other sessions were ended');

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }
}
