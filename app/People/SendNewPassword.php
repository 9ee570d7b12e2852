<?php

declare(strict_types=1);

namespace App\People;

use App\Host\KnowsHost;
use App\Models\User;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Password;

/**
 * Sends the e-mail by which somebody sets a new password, where there is such an account: in the background, so that how long the answer
 * takes tells nobody whether there is.
 */
final class SendNewPassword implements ShouldQueue
{
    use KnowsHost;
    use Queueable;

    public int $tries = 1;

    public int $timeout = 60;

    public function __construct(public readonly string $email)
    {
        $this->onQueue('mail');
    }

    public function handle(): void
    {
        Password::sendResetLink(['email' => $this->email], function (User $user, string $token): void {
            $address = $this->host().'/#set-password='.rawurlencode($token).'&for='.rawurlencode($user->email);
            Mail::to($user->email)->send(new NewPasswordMail($address, config()->integer('auth.passwords.users.expire')));
        });
    }
}
