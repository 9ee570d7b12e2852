<?php

declare(strict_types=1);

namespace Tests\app;

use App\Models\EntryRecord;
use App\Models\Grant;
use App\Models\Round;
use App\Models\RoundOutcome;
use App\Models\Site;
use App\Models\Source;
use App\Sources\Rounds\Rounds;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

/** Granting access as an owner does it, against the stand-ins: begun here, decided there, come back, renewed, taken back. */
final class AccessTest extends TestCase
{
    use Servers;

    private Site $site;

    private function begun(): void
    {
        Queue::fake();
        $this->startStandins();
        $this->site = $this->site();
        $this->actingAs($this->ownerOf($this->site));
    }

    /**
     * What happens on the service's consent page.
     *
     * @param  array<string, string>  $with
     * @return string where the owner is sent back to
     */
    private function decide(string $address, array $with): string
    {
        parse_str((string) parse_url($address, PHP_URL_QUERY), $query);
        $page = (string) file_get_contents($address);
        self::assertStringContainsString('asks to', $page);
        $context = stream_context_create(['http' => ['method' => 'POST', 'header' => 'Content-Type: '
            .'application/x-www-form-urlencoded', 'follow_location' => 0,
            'content' => http_build_query(
                array_intersect_key($query, array_flip(['redirect_uri', 'state', 'scope', 'code_challenge']))
                    + $with,
            )]]);
        file_get_contents((string) strtok($address, '?'), false, $context);
        $back = array_values(array_filter($http_response_header, fn (string $line): bool => str_starts_with($line, 'Location: ')))[0];

        return (string) preg_replace('~^Location: https?://[^/]+~', '', $back);
    }

    private function granted(string $channel, string $account): Grant
    {
        $address = (string) $this->postJson("/api/grants/$channel")->assertOk()->json('address');
        $this->get($this->decide($address, ['decision' => 'allow', 'account' => $account]))->assertRedirect();

        return Grant::query()->latest('id')->firstOrFail();
    }

    private function roundOf(Source $source): Round
    {
        return $this->app->make(Rounds::class)->run($source) ?? self::fail('another round is under way');
    }

    private function connected(string $channel, string $address, ?Grant $grant): Source
    {
        $key = $this->postJson(
            '/api/sources',
            ['channel' => $channel, 'address' => $address, 'name' => $address, 'grant' => $grant?->id],
        )->assertCreated()->json('key');

        return Source::query()->where('key', $key)->firstOrFail();
    }

    public function test_granted_used_renewed_and_taken_back(): void
    {
        $this->begun();
        $grant = $this->granted('ticketwick', 'box');
        self::assertSame('Quillmoor box office', $grant->account);
        $this->assertDatabaseMissing('grants', ['access' => $grant->access]);
        self::assertCount(3, $this->getJson("/api/grants/$grant->id/choices")->assertOk()->json('choices'));

        $source = $this->connected('ticketwick', 'tv-dome', $grant);
        $round = $this->roundOf($source);
        self::assertSame([RoundOutcome::Changed, 40], [$round->outcome, $round->added], (string) $round->reason);
        self::assertSame(10.0, (float) ($source->refresh()->figures['best'] ?? 0));
        self::assertSame(40, $source->figures['count'] ?? 0);
        self::assertSame(RoundOutcome::Unchanged, $this->roundOf($source)->outcome);

        // It ends before its time: renewed on the way.
        $before = $grant->access;
        $this->control(['do' => 'expire', 'service' => 'ticketwick']);
        self::assertSame(RoundOutcome::Unchanged, $this->roundOf($source)->outcome);
        self::assertNotSame($before, $grant->refresh()->access);

        // It is about to end: renewed before.
        $before = $grant->access;
        $grant->update(['expires_at' => now()->addSeconds(30)]);
        self::assertSame(RoundOutcome::Unchanged, $this->roundOf($source)->outcome);
        self::assertNotSame($before, $grant->refresh()->access);

        $this->control(['do' => 'unrate']);
        self::assertSame(1, $this->roundOf($source)->gone);

        $this->control(['do' => 'withdraw', 'service' => 'ticketwick']);
        $round = $this->roundOf($source);
        self::assertSame(RoundOutcome::Failed, $round->outcome);
        self::assertStringContainsString('Grant it again. Everything collected so far is kept', (string) $round->reason);
        self::assertSame(40, $source->entries()->count());
        self::assertSame('ended', $this->getJson("/api/sources/$source->key")->json('state'));

        $again = $this->granted('ticketwick', 'box');
        self::assertSame([$grant->id, null], [$again->id, $again->ended_at], 'the same grant, and the sources behind it go on');
        self::assertNotSame(RoundOutcome::Failed, $this->roundOf($source->refresh())->outcome);
    }

