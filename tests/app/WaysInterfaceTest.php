<?php

declare(strict_types=1);

namespace Tests\app;

use App\Models\EntryRecord;
use App\Models\Grant;
use App\Models\RoundOutcome;
use App\Models\Site;
use App\Models\Subject;
use App\Sources\Rounds\Rounds;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** The ways in through the studio's interface, held against its description; and that nobody reaches into another's site. */
final class WaysInterfaceTest extends TestCase
{
    use Servers;

    /**
     * @param  array<string, mixed>  $data
     * @return TestResponse<Response>
     */
    private function ask(string $method, string $path, array $data = [], ?string $at = null): TestResponse
    {
        $response = $this->json(strtoupper($method), '/api'.($at ?? $path), $data);
        Contract::assertKept($method, (string) strtok($path, '?'), $response);

        return $response;
    }

    private function owned(): Site
    {
        Queue::fake();
        $site = $this->site();
        $this->actingAs($this->ownerOf($site));

        return $site;
    }

    private function granted(Site $site): Grant
    {
        return $site->grants()->create([
            'channel' => 'ticketwick',
            'account' => 'Box office',
            'scopes' => ['venues'],
            'access' => 'secret-access',
            'refresh' => 'secret-refresh',
            'expires_at' => now()->addHour(),
        ]);
    }

    public function test_sources_tell_all_that_an_owner_asks_of_them(): void
    {
        $site = $this->owned();
        $source = $this->source($site, 'the-dome', 'ticketwick', 'tv-dome');
        $source->update([
            'grant_id' => $this->granted($site)->id,
            'subject_id' => Subject::named($site, 'The Dome')->id,
            'figures' => ['value' => 8.9, 'best' => 10, 'worst' => 0, 'count' => 40],
            'quota' => ['used' => 3, 'limit' => 100],
        ]);
        $told = $this->ask('get', '/sources')->assertOk()->json('sources.0');
        self::assertSame(
            ['The Dome', '8.9 of 10', 40, 3, 'Box office', null, true],
            [
                $told['subject'],
                $told['figures']['mean'],
                $told['figures']['count'],
                $told['quota']['used'],
                $told['granted']['account'],
                $told['granted']['ended'],
                $told['isAsked'],
            ],
        );
        self::assertStringNotContainsString('secret', (string) json_encode($told), 'tokens never leave');
        $this->ask(
            'patch',
            '/sources/{key}',
            ['subject' => 'Another place', 'showsGone' => true],
            '/sources/the-dome',
        )->assertOk()->assertJsonPath('subject', 'Another place')->assertJsonPath('showsGone', true);
        $this->ask('patch', '/sources/{key}', ['subject' => null], '/sources/the-dome')->assertOk()->assertJsonPath('subject', null);
        $this->ask(
            'patch',
            '/sources/{key}',
            ['profile' => ['name' => 'X', 'picture' => 'javascript:alert(1)']],
            '/sources/the-dome',
        )->assertUnprocessable();
    }

    public function test_what_was_noted_of_a_subject_is_known_when_it_is_connected(): void
    {
        $site = $this->owned();
        $this->ask('post', '/subjects', ['name' => 'The Dome', 'kind' => 'Venue'])->assertCreated();
        $this->ask(
            'put',
            '/subjects/{key}/addresses',
            ['channel' => 'wayleaf', 'address' => config('gnomic.channels.wayleaf.address').'/places/wl-dome', 'keep' => true],
            '/subjects/the-dome/addresses',
        )->assertNoContent();
        $this->ask('get', '/subjects')->assertJsonPath(
            'subjects.0.cells.0.addresses.0',
            ['address' => 'wl-dome', 'source' => null, 'state' => 'known', 'entries' => 0],
        );
        $this->ask(
            'post',
            '/sources',
            ['channel' => 'wayleaf', 'address' => 'wl-dome', 'name' => 'Dome'],
        )->assertCreated()->assertJsonPath('subject', 'The Dome');
        $this->ask('get', '/subjects')->assertJsonPath('subjects.0.cells.0.addresses.0.source', 'dome');
        $this->ask(
            'put',
            '/subjects/{key}/addresses',
            ['channel' => 'wayleaf', 'address' => 'wl-dome', 'keep' => false],
            '/subjects/the-dome/addresses',
        )->assertNoContent();
        self::assertSame(0, DB::table('subject_addresses')->count());
        self::assertSame('dome', $site->sources()->firstOrFail()->key, 'what is connected stays so');
        $this->ask('post', '/subjects', ['name' => ''])->assertUnprocessable();
    }

    public function test_entries_tell_what_is_told_elsewhere(): void
    {
        $site = $this->owned();
        $said = fn (string $id): Entry => new Entry(
            $id,
            Kind::Review,
            author: new Author('Ines Marlow'),
            text: 'Saturn was so sharp that my daughter asked whether it was a sticker on the lens.',
        );
        $this->store($this->source($site, 'one'), [$said('a')]);
        $this->store($this->source($site, 'two'), [$said('b')]);
        $this->ask('get', '/entries')->assertJsonPath('count', 2);
        $this->ask('get', '/entries?state=duplicate', at: '/entries?state=duplicate')
            ->assertJsonPath('count', 1)
            ->assertJsonPath('entries.0.told', 1);
        $this->ask('get', '/likeness', at: '/likeness?id=none')->assertNotFound();
        $this->postJson('/api/likeness/joined', ['ids' => ['one:a', 'one:a']])->assertUnprocessable();
    }

