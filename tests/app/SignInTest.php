<?php

declare(strict_types=1);

namespace Tests\app;

use App\Host\HeldLock;
use App\Host\HostLocks;
use App\Host\LockIsHeld;
use App\People\SignIn;
use Illuminate\Cache\RateLimiter;
use Illuminate\Contracts\Hashing\Hasher;
use Tests\TestCase;

/** Guessing is slow, nobody is locked out, and nobody learns who has an account. */
final class SignInTest extends TestCase
{
    /** @var list<float> seconds that somebody had to wait */
    private array $waited = [];

    /** Passwords that were compared. */
    private int $compared = 0;

    private function signIn(): SignIn
    {
        $hasher = $this->createStub(Hasher::class);
        $hasher->method('check')->willReturnCallback(function (string $password, string $hash): bool {
            $this->compared++;

            return password_verify($password, $hash);
        });

        return new SignIn(
            $this->app->make(RateLimiter::class),
            $hasher,
            $this->app->make(HostLocks::class),
            4,
            function (float $seconds): void {
                $this->waited[] = $seconds;
            },
        );
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->ownerOf($this->site());
        $this->ownerOf($this->site('Theirs'), 'other@theirs.example');
    }

    public function test_guessing_an_account_is_slowed_and_the_right_password_is_let_in(): void
    {
        $signIn = $this->signIn();
        for ($try = 0; $try < 5; $try++) {
            self::assertNull($signIn->who('owner@quillmoor.example', "guess $try", '192.0.2.1'));
        }
        self::assertSame([], $this->waited);
        self::assertNull($signIn->who('OWNER@quillmoor.example ', 'guess', '192.0.2.9'));
        self::assertCount(1, $this->waited, 'from wherever it is tried');
        self::assertSame('owner@quillmoor.example', $signIn->who('owner@quillmoor.example', 'a password', '192.0.2.1')?->email);
        self::assertCount(2, $this->waited, 'the right one goes the slow way too');
        $signIn->who('owner@quillmoor.example', 'a password', '192.0.2.1');
        self::assertCount(2, $this->waited, 'and then there is no more need');
    }

    public function test_many_guesses_from_one_place_lock_nobody_out(): void
    {
        $signIn = $this->signIn();
        for ($try = 0; $try < 60; $try++) {
            self::assertNull($signIn->who("nobody$try@example.org", 'guess', '192.0.2.1'));
        }
        self::assertCount(30, $this->waited);
        self::assertNotNull($signIn->who('other@theirs.example', 'a password', '192.0.2.1'));
        $this->waited = [];
        self::assertNotNull($signIn->who('other@theirs.example', 'a password', '192.0.2.2'));
        self::assertSame([], $this->waited, 'elsewhere nobody notices');
    }

    public function test_an_account_that_is_not_there_costs_as_much_as_one_that_is(): void
    {
        $signIn = $this->signIn();
        $signIn->who('owner@quillmoor.example', 'guess', '192.0.2.1');
        self::assertSame(1, $this->compared);
        $signIn->who('nobody@example.org', 'guess', '192.0.2.1');
        self::assertSame(2, $this->compared);
        self::assertNull($signIn->who('nobody@example.org', '', '192.0.2.1'));
    }

    public function test_those_who_stand_in_line_leave_others_a_place(): void
    {
        $signIn = $this->signIn();
        for ($try = 0; $try < 5; $try++) {
            $signIn->who('owner@quillmoor.example', 'guess', '192.0.2.1');
        }
        $locks = $this->app->make(HostLocks::class);
        $held = [$locks->oneOf('sign-in-slowly', 2), $locks->oneOf('sign-in-slowly', 2)];
        self::assertNotNull($signIn->who('other@theirs.example', 'a password', '192.0.2.1'), 'whoever did not fail goes past them');
        try {
            $signIn->who('owner@quillmoor.example', 'a password', '192.0.2.1');
            self::fail('both places were taken');
        } catch (LockIsHeld) {
            array_map(fn (?HeldLock $lock) => $lock?->release(), $held);
        }
        self::assertNotNull($signIn->who('owner@quillmoor.example', 'a password', '192.0.2.1'), 'once a place is free');
    }
}