    public function test_refused_forged_and_used_twice(): void
    {
        $this->begun();
        $address = (string) $this->postJson('/api/grants/shutterfen')->json('address');
        $this->get($this->decide($address, ['decision' => 'refuse']))->assertRedirectContains('refused=You+refused+access');
        // Whoever was sent back once cannot be sent back again, nor with another's state.
        $this->get('/grants/shutterfen/return?code=x&state=y')->assertRedirectContains('does+not+match+the+request');
        $address = (string) $this->postJson('/api/grants/shutterfen')->json('address');
        $this->get('/grants/shutterfen/return?code=x&state=forged')->assertRedirectContains('does+not+match+the+request');
        $address = (string) $this->postJson('/api/grants/shutterfen')->json('address');
        parse_str((string) parse_url($address, PHP_URL_QUERY), $query);
        $state = $query['state'] ?? '';
        $this->get('/grants/shutterfen/return?code=made-up&state='.(is_string($state) ? $state : ''))->assertRedirectContains('did+not+accept+the+answer');
        self::assertSame(0, Grant::query()->count());
    }

    public function test_a_photo_account_with_its_hashtags_and_mentions(): void
    {
        $this->begun();
        $grant = $this->granted('shutterfen', 'quill');
        foreach (['photos' => 30, 'mentions' => 5, '#nightsky #saturn' => 10] as $address => $count) {
            $source = $this->connected('shutterfen', (string) $address, $grant);
            self::assertSame($count, $this->roundOf($source)->added, (string) $address);
        }
        $entry = (EntryRecord::ofRefs($this->site, ['photos:sf7000'])['photos:sf7000'] ?? self::fail('no post'))->toCore();
        self::assertSame(['post', 'Quillmoor Observatory'], [$entry->kind->value, $entry->author->name]);
        self::assertNotSame([], $entry->tags);
        self::assertSame(1280, $entry->media[0]->width, 'the smallest that is wide enough');
        self::assertNotNull($entry->likes);
        $media = array_map(fn (EntryRecord $one): array => $one->toCore()->media, EntryRecord::query()->get()->all());
        $film = array_values(array_filter($media, fn (array $of): bool => count($of) === 2))[0] ?? self::fail('no film');
        self::assertSame(['image', 'video'], [$film[0]->type, $film[1]->type], 'a film has its still');
        $this->patchJson(
            '/api/sources/photos',
            ['profile' => ['name' => 'The hill', 'picture' => "$this->standins/pictures/hill.png", 'bio' => 'Stars.']],
        )->assertOk()->assertJsonPath('profile.bio', 'Stars.');
        $shown = $this->postJson('/api/proof', ['brief' => ['version' => 1, 'gather' => ['sources' => ['photos']]]])->assertOk();
        self::assertStringContainsString('The hill', (string) $shown->json('fragment'), 'the account is shown as its owner wants it');
        Source::query()->where('address', 'photos')->update(
            ['profile' => json_encode(['bio' => 'An upland public observatory. Gloves, please.'])],
        );
        self::assertSame(
            'An upland public observatory. Gloves, please.',
            Source::query()->where('address', 'photos')->firstOrFail()->profile['bio'] ?? null,
        );
    }

    public function test_a_private_account_is_told(): void
    {
        $this->begun();
        $source = $this->connected('shutterfen', 'photos', $this->granted('shutterfen', 'hidden'));
        self::assertStringContainsString('the account is private; make it public there', (string) $this->roundOf($source)->reason);
    }

    public function test_boards_by_token(): void
    {
        $this->begun();
        self::assertStringContainsString('wants a token', (string) $this->getJson('/api/boards')->assertUnprocessable()->json('message'));
        $this->putJson('/api/credentials/corkwall', ['secret' => 'wl-demo-key-7Q2M'])->assertNoContent();
        self::assertStringContainsString(
            'for another service',
            (string) $this->getJson('/api/boards')->assertUnprocessable()->json('message'),
        );
        $this->putJson('/api/credentials/corkwall', ['secret' => 'ck-5d1e-demo-board'])->assertNoContent();
        self::assertSame(
            ['Night skies', 'Plates from the nineteen-twenties', 'For later'],
            array_column($this->getJson('/api/boards')->json('choices'), 'name'),
        );
        self::assertSame(7, $this->roundOf($this->connected('corkwall', 'night-skies', null))->added);
        self::assertSame(0, $this->roundOf($this->connected('corkwall', 'empty-board', null))->added);
    }

