<?php

declare(strict_types=1);

namespace Tests\app;

use App\Bench\Grounds\Grounds;
use App\Bench\Grounds\ReadAgain;
use App\Models\Ground;
use App\Models\Picture;
use App\Models\Site;
use App\Outbox\Renders;
use Gnomic\Brief\Brief;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Looks over the studio's interface: read from pages, moved, mended, kept by a site, worn by widgets. */
final class DressTest extends TestCase
{
    use Servers;

    private Site $site;

    protected function setUp(): void
    {
        parent::setUp();
        $this->site = $this->site();
        $this->actingAs($this->ownerOf($this->site));
        $this->store($this->source($this->site), [
            new Entry('a', Kind::Review, author: new Author('Ines Marlow'), rating: Rating::on(Scale::ofStars(), 4.5), text: 'Sharp.', language: 'en'),
        ]);
    }

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

    /**
     * @param  array<string, mixed>  $dress
     * @return array<string, mixed>
     */
    private static function brief(array $dress = []): array
    {
        return ['version' => Brief::VERSION] + ($dress === [] ? [] : ['dress' => $dress]);
    }

    /**
     * @param  array<string, mixed>  $dress
     * @return array<array-key, mixed>
     */
    private function proof(array $dress): array
    {
        return (array) $this->ask('post', '/proof', ['brief' => self::brief($dress), 'widths' => [800]])->assertOk()->json();
    }

    public function test_the_proof_says_what_was_mended_and_what_of_own_rules_is_left_out(): void
    {
        $proof = $this->proof([
            'light' => ['ground' => '#101418', 'quiet' => '#556677'],
            'css' => ".card { color: #222 }\nbody { color: red }",
            'words' => [['key' => 'widget.name', 'says' => 'What they say'], ['key' => 'more.button', 'says' => 'More {']],
        ]);
        $tokens = array_unique(array_column($proof['dress']['findings'], 'token'));
        self::assertContains('ink', $tokens);
        self::assertContains('control', $tokens);
        self::assertNotSame($proof['dress']['look']['light']['ink'], $proof['dress']['mended']['light']['ink']);
        self::assertStringContainsString('--ink:'.$proof['dress']['mended']['light']['ink'], $proof['fragment']);
        self::assertStringContainsString('aria-label="What they say"', $proof['fragment']);
        self::assertStringContainsString('not in ICU MessageFormat', $proof['dress']['words'][0]);
        $lines = array_column($proof['dress']['problems'], 'text', 'line');
        self::assertStringContainsString('a contrast of', $lines[1], 'own rules are not mended, but told of');
        self::assertStringContainsString('a rule speaks of parts', $lines[2]);
        self::assertStringContainsString('.g .card{color:#222}', $proof['fragment']);
        self::assertSame([], $this->proof([])['dress']['findings']);
        $left = $this->proof(['light' => ['ink' => '#cccccc'], 'refused' => ['light.ink']]);
        self::assertStringContainsString('and are left as they are: a contrast of 1.6 of 4.5', (string) json_encode($left['warnings']));
        self::assertSame([], end($left['warnings'])['repairs'][0]['brief']['dress']['refused']);
    }

    public function test_moves_and_pictures(): void
    {
        foreach (['calmer', 'stronger', 'closer', 'airier', 'sharper', 'rounder'] as $move) {
            $moved = $this->ask('post', '/looks/moved', ['brief' => self::brief(['name' => 'linen']), 'move' => $move])->assertOk()->json('brief');
            self::assertNotSame($this->proof(['name' => 'linen'])['brief'], $moved, $move);
        }
        $accented = $this->ask('post', '/looks/moved', ['brief' => self::brief(), 'move' => 'accent', 'accent' => '#aa0044'])->assertOk();
        self::assertSame('#aa0044', $accented->json('brief.dress.light.rating'));
        $this->ask('post', '/looks/moved', ['brief' => self::brief(), 'move' => 'accent'])->assertUnprocessable();
        $looks = $this->ask('post', '/looks/pictures', ['brief' => self::brief()])->assertOk()->json('looks');
        self::assertGreaterThanOrEqual(8, count($looks));
        // Their ground is of one set of colours, and so are they, however the studio is dressed.
        $layouts = $this->ask('post', '/layouts', ['brief' => self::brief(['scheme' => 'visitor'])])->assertOk()->json('layouts');
        foreach ([...$looks, ...$layouts] as ['fragment' => $fragment]) {
            self::assertStringNotContainsString('prefers-color-scheme', $fragment);
            self::assertStringNotContainsString('light-dark(', $fragment);
        }
    }

