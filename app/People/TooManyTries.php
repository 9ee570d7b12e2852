<?php

declare(strict_types=1);

namespace App\People;

use RuntimeException;

/** Somebody has guessed too often. */
final class TooManyTries extends RuntimeException
{
    /**
     * @param  int  $seconds  after which another try is listened to
     * @param  bool  $isForStrangers  whether it is only browsers that have not signed in before that are sent away
     */
    public function __construct(public readonly int $seconds, public readonly bool $isForStrangers)
    {
        parent::__construct($isForStrangers
            ? 'Too many passwords have been tried on this account. For now, only browsers that have signed in to it before may try. '
                .'You can set a new password by e-mail.'
            : 'Too many attempts. Wait a minute, or set a new password by e-mail.');
    }
}
