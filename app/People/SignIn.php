<?php

declare(strict_types=1);

namespace App\People;

use App\Models\User;
use Illuminate\Cache\RateLimiter;
use Illuminate\Contracts\Hashing\Hasher;

/**
 * Who somebody is, by address and password. Whoever guesses is sent away at once, for a while: from one place at one account, and from one
 * place at many. Past a hundred guesses an hour at an account, only browsers that have signed in to it before may try; and a new password
 * can always be asked for by mail, so that guessing locks nobody out. An account that is not there takes as long as one that is.
 */
final readonly class SignIn
{
    /** Failures a minute: of an account from a place, and from a place. */
    private const OF_ACCOUNT = 5;

    private const FROM_PLACE = 30;

    private const MINUTE = 60;

    /** Failures an hour, from wherever, after which strange browsers are not listened to. */
    private const IN_ALL = 100;

    private const HOUR = 3600;

    /** Letters of a hash that fits no password. */
    private const NOBODY = 'abcdefghijklmnopqrstuuCWzDHFvBPaVlIPC4mkdT1cLF2pBKCLm';

    public function __construct(private RateLimiter $failures, private Hasher $hasher, private int $rounds)
    {
    }

    /**
     * @param  string  $place  address of the network that it comes from
     * @param  bool  $isKnown  whether this browser has signed in to the account before
     *
     * @throws TooManyTries
     */
    public function who(string $email, string $password, string $place, bool $isKnown): ?User
    {
        $place = self::network($place);
        $account = self::account($email);
        $limits = [
            "sign-in:$account:$place" => [self::OF_ACCOUNT, self::MINUTE],
            "sign-in-from:$place" => [self::FROM_PLACE, self::MINUTE],
            "sign-in-at:$account" => [self::IN_ALL, self::HOUR],
        ];
        foreach ($limits as $name => [$most]) {
            $isForStrangers = $most === self::IN_ALL;
            if ($this->failures->attempts($name) >= $most && ! ($isForStrangers && $isKnown)) {
                throw new TooManyTries(max(1, $this->failures->availableIn($name)), $isForStrangers);
            }
        }
        $user = User::query()->where('email', trim($email))->first();
        $nobody = sprintf('$2y$%02d$%s', $this->rounds, self::NOBODY);
        $isRight = $this->hasher->check($password, $user->password ?? $nobody);
        if ($user === null || ! $isRight) {
            foreach ($limits as $name => [, $seconds]) {
                $this->failures->hit($name, $seconds);
            }

            return null;
        }
        $this->failures->clear("sign-in:$account:$place");

        return $user;
    }

    /** An account as it is noted, whether it is there or not. */
    public static function account(string $email): string
    {
        return hash('xxh128', mb_strtolower(trim($email)));
    }

    /** Of version 6, a household has a network of its own: the first 64 bits. */
    public static function network(string $place): string
    {
        $packed = @inet_pton($place);

        return $packed !== false && strlen($packed) === 16 ? (string) inet_ntop(substr($packed, 0, 8).str_repeat("\0", 8)) : $place;
    }
}
