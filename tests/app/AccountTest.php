<?php

declare(strict_types=1);

namespace Tests\app;

use App\Models\User;
use App\People\GoodPassword;
use App\People\Mailbox;
use App\People\NewPasswordMail;
use App\People\SendNewPassword;
use App\People\Sessions;
use Gnomic\Brief\Brief;
use Gnomic\Json\Value;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Mime\Email;
use Tests\TestCase;

/** One's own account: passwords, where one is signed in, and what has happened. */
final class AccountTest extends TestCase
{
    private User $owner;

    protected function setUp(): void
    {
        parent::setUp();
        $this->owner = $this->ownerOf($this->site());
        $this->ownerOf($this->site('Theirs'), 'other@theirs.example');
    }

    /**
     * @param  array<string, mixed>  $body
     * @return TestResponse<Response>
     */
    private function ask(string $method, string $path, array $body = [], ?string $at = null): TestResponse
    {
        $response = $this->json($method, '/api'.($at ?? $path), $body);
        Contract::assertKept($method, $path, $response);

        return $response;
    }

    private function signIn(string $password = 'a password'): void
    {
        $this->ask('post', '/session', ['email' => $this->owner->email, 'password' => $password])->assertOk();
    }

    public function test_a_password_is_changed_by_whoever_knows_it(): void
    {
        $this->signIn();
        DB::table('sign_ins')->insert(['user_id' => $this->owner->id, 'digest' => 'elsewhere', 'browser' => 'Firefox on Linux', 'created_at' => now(), 'seen_at' => now(), 'ends_at' => now()->addDay()]);
        $this->ask('put', '/password', ['current' => 'wrong', 'password' => 'seven stars over the dome'])->assertUnprocessable();
        foreach (['short', 'password123', 'Password1234!', 'aaaaaaaaaaaa', 'owner@quillmoor.example', str_repeat('ab', 40), 'qwertyuiop', '1234567890'] as $bad) {
            $this->ask('put', '/password', ['current' => 'a password', 'password' => $bad])->assertUnprocessable();
        }
        self::assertSame(2, DB::table('sign_ins')->count());
        $this->ask('put', '/password', ['current' => 'a password', 'password' => 'seven stars over the dome'])->assertNoContent();
        self::assertSame(1, DB::table('sign_ins')->count(), 'all others are ended');
        $this->ask('get', '/session')->assertOk();
        $events = array_column((array) $this->ask('get', '/account')->json('events'), 'times', 'kind');
        self::assertSame(['password' => 1, 'guess' => 1, 'sign-in' => 1], $events);
    }

    public function test_a_password_is_set_by_an_email_once(): void
    {
        Mail::fake();
        $told = $this->ask('post', '/password/link', ['email' => $this->owner->email])->assertAccepted()->getContent();
        self::assertSame($told, $this->ask('post', '/password/link', ['email' => 'nobody@quillmoor.example'])->assertAccepted()->getContent(), 'it tells nobody who there is');
        $address = '';
        Mail::assertSent(NewPasswordMail::class, function (NewPasswordMail $mail) use (&$address): bool {
            $address = $mail->address;

            return $mail->hasTo($this->owner->email) && str_contains($mail->render(), $mail->address);
        });
        Mail::assertSentCount(1);
        parse_str((string) parse_url($address, PHP_URL_FRAGMENT), $of);
        $set = fn (string $token, string $password = 'seven stars over the dome', ?string $email = null): TestResponse => $this->ask('post', '/password/set', ['email' => $email ?? $this->owner->email, 'token' => $token, 'password' => $password]);
        $token = Value::text($of['set-password'] ?? '');
        $set('forged')->assertUnprocessable();
        $set($token, 'password123')->assertUnprocessable();
        $set($token, email: 'other@theirs.example')->assertUnprocessable();
        $this->signIn();
        $set($token)->assertNoContent();
        $set($token, 'another one of them')->assertUnprocessable();
        // Whoever was signed in by the old one is not any more.
        $this->app['auth']->forgetGuards();
        $this->ask('get', '/session')->assertUnauthorized();
        $this->signIn('seven stars over the dome');
        $late = (string) app('auth.password.broker')->createToken($this->owner->refresh());
        $this->travel(31)->minutes();
        $set($late)->assertUnprocessable();
    }

    public function test_whether_there_is_an_account_cannot_be_told_by_waiting(): void
    {
        Queue::fake();
        foreach ([$this->owner->email, 'nobody@quillmoor.example'] as $email) {
            $this->ask('post', '/password/link', ['email' => $email])->assertAccepted();
        }
        self::assertCount(2, $this->queued(SendNewPassword::class), 'what takes time is done by another process');
    }

    public function test_a_screen_left_open_is_no_place_to_guess(): void
    {
        $this->signIn();
        for ($try = 0; $try < 5; $try++) {
            $this->ask('put', '/password', ['current' => "guess $try", 'password' => 'seven stars over the dome'])->assertUnprocessable();
        }
        $this->ask('put', '/password', ['current' => 'a password', 'password' => 'seven stars over the dome'])->assertTooManyRequests();
        $this->ask('post', '/password/confirm', ['password' => 'a password'])->assertTooManyRequests();
    }