    public function test_a_kept_look_is_worn_changed_in_one_place_and_taken_along(): void
    {
        $kept = $this->ask('post', '/looks', ['name' => 'Our own', 'brief' => self::brief(['light' => ['accent' => '#7a2e5d']])])->assertCreated();
        $key = $kept->json('key');
        self::assertSame(['own-our-own', $key], [$key, $kept->json('brief.dress.name')]);
        foreach (['wears1234', 'wears5678'] as $name) {
            $this->publish($this->site->widgets()->create(['key' => $name, 'name' => $name, 'brief' => self::brief(['name' => $key])]));
        }
        $other = $this->publish($this->site->widgets()->create(['key' => 'other1234', 'name' => 'Other', 'brief' => self::brief()]));
        $before = $other->edition?->hash;
        self::assertSame(['wears1234', 'wears5678'], array_column($this->ask('get', '/looks')->json('looks.0.widgets'), 'key'));
        $changed = ['brief' => self::brief(['name' => $key, 'light' => ['accent' => '#005a8c']])];
        $this->ask('patch', '/looks/{key}', $changed, "/looks/$key")->assertOk()->assertJsonPath('brief.dress.light.accent', null);
        app(Renders::class)->workOff($this->site->id);
        foreach ($this->site->widgets()->with('edition')->get() as $widget) {
            $html = (string) file_get_contents(config('gnomic.editions')."/$widget->key/current/widget.html");
            self::assertSame($widget->key !== 'other1234', str_contains($html, '--accent:#005a8c'), $widget->key);
        }
        self::assertSame($before, $other->refresh()->edition?->hash, 'nothing else is made again');
        $this->ask('delete', '/looks/{key}', [], "/looks/$key")->assertConflict();
        $file = $this->get("/api/looks/$key/tokens")->assertOk()->assertHeader('Content-Type', 'application/design-tokens+json');
        $again = $this->ask('post', '/looks/imported', ['tokens' => $file->json(), 'name' => 'Again'])->assertCreated();
        self::assertSame([[], 'own-again'], [$again->json('ignored'), $again->json('key')]);
        self::assertStringContainsString('--accent:#005a8c', $this->proof(['name' => 'own-again'])['fragment']);
        $this->ask('delete', '/looks/{key}', [], '/looks/own-again')->assertNoContent();
        $this->ask('delete', '/looks/{key}', [], '/looks/own-again')->assertNotFound();
        $this->ask('post', '/looks/imported', ['tokens' => ['a' => 1]])->assertUnprocessable();
        // Names of somebody else's are asked about, and said once.
        $foreign = ['text' => ['$type' => 'color', 'body' => ['$value' => '#1d2333']], 'brand' => ['$type' => 'color', '$value' => '#2b4a3a']];
        $asked = $this->ask('post', '/looks/imported', ['tokens' => $foreign])->assertOk();
        self::assertSame(['light.ink' => 'text.body', 'light.accent' => 'brand'], array_intersect_key(
            (array) $asked->json('proposed'),
            ['light.ink' => 1, 'light.accent' => 1],
        ));
        $mapping = [['target' => 'light.ink', 'token' => 'text.body'], ['target' => 'light.link', 'token' => 'brand']];
        $this->ask('post', '/looks/imported', ['tokens' => $foreign, 'name' => 'Foreign', 'mapping' => $mapping])->assertCreated()
            ->assertJson(['ignored' => []]);
        $this->ask('post', '/looks/imported', ['tokens' => $foreign, 'mapping' => [['target' => 'light.ink', 'token' => 'no']]])
            ->assertUnprocessable()->assertSee('has no token');
    }

