<?php

declare(strict_types=1);

namespace App\People;

use App\Host\HostLocks;
use App\Host\LockIsHeld;
use App\Models\User;
use Closure;
use Illuminate\Cache\RateLimiter;
use Illuminate\Contracts\Hashing\Hasher;

/**
 * Who somebody is, by address and password. Guessing is made slow, and nobody is ever locked out: after some failures for an account, or
 * many from a place, every try goes one at a time and waits a little, the right one too. An account that is not there takes as long as
 * one that is.
 */
final readonly class SignIn
{
    /** Failures a minute after which the slow way is taken: of an account, and from a place. */
    private const OF_ACCOUNT = 5;

    private const FROM_PLACE = 30;

    private const SECONDS = 60;

    /** Seconds that the slow way takes, and for which somebody stands in line for it. */
    private const PAUSE = 1.0;

    private const IN_LINE = 6.0;

    /** Of those who take the slow way at a time, so that others are still answered. */
    private const SLOW_AT_ONCE = 2;

    /** Letters of a hash that fits no password. */
    private const NOBODY = 'abcdefghijklmnopqrstuuCWzDHFvBPaVlIPC4mkdT1cLF2pBKCLm';

    /** @param  Closure(float): void  $pause  waits so many seconds */
    public function __construct(
        private RateLimiter $failures,
        private Hasher $hasher,
        private HostLocks $locks,
        private int $rounds,
        private Closure $pause,
    ) {
    }

    /** @throws LockIsHeld where too many stand in line already */
    public function who(string $email, string $password, string $place): ?User
    {
        $account = 'sign-in:'.hash('xxh128', mb_strtolower(trim($email)));
        $from = 'sign-in-from:'.$place;
        if ($this->failures->attempts($account) < self::OF_ACCOUNT && $this->failures->attempts($from) < self::FROM_PLACE) {
            return $this->matched($email, $password, $account, $from);
        }
        $turn = $this->locks->waited($account, self::IN_LINE);
        try {
            $slow = $this->locks->oneOf('sign-in-slowly', self::SLOW_AT_ONCE)
                ?? throw new LockIsHeld('Too many attempts. Try again in a minute.');
            ($this->pause)(self::PAUSE);
            $slow->release();

            return $this->matched($email, $password, $account, $from);
        } finally {
            $turn->release();
        }
    }

    private function matched(string $email, string $password, string $account, string $from): ?User
    {
        $user = User::query()->where('email', $email)->first();
        $nobody = sprintf('$2y$%02d$%s', $this->rounds, self::NOBODY);
        $isRight = $this->hasher->check($password, $user->password ?? $nobody);
        if ($user === null || ! $isRight) {
            $this->failures->hit($account, self::SECONDS);
            $this->failures->hit($from, self::SECONDS);

            return null;
        }
        $this->failures->clear($account);

        return $user;
    }
}