    #[DataProvider('reaches')]
    public function test_nobody_reaches_into_anothers_site(string $method, string $path): void
    {
        Queue::fake();
        $theirs = $this->site('Theirs');
        $source = $this->source($theirs, 'secret', 'hand', 'hand');
        $this->store($source, [new Entry('n1', Kind::Testimonial, text: 'Theirs alone and nobody else\'s.')]);
        $grant = $this->granted($theirs);
        Subject::named($theirs, 'Secret');
        $this->actingAs($this->ownerOf($this->site('Mine'), 'mine@mine.example'));
        $response = $this->json(
            $method,
            str_replace('GRANT', (string) $grant->id, $path),
            [
                'channel' => 'wayleaf',
                'address' => 'x',
                'keep' => true,
                'id' => 'secret:n1',
                'ids' => ['secret:n1', 'secret:n2'],
                'author' => 'A',
                'text' => 'B',
                'cadence' => 3600,
            ],
        );
        self::assertSame(404, $response->getStatusCode(), (string) $response->getContent());
        self::assertSame(1, EntryRecord::query()->where('gone', false)->count());
    }

    /** @return iterable<array{string, string}> */
    public static function reaches(): iterable
    {
        yield ['GET', '/api/sources/secret'];
        yield ['PATCH', '/api/sources/secret'];
        yield ['DELETE', '/api/sources/secret'];
        yield ['POST', '/api/sources/secret/rounds'];
        yield ['GET', '/api/grants/GRANT/choices'];
        yield ['PUT', '/api/subjects/secret/addresses'];
        yield ['GET', '/api/testimonials/n1'];
        yield ['POST', '/api/testimonials/n1'];
        yield ['DELETE', '/api/testimonials/n1'];
        yield ['GET', '/api/likeness?id=secret:n1'];
        yield ['POST', '/api/likeness/parted'];
        yield ['POST', '/api/likeness/joined'];
    }

    public function test_another_sites_grant_connects_nothing(): void
    {
        $grant = $this->granted($this->site('Theirs'));
        $this->owned();
        $this->postJson(
            '/api/sources',
            ['channel' => 'ticketwick', 'address' => 'tv-dome', 'name' => 'Dome', 'grant' => $grant->id],
        )->assertNotFound();
        $this->postJson('/api/sources', ['channel' => 'ticketwick', 'address' => 'tv-dome', 'name' => 'Dome'])->assertUnprocessable();
        $this->postJson('/api/sources', ['channel' => 'table', 'address' => 'x', 'name' => 'Dome'])->assertUnprocessable();
    }

    public function test_guests_are_answered_nothing(): void
    {
        foreach ([
            '/api/subjects',
            '/api/boards',
            '/api/imports/1',
            '/api/templates/entries.csv',
            '/api/testimonials/x',
            '/api/grants/1/choices',
        ] as $path) {
            $this->getJson($path)->assertUnauthorized();
        }
        $this->get('/grants/ticketwick/return?code=x')->assertRedirect('/');
        $this->postJson('/api/website', ['address' => 'https://a.example'])->assertUnauthorized();
    }

    public function test_addresses_of_every_channel_are_recognised(): void
    {
        $this->owned();
        $this->startStandins();
        foreach ([
            'wayleaf/places/wl-dome' => 'wayleaf',
            'ticketwick/venues/tv-dome?tab=1' => 'ticketwick',
            'shutterfen/@quillmoor' => 'shutterfen',
            'corkwall/quillmoor/night-skies' => 'corkwall',
        ] as $path => $channel) {
            $this->ask('post', '/look', ['address' => "$this->standins/$path"])
                ->assertOk()
                ->assertJsonPath('other.channel', $channel)
                ->assertJsonPath('feed', null);
        }
        $this->withKey(Site::query()->firstOrFail());
        $this->ask(
            'get',
            '/places?query=x',
            at: '/places?query='.urlencode("$this->standins/wayleaf/places/wl-dome"),
        )->assertJsonCount(1, 'places')->assertJsonPath('places.0.id', 'wl-dome');
        $picture = (string) $this->ask('get', '/places?query=x', at: '/places?query=wl-dome')->json('places.0.picture');
        self::assertStringStartsWith(
            'data:image/webp;base64,',
            $picture,
            'a picture to tell namesakes by, without asking anybody from the browser',
        );
        $this->ask(
            'get',
            '/places?query=x',
            at: '/places?query='.urlencode("$this->standins/ticketwick/venues/tv-dome"),
        )->assertJsonPath('other.channel', 'ticketwick');
        self::assertStringContainsString(
            'the place no longer exists there',
            (string) $this->ask('get', '/places?query=x', at: '/places?query=wl-nowhere')->assertUnprocessable()->json('message'),
        );
    }

    public function test_a_service_that_changes_its_mind_half_way_changes_nothing(): void
    {
        Queue::fake();
        $this->startStandins();
        $site = $this->withKey($this->site());
        $source = $this->source($site, 'the-dome', 'wayleaf', 'wl-dome');
        $this->control(['do' => 'quota', 'left' => 4]); // it answers four pages of twenty, and then no more
        $round = $this->app->make(Rounds::class)->run($source);
        self::assertSame([RoundOutcome::Failed, 0, 0], [$round?->outcome, $round?->added, $source->entries()->count()]);
        self::assertSame(20, $round?->received, 'it tells how far it came');
    }
}