    public function test_a_look_is_read_from_a_page_with_its_evidence(): void
    {
        $host = $this->serve(__DIR__.'/faults/pages.php', []);
        $read = $this->ask('post', '/grounds', ['address' => "$host/usual"])->assertOk();
        self::assertSame([[], []], [$read->json('doubts'), $read->json('problems')]);
        [$page, $foot] = $read->json('sections');
        self::assertSame([false, true], [$page['isDark'], $foot['isDark']]);
        $evidence = array_column($page['evidence'], null, 'token');
        self::assertSame('#7a2e5d', $evidence['light.link']['value']);
        self::assertSame('--brand in site.css, line 3', $evidence['light.link']['said']);
        self::assertSame('#ffd9a0', array_column($foot['evidence'], 'value', 'token')['dark.link']);
        $proof = $this->proof($foot['dress']);
        self::assertStringContainsString('--ink:#eee', $proof['fragment']);
        self::assertSame([], $proof['dress']['findings'], 'it belongs there, and can be read');
        // Asked again it is not fetched again, unless that is wanted.
        $fetched = Ground::query()->firstOrFail()->fetched_at;
        $this->travel(2)->hours();
        $this->ask('post', '/grounds', ['address' => "$host/usual"])->assertOk();
        self::assertEquals($fetched, Ground::query()->firstOrFail()->fetched_at);
        $this->travel(1)->days();
        Queue::fake();
        self::assertSame(1, app(Grounds::class)->refresh(), 'once a day it is');
        Queue::assertPushed(ReadAgain::class, 1);
        self::assertEquals($fetched, Ground::query()->firstOrFail()->fetched_at, 'not by who sends for it');
        app(Grounds::class)->readAgain(Ground::query()->firstOrFail()->id);
        self::assertNotEquals($fetched, Ground::query()->firstOrFail()->fetched_at);
        // A page that is gone keeps what was read of it.
        Ground::query()->update(['address' => "$host/gone", 'digest' => Ground::digest("$host/gone"), 'fetched_at' => now()->subDays(2)]);
        app(Grounds::class)->readAgain(Ground::query()->firstOrFail()->id);
        $gone = $this->ask('post', '/grounds', ['address' => "$host/gone"])->assertOk();
        self::assertStringContainsString('no page at this address', (string) $gone->json('failure'));
        self::assertCount(2, $gone->json('sections'));
    }

    public function test_the_page_in_the_frame_is_harmless(): void
    {
        $host = $this->serve(__DIR__.'/faults/pages.php', []);
        $this->ask('post', '/grounds', ['address' => "$host/hostile"])->assertOk();
        $response = $this->get('/api/ground?address='.urlencode("$host/hostile"))->assertOk();
        $html = (string) $response->getContent();
        foreach (['onerror', 'javascript:', 'iframe', 'http-equiv', 'prefetch', 'parent.ran', 'formaction', 'target='] as $away) {
            self::assertStringNotContainsString($away, $html);
        }
        self::assertStringContainsString('data-gnomic-here="abcd1234"', $html);
        self::assertStringContainsString("<base href=\"$host/\">", $html);
        $policy = (string) $response->headers->get('Content-Security-Policy');
        self::assertStringContainsString('sandbox allow-scripts;', $policy);
        self::assertDoesNotMatchRegularExpression("/script-src[^;]*(?:\\*|unsafe|'self')/", $policy);
        // As a tab of its own it would stand at the studio's address.
        foreach (['document' => 403, 'object' => 403, 'iframe' => 200] as $dest => $status) {
            $this->get('/api/ground?address='.urlencode("$host/hostile"), ['Sec-Fetch-Dest' => $dest])->assertStatus($status);
            $this->get('/api/ground', ['Sec-Fetch-Dest' => $dest])->assertStatus($status);
        }
        self::assertDoesNotMatchRegularExpression('~<meta[^>]*refresh|<script(?! (?:src="[^"]*/(?:b/[0-9a-f]{12}|gnomic)\.js"))|<!--|<\?~i', $html);
        $neutral = (string) $this->get('/api/ground')->assertOk()->getContent();
        self::assertStringNotContainsStringIgnoringCase('quillmoor', $neutral);
    }

