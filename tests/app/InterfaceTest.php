<?php

declare(strict_types=1);

namespace Tests\app;

use App\Models\Edition;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Shape\Layouts;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** The studio's interface, held against its description in docs/openapi.yaml. */
final class InterfaceTest extends TestCase
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

    public function test_signing_in_and_out(): void
    {
        $site = $this->site();
        $this->ownerOf($site);
        $this->ask('get', '/session')->assertUnauthorized();
        $this->ask('post', '/session', ['email' => 'owner@quillmoor.example', 'password' => 'wrong'])->assertUnprocessable();
        $this->ask(
            'post',
            '/session',
            ['email' => 'owner@quillmoor.example', 'password' => 'a password'],
        )->assertOk()->assertJsonPath('site.name', $site->name);
        $this->ask('get', '/session')->assertOk();
        $this->ask('delete', '/session')->assertNoContent();
    }

    public function test_guessing_is_sent_away(): void
    {
        $this->ownerOf($this->site());
        for ($try = 0; $try < 5; $try++) {
            $this->ask('post', '/session', ['email' => 'owner@quillmoor.example', 'password' => "guess $try"])->assertUnprocessable();
        }
        $told = $this->ask('post', '/session', ['email' => 'owner@quillmoor.example', 'password' => 'a password'])->assertTooManyRequests();
        self::assertGreaterThan(0, (int) $told->headers->get('Retry-After'));
        $this->travel(61)->seconds();
        $this->ask('post', '/session', ['email' => 'owner@quillmoor.example', 'password' => 'a password'])->assertOk();
    }

    public function test_guests_are_answered_nothing(): void
    {
        foreach (['/api/today', '/api/sources', '/api/entries', '/api/widgets'] as $path) {
            $this->getJson($path)->assertUnauthorized();
        }
        $this->postJson('/api/proof', ['brief' => ['version' => 1]])->assertUnauthorized();
    }

    public function test_looking_and_connecting(): void
    {
        $this->startStandins();
        $site = $this->withKey($this->site());
        $this->actingAs($this->ownerOf($site));
        $places = $this->ask('get', '/places?query=observatory', at: '/places?query=observatory')->assertOk()->json('places');
        self::assertCount(4, $places);
        self::assertSame(['wl-dome', 98, false], [$places[0]['id'], $places[0]['reviews'], $places[0]['connected']]);
        $this->ask('get', '/places?query=ob', at: '/places?query=ob')->assertUnprocessable();

        $this->ask(
            'post',
            '/sources',
            ['channel' => 'wayleaf', 'address' => 'wl-dome', 'name' => 'the Dome'],
        )->assertCreated()->assertJsonPath('entries', 98);
        $this->ask(
            'post',
            '/sources',
            ['channel' => 'wayleaf', 'address' => 'wl-dome', 'name' => 'Again'],
        )->assertOk()->assertJsonPath('key', 'the-dome');
        $this->ask('post', '/sources', ['channel' => 'owl', 'address' => 'x', 'name' => 'y'])->assertUnprocessable();

        $look = $this->ask('post', '/look', ['address' => "$this->standins/rookcall/quillmoor"])->assertOk()->json();
        self::assertNull($look['feed']);
        self::assertCount(3, $look['links']);
        $feed = $this->ask('post', '/look', ['address' => $look['links'][1]['address']])->assertOk()->json('feed');
        self::assertSame(['Atom 1.0', 48], [$feed['format'], $feed['count']]);
        $this->ask('post', '/look', ['address' => 'http://192.168.0.1/feed'])->assertUnprocessable()->assertJsonPath(
            'message',
            '192.168.0.1 lies on a private network, where Gnomic does not look. Give a public address.',
        );
        $this->startFaults();
        foreach ([
            '/page' => 'names no feed',
            '/fault' => 'status 500',
            '/zip' => 'zip archive',
            '/nothing' => 'nothing at this address',
        ] as $path => $says) {
            self::assertStringContainsString(
                $says,
                $this->ask('post', '/look', ['address' => $this->faults.$path])->assertUnprocessable()->json('message'),
            );
        }

        $this->ask('put', '/credentials/{channel}', ['secret' => 'another'], '/credentials/wayleaf')->assertNoContent();
        self::assertStringContainsString(
            'does not recognise the key',
            $this->ask('get', '/places?query=observatory', at: '/places?query=observatory')->assertUnprocessable()->json('message'),
        );
        $this->assertDatabaseMissing('credentials', ['secret' => 'another']);
    }

    public function test_sources_are_tended(): void
    {
        Queue::fake();
        $site = $this->site();
        $this->actingAs($this->ownerOf($site));
        $this->source($site);
        $this->ask('get', '/sources')->assertOk()->assertJsonPath('sources.0.state', 'waiting');
        $this->ask(
            'patch',
            '/sources/{key}',
            ['cadence' => 21_600, 'name' => 'Hill'],
            '/sources/the-dome',
        )->assertOk()->assertJsonPath('cadenceSpoken', 'every six hours');
        $this->ask('patch', '/sources/{key}', ['cadence' => 5], '/sources/the-dome')->assertUnprocessable();
        $this->ask(
            'patch',
            '/sources/{key}',
            ['connected' => false],
            '/sources/the-dome',
        )->assertOk()->assertJsonPath('state', 'disconnected');
        $this->postJson('/api/sources/the-dome/rounds')->assertNotFound();
        $this->ask('patch', '/sources/{key}', ['connected' => true], '/sources/the-dome')->assertOk();
        $this->ask('post', '/sources/{key}/rounds', [], '/sources/the-dome/rounds')->assertAccepted();
        $this->ask('get', '/sources/{key}', [], '/sources/none')->assertNotFound();
        $this->ask('get', '/today')->assertOk()->assertJsonPath('sources', 1);
    }

    public function test_entries_are_searched_and_listed_by_clauses(): void
    {
        $site = $this->site();
        $this->actingAs($this->ownerOf($site));
        $this->store($this->source($site), [
            new Entry('1', Kind::Review, author: new Author('Ελένη'), rating: Rating::on(Scale::ofStars(), 5), text: 'Saturn was sharp'),
            new Entry('2', Kind::Review, author: new Author('さくら'), rating: Rating::on(Scale::ofStars(), 4.5), text: '土星の輪がはっきり見えて'),
            new Entry('3', Kind::Post, title: 'Fox 100%', text: 'A fox on the lawn'),
        ]);
        $ids = fn (string $query): array => array_map(
            fn (array $row): string => $row['entry']['id'],
            $this->ask('get', '/entries', at: "/entries?$query")->assertOk()->json('entries'),
        );
        self::assertSame(['the-dome:1'], $ids('search=saturn+SHARP'));
        self::assertSame(['the-dome:1'], $ids('search=satur'), 'the beginning of a word');
        self::assertSame(['the-dome:2'], $ids('search='.urlencode('はっきり')));
        self::assertSame(['the-dome:2'], $ids('search='.urlencode('土星')), 'two characters');
        self::assertSame(['the-dome:1'], $ids('search='.urlencode('ΕΛΕΝΗ')), 'no case and no accent');
        self::assertSame(['the-dome:3'], $ids('search='.urlencode('100%')));
        self::assertSame([], $ids('search='.urlencode('"x OR *')));
        self::assertSame([], $ids('search='.urlencode('🌟')), 'nothing to look for');
        $wanted = fn (array $sift, array $gather = []): array => $ids(
            'wanted='
                .urlencode((string) json_encode(['sift' => $sift, 'gather' => $gather])),
        );
        self::assertSame(['the-dome:2'], $wanted(['stars' => ['from' => 4, 'to' => 4.9]]));
        self::assertSame(['the-dome:2', 'the-dome:1'], $wanted(['order' => 'lowest', 'stars' => ['from' => 1]]), 'worst first');
        self::assertSame(['the-dome:3'], $wanted([], ['kinds' => ['post']]));
        self::assertCount(0, $wanted([], ['sources' => ['other']]));
        $this->ask('get', '/entries', at: '/entries?wanted='.urlencode('{"sift":{"limit":0}}'))->assertUnprocessable();
        $this->ask('get', '/entries', at: '/entries?wanted=x')->assertUnprocessable();
        self::assertCount(3, $this->ask('get', '/entries/ids')->json('ids'));
    }

    public function test_a_widget_from_the_bench_to_the_page(): void
    {
        $site = $this->site();
        $this->actingAs($this->ownerOf($site));
        $this->store(
            $this->source($site),
            [
                new Entry('1', Kind::Review, rating: Rating::on(Scale::ofStars(), 5), text: 'Fine'),
                new Entry('2', Kind::Review, rating: Rating::on(Scale::ofStars(), 2), text: 'Bad'),
            ],
        );
        $key = $this->ask('post', '/widgets', ['name' => 'Front'])->assertCreated()->json('key');
        $brief = ['version' => 1, 'sift' => ['stars' => ['from' => 4]]];

        $proof = $this->ask('post', '/proof', ['brief' => $brief, 'widths' => [360, 1120]])->assertOk()->json();
        [$phone, $desktop] = $proof['across'];
        self::assertSame([360, 1, 1, 1], [$phone['width'], $phone['across'], $phone['cards'], $phone['rows']]);
        self::assertSame('1 across: 2 would make cards of 140, under your 280', $phone['why']);
        self::assertGreaterThanOrEqual($desktop['height'], $phone['height'], 'never lower where there is less room');
        self::assertStringContainsString('px', $proof['room']);
        self::assertNull($proof['moreRoom'], 'nothing is out yet');
        $fast = $this->ask('post', '/proof', ['brief' => $brief + ['shape' => ['autoplay' => 2]]])->json('warnings.0');
        self::assertSame(['layout', 'Every five seconds'], [$fast['key'], $fast['repairs'][0]['text']]);
        self::assertSame(5, $fast['repairs'][0]['brief']['shape']['layout']['autoplay']);
        $wall = ['version' => 4, 'shape' => ['layout' => ['name' => 'photo-rows']]];
        self::assertStringContainsString('None of these entries has a picture', $this->ask('post', '/proof', ['brief' => $wall])->json('warnings.0.text'));
        $wall['shape']['click'] = 'nothing';
        $still = $this->ask('post', '/proof', ['brief' => $wall])->json('warnings.1');
        self::assertStringContainsString('cannot read what is cut off', $still['text']);
        self::assertSame('enlarge', $still['repairs'][0]['brief']['shape']['click']);
        $nowhere = ['version' => 4, 'shape' => ['click' => 'address']];
        self::assertStringContainsString('but none is given', $this->ask('post', '/proof', ['brief' => $nowhere])->json('warnings.0.text'));
        $layouts = $this->ask('post', '/layouts', ['brief' => $brief])->assertOk()->json('layouts');
        self::assertSame(array_map(fn (string $layout): string => $layout::name(), Layouts::ALL), array_column($layouts, 'name'));
        foreach ($layouts as $layout) {
            self::assertStringContainsString('shadowrootmode', $layout['fragment']);
            self::assertNotSame([], $layout['madeFor']);
        }
        self::assertSame([2, 1], [$proof['sieve'][0]['kept'], end($proof['sieve'])['kept']]);
        self::assertSame([0, 1, 0, 0, 1], $proof['figures']['spread']);
        $rows = $this->ask('post', '/sieve', ['brief' => $brief, 'step' => 'stars', 'kept' => false])->assertOk()->json('entries');
        self::assertSame('2 stars; the widget asks for four stars and up.', $rows[0]['reason']);
        $this->ask(
            'post',
            '/proof',
            ['brief' => ['version' => 1, 'sift' => ['limit' => 0]]],
        )->assertUnprocessable()->assertJsonPath('pointer', '/sift/limit');
        $empty = $this->ask('post', '/proof', ['brief' => ['version' => 1, 'gather' => ['sources' => ['ghost']]]])->json('warnings');
        self::assertCount(2, $empty, 'nothing is left, and an unknown source');
        self::assertSame(
            'head',
            $this->ask('post', '/proof', ['brief' => $brief + ['shape' => ['honest' => false]]])->json('warnings.0.key'),
        );

        $this->ask(
            'patch',
            '/widgets/{key}',
            ['brief' => $brief, 'name' => 'Front page'],
            "/widgets/$key",
        )->assertOk()->assertJsonPath('edition', null);
        $this->ask('patch', '/widgets/{key}', ['brief' => ['version' => 9]], "/widgets/$key")->assertUnprocessable();
        $this->ask('post', '/widgets/{key}/editions', [], "/widgets/$key/editions")
            ->assertAccepted()
            ->assertJsonPath('edition.number', 1)
            ->assertJsonPath('publishing', false);
        $this->ask('post', '/widgets/{key}/editions', [], "/widgets/$key/editions")->assertAccepted()->assertJsonPath('edition.number', 1);
        $published = (string) file_get_contents(config('gnomic.editions')."/$key/current/widget.html");
        self::assertSame(
            $this->ask('post', '/proof', ['brief' => $brief, 'key' => $key])->json('fragment'),
            // What is proofed is not counted.
            preg_replace('/ [0-9a-f]{12}\.js" data-key="\w+"/', '"', $published),
            'what you see is what goes out',
        );
        $list = ['shape' => ['layout' => 'list'], 'sift' => ['stars' => ['from' => 3]]] + $brief;
        $this->ask('patch', '/widgets/{key}', ['brief' => $list], "/widgets/$key")->assertOk();
        $this->ask('post', '/widgets/{key}/editions', [], "/widgets/$key/editions")->assertJsonPath('edition.number', 2);
        $editions = $this->ask('get', '/widgets/{key}/editions', [], "/widgets/$key/editions")->assertOk()->json('editions');
        self::assertSame([2, 1], array_column($editions, 'number'));
        self::assertSame(
            ['"four stars and up" became "three stars and up"', '"Three across in a carousel" became "In a list"'],
            $editions[0]['changes'],
        );
        $first = $this->ask('get', '/widgets/{key}/editions/{number}', [], "/widgets/$key/editions/1")->assertOk();
        $uncounted = (string) preg_replace('/ data-key="\w+"/', '', $published);
        self::assertSame([$uncounted, true], [$first->json('fragment'), $first->json('isKept')], 'what the owner looks at is not counted');
        $second = $this->ask('get', '/widgets/{key}/editions/{number}', [], "/widgets/$key/editions/2")->json('fragment');
        $this->ask('get', '/widgets/{key}/editions/{number}', [], "/widgets/$key/editions/9")->assertNotFound();
        $this->ask('post', '/widgets/{key}/editions/{number}', [], "/widgets/$key/editions/1")->assertAccepted();
        self::assertSame($published, file_get_contents(config('gnomic.editions')."/$key/current/widget.html"), 'it is brought back');
        $hash = Edition::query()->where('number', 2)->value('hash');
        File::deleteDirectory(config('gnomic.editions')."/$key/".(is_string($hash) ? $hash : ''));
        $anew = $this->ask('get', '/widgets/{key}/editions/{number}', [], "/widgets/$key/editions/2")->assertOk();
        $uncounted = preg_replace('/ data-with="[0-9a-f]{12}\.js"/', '', (string) $second);
        self::assertSame([$uncounted, false], [$anew->json('fragment'), $anew->json('isKept')], 'its brief is kept, and its look with it');
        $this->ask('get', '/widgets')->assertOk()->assertJsonCount(1, 'widgets');
        $this->ask('delete', '/widgets/{key}', [], "/widgets/$key")->assertNoContent();
        self::assertFileExists(config('gnomic.editions')."/$key/current/widget.html", 'no page goes blank');
    }

    public function test_nobody_sees_another_site(): void
    {
        $theirs = $this->site('Theirs');
        $this->store($this->source($theirs, 'secret'), [new Entry('1', Kind::Review, text: 'Theirs alone')]);
        $widget = $theirs->widgets()->create(['key' => 'theirs0001', 'name' => 'Theirs', 'brief' => ['version' => 1]]);
        $this->actingAs($this->ownerOf($this->site('Mine')));
        $this->getJson('/api/entries')->assertJsonPath('count', 0);
        $this->getJson('/api/widgets')->assertJsonCount(0, 'widgets');
        $this->getJson("/api/widgets/$widget->key")->assertNotFound();
        $this->patchJson('/api/sources/secret', ['name' => 'x'])->assertNotFound();
        $this->postJson('/api/entries/marks', ['ids' => ['secret:1'], 'hidden' => true])->assertJsonPath('changed', []);
        $this->getJson('/api/entries/where?id=secret:1')->assertNotFound();
        $this->getJson('/api/entries/ids')->assertJsonPath('ids', []);
        $this->postJson("/api/widgets/$widget->key/pins", ['id' => 'secret:1', 'on' => true])->assertNotFound();
        $this->postJson('/api/proof', ['brief' => ['version' => 1]])->assertJsonPath('sieve.0.kept', 0);
    }
}