    public function test_guessing_does_not_close_the_way_by_mail(): void
    {
        Mail::fake();
        for ($try = 0; $try < 8; $try++) {
            $this->postJson('/api/session', ['email' => $this->owner->email, 'password' => 'guess']);
        }
        $this->ask('post', '/password/link', ['email' => $this->owner->email])->assertAccepted();
        Mail::assertSentCount(1);
        $this->actingAs($this->owner);
        $guesses = array_column((array) $this->ask('get', '/account')->json('events'), 'times', 'kind')['guess'] ?? 0;
        self::assertSame(5, $guesses, 'alike ones are one line');
    }

    public function test_sessions_are_listed_and_ended(): void
    {
        $this->withHeader('User-Agent', 'Mozilla/5.0 (X11; Linux x86_64) Firefox/140.0')->signIn();
        $other = DB::table('sign_ins')->insertGetId(['user_id' => $this->owner->id, 'digest' => 'elsewhere', 'browser' => 'Safari on iPhone', 'created_at' => now(), 'seen_at' => now()->subHour(), 'ends_at' => now()->addDay()]);
        $theirs = DB::table('sign_ins')->insertGetId(['user_id' => User::query()->where('email', 'other@theirs.example')->value('id'), 'digest' => 'theirs', 'browser' => 'x', 'created_at' => now(), 'seen_at' => now(), 'ends_at' => now()->addDay()]);
        $account = $this->ask('get', '/account')->assertOk();
        self::assertSame([['Firefox on Linux', true], ['Safari on iPhone', false]], array_map(fn (array $one): array => [$one['browser'], $one['here']], (array) $account->json('sessions')));
        foreach ([$theirs, 999_999, 'x'] as $id) {
            $this->ask('delete', '/account/sessions/{id}', [], "/account/sessions/$id")->assertNotFound();
        }
        $this->ask('delete', '/account/sessions/{id}', [], "/account/sessions/$other")->assertNoContent();
        $this->ask('get', '/account')->assertJsonCount(1, 'sessions');
        $this->ask('delete', '/account/sessions')->assertNoContent();
        $this->ask('get', '/session')->assertOk();
        // Ended from elsewhere, or over.
        DB::table('sign_ins')->where('user_id', $this->owner->id)->update(['ends_at' => now()->subSecond()]);
        $this->ask('get', '/account')->assertUnauthorized();
        self::assertSame(1, DB::table('sign_ins')->where('digest', 'theirs')->count());
    }

    public function test_what_removes_much_wants_the_password_again(): void
    {
        $site = $this->owner->sites()->firstOrFail();
        $key = $this->source($site)->key;
        $this->signIn();
        $remove = fn (string $more = ''): TestResponse => $this->ask('delete', '/sources/{key}', [], "/sources/$key$more");
        $remove()->assertOk();
        $remove('?removed=0')->assertOk();
        $this->travel(16)->minutes();
        $remove()->assertStatus(428)->assertJson(['needs' => 'password']);
        $remove('?removed=0')->assertOk();
        $this->ask('post', '/password/confirm', ['password' => 'wrong'])->assertUnprocessable();
        $remove()->assertStatus(428);
        $this->ask('post', '/password/confirm', ['password' => 'a password'])->assertNoContent();
        $remove()->assertOk();
        $events = (array) $this->ask('get', '/account')->json('events');
        self::assertSame(['A source was removed', 'A wrong password was entered by somebody who was signed in', 'A source was brought back'], array_column(array_slice($events, 0, 3), 'what'));
        $site->widgets()->create(['key' => 'account1', 'name' => 'Words', 'brief' => Brief::usual()->toArray()]);
        $this->travel(16)->minutes();
        $this->ask('delete', '/widgets/{key}', [], '/widgets/account1')->assertStatus(428);
        $this->ask('delete', '/widgets/{key}', [], '/widgets/account1?removed=0')->assertNoContent();
    }

    public function test_signing_out_ends_the_session_for_good(): void
    {
        $this->signIn();
        $mark = session(Sessions::MARK);
        $this->ask('delete', '/session')->assertNoContent();
        self::assertSame(0, DB::table('sign_ins')->where('digest', hash('sha256', (string) $mark))->count());
    }

    public function test_what_everybody_tries_first_is_refused(): void
    {
        $good = new GoodPassword('mira@quillmoor.example');
        foreach (['1q2w3e4r5t', 'iloveyou123', 'football2024', 'Sunshine1!', 'MIRA@quillmoor.example', 'princess99', '0987654321', 'qwerty12345', 'abababababab', 'mira1234567'] as $bad) {
            self::assertNotNull($good->wrong($bad), $bad);
        }
        foreach (['seven stars over the dome', 'Zq8#vTr2-Lm', 'correct horse battery staple', 'Überraschung im Observatorium', '七颗星星在圆顶之上闪闪发光'] as $fine) {
            self::assertNull($good->wrong($fine), $fine);
        }
    }

    public function test_letters_without_a_server_lie_in_a_file(): void
    {
        $file = getenv('GNOMIC_DATA').'/mailbox-test';
        @unlink($file);
        foreach (['One', "Two\n\nFrom here on"] as $words) {
            (new Mailbox($file))->send((new Email)->from('gnomic@quillmoor.example')->to('mira@quillmoor.example')->subject($words === 'One' ? 'First' : 'Second')->text($words));
        }
        $box = (string) file_get_contents($file);
        self::assertSame(2, preg_match_all('/^From gnomic /m', $box));
        self::assertStringContainsString('>From here on', $box);
        self::assertSame('0640', substr(sprintf('%o', fileperms($file)), -4));
    }
}
