<?php

declare(strict_types=1);

namespace App\People;

use Gnomic\Json\Value;
use Illuminate\Cache\RateLimiter;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Contracts\Hashing\Hasher;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\ServiceProvider;

/** Who comes in. */
final class PeopleProvider extends ServiceProvider
{
    public function boot(): void
    {
        Mail::extend('mailbox', fn (array $config): Mailbox => new Mailbox(Value::text($config['file'] ?? '')));
    }

    public function register(): void
    {
        $this->app->bind(SignIn::class, fn (Application $app): SignIn => new SignIn(
            $app->make(RateLimiter::class),
            $app->make(Hasher::class),
            Value::whole(config('hashing.bcrypt.rounds', 12)),
        ));
    }
}