    public function test_keys_that_are_new_for_another_site_or_used_up(): void
    {
        $this->begun();
        $source = $this->source($this->site, 'the-dome', 'wayleaf', 'wl-dome');
        $this->withKey($this->site, 'wl-fresh-key-9T1R');
        $round = $this->roundOf($source);
        self::assertStringContainsString('not active yet; Gnomic will try again', (string) $round->reason);
        self::assertLessThanOrEqual(
            90,
            now()->diffInSeconds($source->refresh()->next_at),
            'it asks again soon, and not before the service said',
        );
        $this->site->update(['address' => 'elsewhere.example']);
        $this->withKey($this->site, 'wl-site-key-4H8C');
        self::assertStringContainsString('kept for another site', (string) $this->roundOf($source)->reason);
        $this->site->update(['address' => 'quillmoor.example']);
        self::assertSame(98, $this->roundOf($source->refresh())->added);
        self::assertSame(20, $source->refresh()->quota['used'] ?? null);
        $this->control(['do' => 'quota', 'left' => 3]);
        self::assertStringContainsString('quota is used up', (string) $this->roundOf($source)->reason);
        self::assertSame(98, $source->entries()->where('gone', false)->count());
    }

    public function test_pages_that_mark_up_their_reviews(): void
    {
        $this->begun();
        foreach (['items/star-wheel' => 4, 'items/red-lantern' => 3, 'items/moon-atlas' => 2] as $path => $count) {
            $source = $this->connected('page', "$this->standins/barrowfair/$path", null);
            $round = $this->roundOf($source);
            self::assertSame($count, $round->added, "$path: $round->reason");
            self::assertSame(RoundOutcome::Unchanged, $this->roundOf($source)->outcome);
        }
        self::assertSame(8, Source::query()->where('address', 'like', '%star-wheel')->firstOrFail()->figures['count'] ?? null);
        $this->postJson(
            '/api/look',
            ['address' => "$this->standins/barrowfair/stalls/quillmoor"],
        )->assertOk()->assertJsonCount(3, 'page.about');
        $of = $this->postJson(
            '/api/sources',
            ['channel' => 'page', 'address' => "$this->standins/barrowfair/stalls/quillmoor", 'name' => 'Lantern', 'of' => 'Red Lantern'],
        )->json('key');
        self::assertSame(3, $this->roundOf(Source::query()->where('key', $of)->firstOrFail())->added);
        $this->postJson(
            '/api/look',
            ['address' => "$this->standins/ticketwick/venues/tv-dome"],
        )->assertOk()->assertJsonPath('other.channel', 'ticketwick');
    }

    public function test_the_studio_says_what_browsers_may_do_with_it(): void
    {
        config(['app.url' => 'https://reviews.quillmoor.example']);
        $told = $this->get('/sources')->headers;
        self::assertSame('max-age=31536000', $told->get('Strict-Transport-Security'));
        self::assertSame('same-origin', $told->get('Cross-Origin-Opener-Policy'));
        self::assertStringContainsString('camera=()', (string) $told->get('Permissions-Policy'));
        config(['app.url' => 'http://127.0.0.1:8080']);
        self::assertNull($this->get('/sources')->headers->get('Strict-Transport-Security'), 'where it is not protected, nothing is promised');
    }

    public function test_a_website_is_of_the_web(): void
    {
        $site = $this->site();
        $this->actingAs($this->ownerOf($site));
        foreach (['ftp://quillmoor.example/', 'javascript:alert(1)', 'data:text/html,x', 'file:///etc/passwd', 'https://a@quillmoor.example/', 'https://a:b@quillmoor.example/', 'https://quillmoor.example\\@evil.example/',
            'https://', 'https://quillmoor.example:/', 'https://quillmoor.example:123456/', 'mailto:a@b.example', '//quillmoor.example', 'https:///x', "https://quill\nmoor.example/", 'vbscript:x', 'http:quillmoor.example'] as $website) {
            $this->patchJson('/api/site', ['website' => $website])->assertUnprocessable();
        }
        foreach (['quillmoor.example', 'https://quillmoor.example', 'http://quillmoor.example:8080/de/', 'localhost:8080', 'HTTPS://Quillmoor.example/x?y'] as $website) {
            $this->patchJson('/api/site', ['website' => $website])->assertOk();
        }
    }

    public function test_odd_widths_of_a_proof_are_told(): void
    {
        $site = $this->site();
        $this->actingAs($this->ownerOf($site));
        foreach (['x', ['a' => 500], [[500]], [null], ['500px'], [500.5], [99], [4_001], [true], [-1], array_fill(0, 7, 500), [1 => 500], ['' => 500], [['a' => 1]], 500, ['1e3'], [1e308]] as $widths) {
            $this->postJson('/api/proof', ['brief' => ['version' => 4], 'widths' => $widths])->assertUnprocessable();
        }
        foreach ([[], [100], [390, 1280], null] as $widths) {
            self::assertContains($this->postJson('/api/proof', ['brief' => ['version' => 4], 'widths' => $widths])->status(), [200, 422]);
        }
    }
}