    #[DataProvider('hard')]
    public function test_pages_that_are_hard_to_read(string $path, int $status, string $says): void
    {
        $host = $this->serve(__DIR__.'/faults/pages.php', []);
        $read = $this->ask('post', '/grounds', ['address' => $host.$path])->assertStatus($status);
        self::assertStringContainsString($says, (string) $read->getContent());
    }

    /** @return iterable<array{string, int, string}> */
    public static function hard(): iterable
    {
        yield ['/gone', 422, 'there is no page at this address'];
        yield ['/private', 422, 'the page is behind a sign-in'];
        yield ['/picture', 422, 'sent no web page but image'];
        yield ['/scripts', 200, 'built by scripts'];
        yield ['/frames', 200, 'made of frames'];
        yield ['/sign-in', 200, 'asks for a password'];
        yield ['/sheetless', 200, 'Style sheet endless.css: left out: '];
        yield ['/inward', 200, 'lies on a private network'];
    }

    /** Whatever a style sheet does to its reader, it does to that one alone: the request is answered. */
    public function test_costly_style_sheets_cost_a_process_of_their_own(): void
    {
        $host = $this->serve(__DIR__.'/faults/pages.php', []);
        $memory = memory_get_peak_usage();
        foreach (['calc', 'nested', 'shadows', 'siblings', 'children', 'variables', 'rules', 'depth', 'media', 'brackets'] as $cost) {
            $read = $this->ask('post', '/grounds', ['address' => "$host/costly/$cost"]);
            self::assertContains($read->status(), [200, 422], $cost);
            if ($read->status() === 422) {
                self::assertMatchesRegularExpression('/Give another page|more than Gnomic reads/', (string) $read->getContent(), $cost);
            }
        }
        self::assertLessThan(60_000_000, memory_get_peak_usage() - $memory, 'nothing of it was read here');
    }

    public function test_a_pasted_style_sheet_helps_on(): void
    {
        $host = $this->serve(__DIR__.'/faults/pages.php', []);
        $read = $this->ask('post', '/grounds', ['address' => "$host/sheetless", 'css' => 'body{color:#123456}'])->assertOk();
        self::assertSame('#123456', array_column($read->json('sections.0.evidence'), 'value', 'token')['light.ink']);
    }

    public function test_a_picture_behind_is_served_by_us_and_its_worst_point_counts(): void
    {
        $url = 'https://quillmoor.example/sky.jpg';
        $dress = ['tokens' => ['picture' => $url], 'light' => ['ground' => '#00000000', 'ink' => '#777777']];
        self::assertStringNotContainsString('sky.jpg', $this->proof($dress)['fragment'], 'it is fetched first');
        $picture = Picture::query()->where('url', $url)->firstOrFail();
        $picture->update(['state' => 'kept', 'name' => str_repeat('a', 24), 'widths' => [320, 1280], 'width' => 1280, 'height' => 800,
            'extremes' => ['#05070d', '#202a44']]);
        $proof = $this->proof($dress);
        self::assertStringContainsString('/w/p/'.str_repeat('a', 24).'-1280.webp', $proof['fragment']);
        self::assertContains('ink', array_column($proof['dress']['findings'], 'token'));
        self::assertNotContains('ground', array_column($proof['dress']['findings'], 'token'), 'dark enough to stand alone');
        $picture->update(['state' => 'lost', 'reason' => 'It is gone.']);
        $lost = $this->proof($dress);
        self::assertStringNotContainsString('.webp', $lost['fragment']);
        self::assertStringContainsString('The background picture is missing: It is gone.', (string) json_encode($lost['warnings']));
    }

    public function test_words_of_a_site_are_said_on_all_its_widgets(): void
    {
        $own = [['key' => 'more.button', 'language' => null, 'says' => 'There is more']];
        $this->ask('put', '/words', ['own' => $own])->assertOk()->assertJsonPath('own.0.says', 'There is more');
        self::assertSame('There is more', $this->ask('get', '/words')->json('own.0.says'));
        $this->ask('put', '/words', ['own' => [['key' => 'nothing.here', 'language' => null, 'says' => 'x']]])->assertUnprocessable();
        $this->ask('put', '/words', ['own' => [['key' => 'more.page', 'language' => null, 'says' => '{side}']]])->assertUnprocessable();
    }
}
