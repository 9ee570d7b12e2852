<?php

declare(strict_types=1);

namespace Tests\app;

use App\People\KnownBrowser;
use App\People\SignIn;
use App\People\TooManyTries;
use Illuminate\Cache\RateLimiter;
use Illuminate\Contracts\Hashing\Hasher;
use Symfony\Component\HttpFoundation\Cookie;
use Tests\TestCase;

/** Whoever guesses is sent away at once, nobody is locked out, and nobody learns who has an account. */
final class SignInTest extends TestCase
{
    /** Passwords that were compared. */
    private int $compared = 0;

    private function signIn(): SignIn
    {
        $hasher = $this->createStub(Hasher::class);
        $hasher->method('check')->willReturnCallback(function (string $password, string $hash): bool {
            $this->compared++;

            return password_verify($password, $hash);
        });

        return new SignIn($this->app->make(RateLimiter::class), $hasher, 4);
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->ownerOf($this->site());
        $this->ownerOf($this->site('Theirs'), 'other@theirs.example');
    }

    private function sentAway(SignIn $signIn, string $email, string $place, bool $isKnown = false): ?TooManyTries
    {
        $before = $this->compared;
        try {
            $signIn->who($email, 'a password', $place, $isKnown);

            return null;
        } catch (TooManyTries $tries) {
            self::assertSame($before, $this->compared, 'nothing is compared, and nobody waits');
            self::assertGreaterThan(0, $tries->seconds);

            return $tries;
        }
    }

    public function test_guessing_an_account_from_one_place_locks_out_nobody_else(): void
    {
        $signIn = $this->signIn();
        for ($try = 0; $try < 5; $try++) {
            self::assertNull($signIn->who('owner@quillmoor.example', "guess $try", '192.0.2.1', false));
        }
        self::assertNotNull($this->sentAway($signIn, 'OWNER@quillmoor.example ', '192.0.2.1'));
        self::assertNull($this->sentAway($signIn, 'owner@quillmoor.example', '192.0.2.9'), 'elsewhere nobody notices');
        self::assertNull($this->sentAway($signIn, 'other@theirs.example', '192.0.2.1'), 'nor with another account');
        $this->travel(61)->seconds();
        self::assertNull($this->sentAway($signIn, 'owner@quillmoor.example', '192.0.2.1'));
    }

    public function test_a_network_of_version_6_is_one_place(): void
    {
        $signIn = $this->signIn();
        for ($try = 0; $try < 5; $try++) {
            $signIn->who('owner@quillmoor.example', 'guess', "2001:db8:1:2::$try", false);
        }
        self::assertNotNull($this->sentAway($signIn, 'owner@quillmoor.example', '2001:db8:1:2:ffff::1'));
        self::assertNull($this->sentAway($signIn, 'owner@quillmoor.example', '2001:db8:1:3::1'));
    }

    public function test_many_guesses_from_one_place_are_sent_away(): void
    {
        $signIn = $this->signIn();
        for ($try = 0; $try < 30; $try++) {
            self::assertNull($signIn->who("nobody$try@example.org", 'guess', '192.0.2.1', false));
        }
        self::assertNotNull($this->sentAway($signIn, 'nobody99@example.org', '192.0.2.1'));
        self::assertNull($this->sentAway($signIn, 'other@theirs.example', '192.0.2.2'));
    }

    public function test_past_a_hundred_guesses_an_hour_only_browsers_that_were_there_before_may_try(): void
    {
        $signIn = $this->signIn();
        for ($try = 0; $try < 100; $try++) {
            $signIn->who('owner@quillmoor.example', 'guess', "198.51.100.$try", false);
        }
        $strange = $this->sentAway($signIn, 'owner@quillmoor.example', '192.0.2.1');
        self::assertNotNull($strange);
        self::assertTrue($strange->isForStrangers);
        self::assertStringContainsString('by e-mail', $strange->getMessage());
        self::assertNull($this->sentAway($signIn, 'owner@quillmoor.example', '192.0.2.1', isKnown: true));
        self::assertNull($this->sentAway($signIn, 'other@theirs.example', '192.0.2.1'));
        $this->travel(61)->minutes();
        self::assertNull($this->sentAway($signIn, 'owner@quillmoor.example', '192.0.2.1'));
    }

    public function test_a_browser_is_known_by_a_cookie_that_nobody_can_make(): void
    {
        $this->withMiddleware();
        $in = $this->postJson('/api/session', ['email' => 'owner@quillmoor.example', 'password' => 'a password'])->assertOk();
        $cookie = $in->getCookie(KnownBrowser::COOKIE);
        self::assertInstanceOf(Cookie::class, $cookie);
        self::assertTrue($cookie->isHttpOnly());
        self::assertSame([SignIn::account('owner@quillmoor.example')], json_decode((string) $cookie->getValue(), true));
        self::assertStringNotContainsString(SignIn::account('owner@quillmoor.example'), (string) $in->headers->get('Set-Cookie'), 'it is encrypted');
    }

    public function test_many_tries_are_answered_at_once(): void
    {
        for ($try = 0; $try < 5; $try++) {
            $this->postJson('/api/session', ['email' => 'owner@quillmoor.example', 'password' => 'guess'])->assertUnprocessable();
        }
        $told = $this->postJson('/api/session', ['email' => 'owner@quillmoor.example', 'password' => 'a password'])->assertTooManyRequests();
        self::assertGreaterThan(0, (int) $told->headers->get('Retry-After'));
    }

    public function test_an_account_that_is_not_there_costs_as_much_as_one_that_is(): void
    {
        $signIn = $this->signIn();
        $signIn->who('owner@quillmoor.example', 'guess', '192.0.2.1', false);
        self::assertSame(1, $this->compared);
        $signIn->who('nobody@example.org', 'guess', '192.0.2.1', false);
        self::assertSame(2, $this->compared);
        self::assertNull($signIn->who('nobody@example.org', '', '192.0.2.1', false));
    }
}
