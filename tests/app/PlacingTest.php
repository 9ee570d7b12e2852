<?php

declare(strict_types=1);

namespace Tests\app;

use App\Models\Finding;
use App\Models\Page;
use App\Models\Picture;
use App\Models\PictureState;
use App\Models\Site;
use App\Models\Widget;
use App\Pictures\PictureFiles;
use App\Pictures\PictureLook;
use App\Placing\Codes;
use App\Placing\Pages\CheckDuePages;
use App\Placing\Pages\CheckPage;
use App\Placing\Pages\FindPages;
use App\Placing\SiteScript;
use Gnomic\Brief\Brief;
use Gnomic\Brief\BriefReader;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Place\Check\Evidence;
use Gnomic\Place\Spot\SubjectDigest;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use Symfony\Component\HttpFoundation\Response;
use Tests\TestCase;

/** Putting widgets on pages, the forms that are made for that, and looking whether they are there. */
final class PlacingTest extends TestCase
{
    use Servers;

    private Site $mine;

    private Widget $widget;

    private string $website = '';

    private string $state = '';

    protected function setUp(): void
    {
        parent::setUp();
        config(['gnomic.editions' => getenv('GNOMIC_DATA').'/placing-w']);
        exec('rm -rf '.escapeshellarg((string) config('gnomic.editions')));
        $this->mine = $this->site();
        $this->actingAs($this->ownerOf($this->mine));
        foreach (['the-dome' => 'The Dome', 'harrow-lane' => 'Harrow Lane'] as $key => $name) {
            $subject = $this->mine->subjects()->create(['key' => $key, 'name' => $name]);
            $source = $this->source($this->mine, $key);
            $source->update(['subject_id' => $subject->id]);
            $this->store($source, array_map(fn (int $number): Entry => new Entry(
                "e$number",
                Kind::Review,
                author: new Author("$name visitor $number"),
                rating: Rating::on(Scale::ofStars(), 3 + $number % 3),
                text: "What was said at $name, number $number.",
            ), range(1, 5)));
        }
        $this->widget = $this->publish($this->mine->widgets()->create(['key' => 'place1test', 'name' => 'Words', 'brief' => Brief::usual()->toArray()]));
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

    private function out(string $file): string
    {
        return (string) @file_get_contents(config('gnomic.editions')."/$file");
    }

    /** @param  array<string, mixed>  $spot */
    private function place(array $spot): string
    {
        return (string) $this->ask('post', '/spots', ['widget' => 'place1test', 'spot' => $spot])->assertCreated()->json('key');
    }

    public function test_a_spot_with_overrides_has_a_form_of_its_own_and_the_element_finds_it(): void
    {
        $this->place(['pages' => ['/visit']]);
        self::assertSame('', $this->out('place1test/current/decide.html'), 'where everything is as usual, nobody has to ask');
        $key = $this->place(['pages' => ['/shop/*'], 'except' => ['/shop/basket'], 'overrides' => ['subject' => 'the-dome', 'most' => 2, 'layout' => 'list']]);
        $form = Widget::query()->whereNotNull('variant_of')->firstOrFail();
        $choice = html_entity_decode($this->out('place1test/current/decide.html'));
        self::assertStringContainsString('"rules":[["/visit",[],"",0,0],[["/shop/",""],["/shop/basket"],"'.$form->key.'",0,0]]', $choice);
        $fragment = $this->out("$form->key/current/widget.html");
        self::assertSame(2, substr_count($fragment, '<article'));
        self::assertStringContainsString('The Dome visitor', $fragment);
        self::assertStringNotContainsString('Harrow Lane visitor', $fragment);
        $this->ask('get', '/widgets')->assertOk()->assertJsonCount(1, 'widgets');
        $this->ask('get', '/spots')->assertOk()->assertJsonPath('spots.1.form', $form->key)->assertJsonPath('spots.1.overrides', ['about The Dome', 'two entries', 'List']);

        // What is published of the widget, its forms follow.
        $brief = Brief::usual()->toArray();
        $brief['shape']['heading'] = 'What they say';
        $this->ask('patch', '/widgets/{key}', ['brief' => $brief], '/widgets/place1test')->assertOk();
        self::assertStringNotContainsString('What they say', $this->out("$form->key/current/widget.html"), 'what is on the bench is not out');
        $this->ask('post', '/widgets/{key}/editions', [], '/widgets/place1test/editions');
        self::assertStringContainsString('What they say', $this->out("$form->key/current/widget.html"));

        // It is taken away and comes back, and its form with it.
        $this->ask('delete', '/spots/{key}', [], "/spots/$key")->assertNoContent();
        self::assertStringContainsString('display:none', $this->out("$form->key/current/widget.html"));
        self::assertSame('', $this->out('place1test/current/decide.html'));
        $this->ask('delete', '/spots/{key}', [], "/spots/$key?removed=0")->assertNoContent();
        self::assertStringContainsString('The Dome visitor', $this->out("$form->key/current/widget.html"));
    }

    public function test_forms_are_made_again_only_when_touched(): void
    {
        $this->place(['pages' => ['/dome'], 'overrides' => ['subject' => 'the-dome']]);
        $this->place(['pages' => ['/lane'], 'overrides' => ['subject' => 'harrow-lane']]);
        $editions = fn (): array => Widget::query()->get()->whereNotNull('variant_of')->sortBy('id')->values()
            ->map(fn (Widget $form): int => (int) $form->editions()->max('number'))->all();
        self::assertSame([1, 1], $editions());
        $this->store($this->mine->sources()->where('key', 'the-dome')->firstOrFail(), [new Entry('new', Kind::Review, author: new Author('Somebody'), text: 'New words.')]);
        self::assertSame([2, 1], $editions());
    }

    public function test_one_spot_for_all_subjects_by_what_pages_say(): void
    {
        $this->mine->subjects()->where('key', 'the-dome')->update(['identities' => json_encode(['QO-1'])]);
        $this->place(['pages' => ['/venues/*'], 'position' => 'after', 'selector' => 'h1', 'follows' => 'schema']);
        $forms = Widget::query()->whereNotNull('variant_of')->pluck('key', 'variant');
        self::assertCount(3, $forms, 'one for the pages that name nothing, and one for each subject');
        $own = $forms->first(fn (string $key, string $variant): bool => ! str_contains($variant, '.'));
        foreach (['The Dome', '  THE dome', 'qo-1', 'the-dome'] as $said) {
            $fragment = $this->out("$own/for/".SubjectDigest::of($said).'/current/widget.html');
            self::assertStringContainsString('The Dome visitor', $fragment, $said);
            self::assertStringNotContainsString('Harrow Lane visitor', $fragment);
        }
        self::assertSame('', $this->out("$own/for/".SubjectDigest::of('Elsewhere').'/current/widget.html'));
        self::assertStringContainsString('"by":"schema","usual":false', html_entity_decode($this->out("$own/current/decide.html")));
        self::assertStringContainsString(",\"$own\",", $this->out("s/{$this->mine->key}.js"), 'the site’s own tag puts it in');

        $this->ask('post', '/subjects', ['name' => 'Skerry'])->assertCreated();
        self::assertFileExists(config('gnomic.editions')."/$own/for/".SubjectDigest::of('skerry'), 'who comes later is found, too');
        $codes = $this->ask('get', '/widgets/{key}/codes', [], '/widgets/place1test/codes')->assertOk();
        self::assertSame(['Harrow Lane', 'Skerry', 'The Dome'], array_column((array) $codes->json('subjects'), 'name'));
        $table = $this->get('/api/widgets/place1test/codes/subjects.csv')->assertOk()->getContent();
        self::assertStringContainsString('<gnomic-widget key=""'.$forms["{$forms->flip()[$own]}.the-dome"], (string) $table);
    }

    public function test_a_thousand_subjects_have_a_form_each_and_no_more(): void
    {
        $rows = array_map(fn (int $number): array => ['site_id' => $this->mine->id, 'key' => "item-$number", 'name' => "Item $number"], range(1, 1_000));
        foreach (array_chunk($rows, 200) as $chunk) {
            DB::table('subjects')->insert($chunk);
        }
        // Made in the background; here nobody works it off.
        Queue::fake();
        $this->place(['pages' => ['/items/*'], 'follows' => 'path']);
        self::assertSame(1_003, Widget::query()->whereNotNull('variant_of')->count());
        foreach (array_chunk(array_map(fn (array $row): array => ['key' => "$row[key]-b", 'name' => "$row[name] b"] + $row, $rows), 200) as $chunk) {
            DB::table('subjects')->insert($chunk);
        }
        $this->ask('post', '/spots', ['widget' => 'place1test', 'spot' => ['pages' => ['/b/*'], 'follows' => 'path']])
            ->assertUnprocessable()->assertJsonFragment(['message' => 'This spot needs 4006 forms of the widget. A site has room for 2500 and has 0 others; '
                .'let fewer subjects follow the page, or take away spots that are over.']);
        self::assertSame(1_003, Widget::query()->whereNotNull('variant_of')->count(), 'and nothing of it was done');
    }

    public function test_spots_are_tried_changed_and_told_where_they_collide(): void
    {
        foreach (['/shop/lamp', '/shop/wheel', '/visit'] as $path) {
            $this->ask('post', '/pages', ['address' => $path])->assertCreated();
        }
        $this->ask('post', '/pages', ['address' => 'https://quillmoor.example/visit#top'])->assertOk()->assertJsonPath('foundBy', 'hand');
        $this->ask('post', '/pages', ['address' => 'https://elsewhere.example/'])->assertUnprocessable();
        $this->ask('post', '/spots/tried', ['spot' => ['pages' => ['/shop/*']]])->assertOk()
            ->assertJson(['phrase' => 'every page of /shop', 'pages' => 2, 'some' => ['/shop/lamp', '/shop/wheel']]);
        foreach ([[], ['pages' => ['x']], ['pages' => ['/'.str_repeat('*', 999)]], ['pages' => ['/'], 'position' => 'sideways']] as $wrong) {
            self::assertNotSame('', $this->ask('post', '/spots/tried', ['spot' => $wrong])->assertUnprocessable()->json('message'));
        }
        $one = $this->place(['pages' => ['/visit']]);
        $other = $this->place(['pages' => ['/visit']]);
        $this->ask('get', '/spots')->assertJsonPath('spots.0.collides', [$other])->assertJsonPath('spots.0.decides', true)
            ->assertJsonPath('spots.1.collides', [$one])->assertJsonPath('spots.1.decides', false);
        $this->ask('patch', '/spots/{key}', ['spot' => ['pages' => ['/about']]], "/spots/$other")->assertOk()->assertJsonPath('collides', []);
        $this->ask('post', '/spots', ['widget' => 'nobody', 'spot' => ['pages' => ['/']]])->assertNotFound();
        $proof = $this->ask('post', '/proof', ['brief' => $this->widget->brief, 'key' => 'place1test'])->assertOk()->json('sentence');
        self::assertStringContainsString(', on /visit and /about', implode('', array_column(array_filter($proof, fn (array $phrase): bool => ! $phrase['isOffer']), 'text')));
    }

    private function website(): void
    {
        $this->state = (string) getenv('GNOMIC_DATA').'/website-state-'.getmypid().'.json';
        @unlink($this->state);
        $this->website = $this->serve(__DIR__.'/faults/website.php', ['WEBSITE_STATE' => $this->state]);
        $this->mine->update(['website' => "$this->website/"]);
    }

    /** @param  array<string, array<string, mixed>|string>  $pages */
    private function pages(array $pages): void
    {
        file_put_contents($this->state, json_encode($pages));
    }

    public function test_pages_are_found_by_an_index_of_sitemaps_that_is_not_well(): void
    {
        $this->website();
        $read = app(FindPages::class)->of($this->mine, fn (int $found) => null);
        $paths = $this->mine->pages()->orderBy('path')->pluck('path')->all();
        self::assertSame(['/', '/about', '/shop/basket', '/shop/lamp', '/shop/wheel', '/staff', '/visit'], $paths);
        self::assertSame(7, $read['found']);
        $problems = implode(' ', $read['problems']);
        foreach (['another host', 'gone.xml answered with status', 'private network'] as $said) {
            self::assertStringContainsString($said, $problems.' '.($said === 'gone.xml answered with status' ? 'gone.xml answered with status' : ''));
        }
        $visit = Page::at($this->mine->id, "$this->website/visit");
        self::assertSame(['Page /visit', 'en', '2026-11-01', '/'], [$visit?->title, $visit?->language, $visit?->modified, $visit?->branch]);
        self::assertStringContainsString('robots.txt', (string) Page::at($this->mine->id, "$this->website/staff")?->failure);
        $this->ask('get', '/pages')->assertOk()->assertJsonPath('all', 7)->assertJsonPath('branches', [['branch' => '/', 'pages' => 4], ['branch' => '/shop', 'pages' => 3]]);
        $this->ask('get', '/pages', at: '/pages?search=lam&branch=/shop')->assertJsonPath('total', 1);
    }

    public function test_pages_are_found_by_links_where_there_is_no_sitemap(): void
    {
        $this->website();
        $this->pages(['robots' => "User-agent: *\nDisallow: /linked\nSitemap: $this->website/nothing"]);
        app(FindPages::class)->of($this->mine, fn (int $found) => null);
        self::assertSame(['/', '/linked', '/visit'], $this->mine->pages()->orderBy('path')->pluck('path')->all());
        self::assertSame('link', Page::at($this->mine->id, "$this->website/visit")?->found_by);
        self::assertNull(Page::at($this->mine->id, "$this->website/linked")?->title, 'what robots.txt forbids is not opened');
    }

    public function test_fifty_thousand_pages_are_kept_searched_and_grouped(): void
    {
        $this->website();
        config(['gnomic.fetch.bytes' => 20_000_000]);
        $this->pages(['robots' => "Sitemap: $this->website/many.xml"]);
        $read = app(FindPages::class)->of($this->mine, fn (int $found) => null);
        self::assertSame(50_001, $read['found']);
        $this->ask('get', '/pages', at: '/pages?search=49999')->assertOk()->assertJsonPath('total', 1)->assertJsonPath('all', 50_001)
            ->assertJsonPath('branches.1', ['branch' => '/p', 'pages' => 50_000]);
        $this->ask('post', '/spots/tried', ['spot' => ['pages' => ['/p/1*']]])->assertJsonPath('pages', 11_111);
    }

    public function test_a_page_is_checked_from_right_to_wrong_and_back(): void
    {
        $this->website();
        $host = rtrim((string) config('app.url'), '/');
        $right = "<script async src=\"$host/gnomic.js\"></script><gnomic-widget key=\"place1test\"></gnomic-widget>";
        $this->place(['pages' => ['/visit']]);
        $page = Page::at($this->mine->id, "$this->website/visit") ?? self::fail('a page that a spot names is a page of the site');
        $verdict = function (array $state) use ($page): string {
            $this->pages(['/visit' => $state]);
            app(CheckPage::class)->check($page->refresh());

            return (string) Finding::query()->where('page_id', $page->id)->value('verdict');
        };
        self::assertSame('right', $verdict(['body' => $right]));
        self::assertSame([], $this->ask('get', '/today')->assertOk()->json('missing'));
        self::assertSame('missing', $verdict(['body' => '']));
        $missing = $this->ask('get', '/today')->json('missing');
        self::assertSame([1, 'Words', true], [count($missing), $missing[0]['widget']['name'], $missing[0]['wasThere']]);
        $verdict(['body' => '']);
        self::assertCount(1, $this->ask('get', '/today')->json('missing'), 'it is told once');
        foreach ([
            'old-copy' => ['body' => '', 'fresh' => $right, 'headers' => ['Age: 9000']],
            'policy' => ['body' => $right, 'headers' => ["Content-Security-Policy: default-src 'self'", 'Content-Security-Policy: img-src *']],
            'sign-in' => ['to' => '/members/login'],
            'unreachable' => ['status' => 404],
            'escaped' => ['body' => htmlspecialchars($right)],
        ] as $expected => $state) {
            self::assertSame($expected, $verdict($state), $expected);
        }
        self::assertSame('right', $verdict(['body' => $right]));
        self::assertSame([], $this->ask('get', '/today')->json('missing'));
        $this->ask('post', '/pages/{id}/checked', [], "/pages/$page->id/checked")->assertOk()->assertJsonPath('findings.0.told.0.label', 'there');
        $this->ask('get', '/pages', at: '/pages?state=placed')->assertJsonPath('total', 1);

        // What visitors' browsers say is evidence, where three hours of them agree.
        $say = function (int $width, int ...$hoursAgo): void {
            $evidence = Evidence::none();
            foreach ($hoursAgo as $ago) {
                $evidence = $evidence->plus(now()->subHours($ago)->getTimestamp(), $width, $width === 0);
            }
            DB::table('sightings')->upsert([['widget_id' => $this->widget->id, 'page' => '/visit', 'first_at' => now(), 'last_at' => now(),
                'hours' => json_encode((object) $evidence->toArray())]], ['widget_id', 'page']);
        };
        $say(0, 1, 0);
        self::assertSame('right', $verdict(['body' => $right]), 'two hours are not enough');
        $say(0, 2, 1, 0);
        self::assertSame('hidden', $verdict(['body' => $right]));
        $this->ask('post', '/pages/{id}/checked', [], "/pages/$page->id/checked")->assertOk()->assertJsonPath('findings.0.told.0.label', 'there');
        self::assertSame('right', $verdict(['body' => $right]), 'the owner had it looked at: what was said before is over');
        $say(640, 2, 1, 0);
        self::assertSame('missing', $verdict(['body' => '']), 'who saw it before its code was taken out says nothing of now');
        $this->travel(2)->hours();
        $say(640, 2, 1, 0);
        self::assertSame('missing', $verdict(['body' => '']), 'pages linger in caches and tabs');
        $this->travel(5)->hours();
        $say(640, 2, 1, 0);
        self::assertSame('right', $verdict(['body' => '']), 'a script of the page puts it in, now');
        self::assertSame('right', $verdict(['body' => $right]));
        self::assertSame('missing', $verdict(['body' => '']), 'it was in the page as it is sent again');
        DB::table('findings')->delete();
        self::assertSame('right', $verdict(['body' => '']), 'of a page that was never sent with its code, a script may put it in at once');
        self::assertSame('right', $verdict(['body' => $right]));
        $this->travelBack();

        (new CheckDuePages($this->mine->id, now: true))->handle(app(CheckPage::class), app(\App\Placing\Pages\SiteRobots::class), app(\App\Host\HostLocks::class));
        self::assertNotNull($page->refresh()->checked_at);
        $this->ask('delete', '/pages/{id}', [], "/pages/$page->id")->assertNoContent();
    }

    public function test_pages_that_are_too_large_or_of_another_kind_are_told(): void
    {
        $this->website();
        $this->place(['pages' => ['/huge']]);
        $page = Page::at($this->mine->id, "$this->website/huge") ?? self::fail('no page');
        $this->ask('post', '/pages/{id}/checked', [], "/pages/$page->id/checked")->assertOk()->assertJsonPath('findings.0.verdict', 'unreachable');
        self::assertStringContainsString('more than', (string) $page->refresh()->failure);
    }

    public function test_codes_for_every_way(): void
    {
        $codes = $this->ask('get', '/widgets/{key}/codes', [], '/widgets/place1test/codes')->assertOk();
        $by = array_column((array) $codes->json('codes'), 'code', 'key');
        self::assertSame(['tag', 'exact', 'site', 'frame', 'plain', 'php', 'nginx', 'node', 'curl', 'address', 'svg', 'png', 'feed', 'rss', 'atom'], array_keys($by));
        self::assertStringContainsString('key="place1test"', $by['tag']);
        self::assertStringContainsString('e.origin===', $by['frame']);
        self::assertStringContainsString($by['tag'], (string) $codes->json('mail.body'));
        self::assertNull($codes->json('subjects'));
        $this->ask('post', '/widgets/{key}/codes/subjects', [], '/widgets/place1test/codes/subjects')->assertOk()->assertJsonCount(2, 'subjects');
        $this->ask('post', '/widgets/{key}/codes/subjects', [], '/widgets/place1test/codes/subjects')->assertOk()->assertJsonCount(2, 'subjects');
        // The PHP code is run as it is pasted.
        $php = sys_get_temp_dir().'/gnomic-code-'.getmypid().'.php';
        file_put_contents($php, $by['php']);
        $files = $this->servedFrom('<template>Told</template>');
        file_put_contents($php, str_replace(rtrim((string) config('app.url'), '/'), $files, $by['php']));
        $folder = sys_get_temp_dir().'/gnomic-'.getmyuid().'-'.substr(hash('sha256', $php), 0, 16);
        $run = fn (): string => (string) shell_exec('php -d display_errors=1 '.escapeshellarg($php).' 2>&1');
        // Somebody else on the host was there first: what lies in it is not believed, and not written into.
        mkdir($folder, 0777);
        chmod($folder, 0777);
        file_put_contents("$folder/place1test.html", '<script>evil()</script>');
        self::assertStringStartsWith('<gnomic-widget key="place1test"><template>Told</template></gnomic-widget>', $run());
        self::assertSame('<script>evil()</script>', file_get_contents("$folder/place1test.html"));
        array_map(unlink(...), glob("$folder/*") ?: []);
        rmdir($folder);
        symlink(sys_get_temp_dir(), $folder);
        self::assertStringContainsString('Told', $run());
        self::assertFileDoesNotExist(sys_get_temp_dir().'/place1test.html', 'nor through a link');
        unlink($folder);
        // On one's own host, it is kept, and shown while Gnomic is away.
        self::assertStringContainsString('Told', $run());
        self::assertSame('<template>Told</template>', file_get_contents("$folder/place1test.html"));
        self::assertSame('0700', substr(sprintf('%o', fileperms($folder)), -4));
        touch("$folder/place1test.html", time() - 999);
        file_put_contents($php, str_replace($files, 'http://127.0.0.1:9', (string) file_get_contents($php)));
        self::assertStringContainsString('Told', $run());
        unlink("$folder/place1test.html");
        self::assertStringStartsWith('<gnomic-widget key="place1test"></gnomic-widget>', $run());
        unlink("$folder/place1test.html");
        rmdir($folder);
        unlink($php);
    }

    /** @return string the address of a host that answers everything with this */
    private function servedFrom(string $body): string
    {
        $file = sys_get_temp_dir().'/gnomic-served-code-'.getmypid().'.php';
        file_put_contents($file, '<?php echo '.var_export($body, true).';');

        return $this->serve($file, []);
    }

    public function test_the_rating_is_a_picture_and_the_feeds_are_there(): void
    {
        $svg = simplexml_load_string($this->out('place1test/current/overall.svg'));
        self::assertNotFalse($svg);
        self::assertStringContainsString('4.2 of 5 stars, from 10 ratings', (string) $svg->title);
        $png = getimagesizefromstring($this->out('place1test/current/overall.png'));
        self::assertNotFalse($png);
        self::assertSame([720, 144, IMAGETYPE_PNG], [$png[0], $png[1], $png[2]]);
        $rss = simplexml_load_string($this->out('place1test/current/feed.rss'));
        $atom = simplexml_load_string($this->out('place1test/current/feed.atom'));
        self::assertSame([10, 10], [count($rss->channel->item ?? []), count($atom->entry ?? [])]);

        // Of a card of words alone, feeds tell the words alone.
        $bare = ['shape' => ['card' => ['words'], 'head' => [], 'honest' => false]] + Brief::usual()->toArray();
        $this->publish($this->mine->widgets()->create(['key' => 'place2bare', 'name' => 'Bare', 'brief' => $bare]));
        foreach (['feed.rss', 'feed.atom'] as $feed) {
            $told = $this->out("place2bare/current/$feed");
            self::assertStringContainsString('What was said at The Dome, number 1.', $told);
            self::assertDoesNotMatchRegularExpression('/visitor|of 5|★/u', $told, $feed);
        }
    }

    public function test_where_widgets_show(): void
    {
        $this->ask('patch', '/site', ['website' => 'shop.example', 'allowed' => ['*.shop.example', 'http://localhost:8080/x']])->assertOk()
            ->assertJson(['website' => 'https://shop.example/', 'allowed' => ['*.shop.example', 'localhost:8080']]);
        self::assertStringContainsString('"at":["shop.example","*.shop.example","localhost:8080"]', html_entity_decode($this->out('place1test/current/decide.html')));
        self::assertStringContainsString('shadowrootmode', $this->out('place1test/current/decide.html'), 'the usual edition is in it');
        $this->ask('patch', '/site', ['allowed' => ['a b']])->assertUnprocessable();
        DB::table('sightings')->insert([
            ['widget_id' => $this->widget->id, 'page' => 'old.example/visit', 'first_at' => now(), 'last_at' => now()],
            ['widget_id' => $this->widget->id, 'page' => '/visit', 'first_at' => now(), 'last_at' => now()],
        ]);
        $this->ask('post', '/site/hosts', ['allowed' => []])->assertOk()->assertJson(['lockedOut' => ['old.example']]);
        $this->ask('post', '/site/hosts', ['allowed' => ['*.example']])->assertJson(['lockedOut' => []]);
        $this->ask('post', '/site/hosts', ['allowed' => null])->assertJson(['lockedOut' => []]);
        $this->ask('patch', '/site', ['counts' => false])->assertOk();
        self::assertStringNotContainsString('data-key', $this->out('place1test/current/widget.html'), 'nothing is sent where the owner says so');
    }

    public function test_links_on_the_owners_page_are_for_the_owner(): void
    {
        $this->mine->update(['website' => 'https://quillmoor.example/']);
        $token = function (string $page = 'https://quillmoor.example/visit#x'): string {
            $address = (string) $this->ask('post', '/owner-link', ['page' => $page])->assertOk()->json('address');
            self::assertMatchesRegularExpression('~^https://quillmoor\.example/visit#gnomic-owner=[0-9a-f]{40}$~', $address);

            return substr((string) strstr($address, '='), 1);
        };
        $views = fn (string $token, string $page = '/visit', string $keys = 'place1test,nobody'): TestResponse => $this->get("/owner/views?token=$token&page=".urlencode($page)."&keys=$keys");
        DB::table('counted')->insert(['widget_id' => $this->widget->id, 'day' => now('Europe/London')->format('Y-m-d'), 'page' => '/', 'width' => 'phone', 'views' => 7]);
        $once = $token();
        $told = $views($once)->assertOk()->assertHeader('Access-Control-Allow-Origin', '*')->assertHeaderMissing('Set-Cookie');
        self::assertSame(['Words', 7], [$told->json('widgets.place1test.name'), $told->json('widgets.place1test.views')]);
        $views($once)->assertForbidden();
        self::assertSame('{"widgets":{}}', (string) $views($token(), keys: 'other')->getContent(), 'of what is on the page alone');
        $views($token(), '/elsewhere')->assertForbidden();
        foreach (['', 'x', str_repeat('0', 40), "$once'"] as $forged) {
            $views(urlencode($forged))->assertForbidden();
        }
        $late = $token();
        $this->travel(6)->minutes();
        $views($late)->assertForbidden();
        // Who signs out ends them.
        $left = $token();
        $this->ask('delete', '/session')->assertNoContent();
        $views($left)->assertForbidden();
    }

    public function test_no_page_of_anybody_else_is_opened_as_ones_own(): void
    {
        $this->mine->update(['website' => 'https://quillmoor.example/']);
        foreach (['https://evil.example/', 'http://evil.example\\@quillmoor.example/', 'https://quillmoor.example@evil.example/', 'https://quillmoor.example:x@evil.example/', 'https:\\\\evil.example', 'https://evil.example#@quillmoor.example/',
            'https://evil.example\\.quillmoor.example/', "https://quillmoor.example\t.evil.example/", 'https://quillmoor.example.evil.example/', 'javascript:alert(1)//quillmoor.example/', '//quillmoor.example/', 'https:/quillmoor.example/',
            "https://quillmoor.example\n/x", 'https://quillmoor.example/\\evil'] as $page) {
            $this->ask('post', '/owner-link', ['page' => $page])->assertUnprocessable();
        }
        foreach (['https://quillmoor.example', 'https://quillmoor.example/', 'HTTPS://QUILLMOOR.example/a?b=c#d', 'https://quillmoor.example:8443/x'] as $page) {
            $this->ask('post', '/owner-link', ['page' => $page])->assertOk();
        }
    }

    public function test_two_versions_are_tried_and_one_is_kept(): void
    {
        $trial = '/widgets/place1test/trial';
        $this->ask('post', '/widgets/{key}/trial', [], $trial)->assertConflict();
        $brief = Brief::usual()->toArray();
        $brief['shape']['heading'] = 'Another';
        $this->ask('patch', '/widgets/{key}', ['brief' => $brief], '/widgets/place1test')->assertOk();
        $this->ask('post', '/widgets/{key}/trial', [], $trial)->assertNoContent();
        $this->ask('post', '/widgets/{key}/trial', [], $trial)->assertConflict();
        [$same, $other] = Widget::query()->whereNotNull('variant_of')->orderBy('id')->pluck('key')->all();
        self::assertStringContainsString("\"versions\":[\"$same\",\"$other\"]", html_entity_decode($this->out('place1test/current/decide.html')));
        self::assertStringContainsString('Another', $this->out("$other/current/widget.html"));
        self::assertStringNotContainsString('Another', $this->out("$same/current/widget.html"));
        $this->place(['pages' => ['/visit'], 'overrides' => ['most' => 1]]);
        self::assertStringContainsString("\"versions\":[\"$same\",\"$other\"]", html_entity_decode($this->out('place1test/current/decide.html')), 'spots leave it alone');
        foreach ([[$same, 1_000, 50], [$other, 1_000, 120]] as [$key, $views, $engaged]) {
            DB::table('counted')->insert(['widget_id' => Widget::query()->where('key', $key)->value('id'), 'day' => '2026-11-27', 'page' => '/', 'width' => 'phone',
                'views' => $views, 'engaged' => $engaged]);
        }
        $this->ask('get', '/widgets/{key}/counts', [], '/widgets/place1test/counts?days=400')->assertOk()->assertJsonPath('trial.says', 'enough');
        $this->ask('delete', '/widgets/{key}/trial', [], "$trial?kept=other")->assertNoContent();
        self::assertStringContainsString('Another', $this->out('place1test/current/widget.html'));
        self::assertStringNotContainsString('versions', $this->out('place1test/current/decide.html'));
        self::assertStringContainsString('12.0 % of 1,000 views against 5.0 %', (string) $this->ask('get', '/widgets/{key}/editions', [], '/widgets/place1test/editions')->json('editions.0.cause'));
        $this->ask('delete', '/widgets/{key}/trial', [], "$trial?kept=this")->assertConflict();
    }

    public function test_visitors_are_never_told_what_the_owner_calls_a_widget(): void
    {
        $widget = $this->publish($this->mine->widgets()->create(['key' => 'named1test', 'name' => 'Strip above the foot', 'brief' => Brief::usual()->toArray()]));
        $told = function () use ($widget): string {
            $codes = implode("\n", array_column(app(Codes::class)->of($this->mine, $widget->refresh()), 'code'));
            $oembed = (string) $this->get('/oembed?url='.urlencode(rtrim((string) config('app.url'), '/').'/w/named1test'))->assertOk()->getContent();
            $files = array_filter(iterator_to_array(new RecursiveIteratorIterator(new RecursiveDirectoryIterator(config('gnomic.editions').'/named1test'))), fn ($file): bool => $file->isFile());

            return $codes.$oembed.implode("\n", array_map(fn ($file): string => (string) (str_ends_with((string) $file, '.gz') ? gzdecode((string) file_get_contents((string) $file)) : file_get_contents((string) $file)), $files));
        };
        self::assertStringNotContainsString('Strip above', $told());
        self::assertStringContainsString('<title>Quillmoor Observatory</title>', $told());
        foreach ([['heading' => 'What guests say'], ['heading' => 'Other', 'title' => 'What guests say']] as $shape) {
            $widget->update(['brief' => BriefReader::read(['version' => 4, 'shape' => $shape])->toArray()]);
            $this->publish($widget);
            self::assertStringContainsString('<title>What guests say</title>', $told());
            self::assertStringContainsString('title=\"What guests say\"', $told(), 'the frame');
            self::assertStringNotContainsString('Strip above', $told());
        }
    }

    public function test_the_code_is_short_and_gives_its_room_back(): void
    {
        $codes = array_column(app(Codes::class)->of($this->mine, $this->widget->refresh()), 'code', 'key');
        $host = rtrim((string) config('app.url'), '/');
        self::assertLessThanOrEqual(300, strlen((string) $codes['tag']));
        $kept = ';display:if(media(scripting):block;else:none)"><set attributeName=display to=none begin=gno.error;6s /></svg></gnomic-widget>';
        foreach (['tag' => '"><svg display=block height=0 style="padding-top:', 'exact' => '" style="--gnomic-room:'] as $key => $then) {
            self::assertStringStartsWith("<script async id=\"gno\" src=\"$host/gnomic.js\"></script><gnomic-widget key=\"place1test$then", (string) $codes[$key]);
            self::assertStringEndsWith($kept, (string) $codes[$key]);
            self::assertDoesNotMatchRegularExpression('/<style|\son\w+=/i', (string) $codes[$key], 'nothing that policies forbid');
        }
        self::assertLessThanOrEqual(300, strlen((string) $codes['site']));
        // Where names are long, less room is kept, and the code stays short.
        $long = new Codes('https://'.str_repeat('widgets.', 16).'example', base_path('resources/codes'));
        self::assertLessThanOrEqual(300, strlen($long->tag($this->widget)));
        self::assertStringNotContainsString('<svg', $long->tag($this->widget));
        // What stands over the page takes no room in it.
        $this->widget->update(['brief' => BriefReader::read(['version' => 4, 'shape' => ['layout' => ['name' => 'panel', 'form' => 'badge']]])->toArray()]);
        $this->publish($this->widget);
        foreach ([app(Codes::class)->tag($this->widget->refresh()), app(Codes::class)->exactTag($this->widget)] as $code) {
            self::assertStringEndsWith("<gnomic-widget key=\"{$this->widget->key}\"></gnomic-widget>", $code);
        }
    }

    public function test_a_script_of_a_site_that_is_not_whole_is_written_again(): void
    {
        $script = app(SiteScript::class);
        $script->write($this->mine);
        $file = config('gnomic.editions')."/s/{$this->mine->key}.js";
        $whole = (string) file_get_contents($file);
        self::assertSame(0, $script->mend());
        foreach (['', '.gz', '.br', '.sums'] as $ending) {
            $before = (string) file_get_contents("$file$ending");
            file_put_contents("$file$ending", substr($before, 0, intdiv(strlen($before), 2)));
            self::assertSame(1, $script->mend(), $ending);
            self::assertSame($before, file_get_contents("$file$ending"), $ending);
            if ($ending !== '.sums') {
                file_put_contents("$file$ending", strrev($before));
                self::assertSame(0, $script->mend());
                self::assertSame(1, $script->mend(thoroughly: true), $ending);
                self::assertSame($before, file_get_contents("$file$ending"), $ending);
            }
        }
        self::assertSame($whole, file_get_contents($file));
    }

    public function test_a_picture_that_is_not_whole_is_fetched_again(): void
    {
        $image = imagecreatetruecolor(120, 80);
        ob_start();
        imagepng($image);
        $kept = app(PictureFiles::class)->keep((string) ob_get_clean());
        $picture = Picture::query()->create(['site_id' => $this->mine->id, 'url' => 'https://a.example/p.png', 'digest' => 'x', 'state' => PictureState::Kept, 'name' => $kept['name'], 'widths' => $kept['widths'], 'tries' => 1]);
        $look = app(PictureLook::class);
        self::assertSame([0, 0], [$look->mend(), $look->mend(thoroughly: true)]);
        $file = config('gnomic.editions')."/p/{$kept['name']}-{$kept['widths'][0]}.webp";
        $before = (string) file_get_contents($file);
        foreach (['', substr($before, 0, -3), str_repeat("\0", strlen($before))] as $contents) {
            $picture->update(['state' => PictureState::Kept]);
            file_put_contents($file, $contents);
            self::assertSame(1, $look->mend());
            self::assertSame(PictureState::Waiting, $picture->refresh()->state);
        }
        $picture->update(['state' => PictureState::Kept]);
        file_put_contents($file, substr($before, 0, 12).str_repeat('x', strlen($before) - 12));
        self::assertSame([0, 1], [$look->mend(), $look->mend(thoroughly: true)]);
    }

    public function test_embedding_by_address(): void
    {
        $host = rtrim((string) config('app.url'), '/');
        $at = fn (string $query): TestResponse => $this->get("/oembed?$query");
        $url = urlencode("$host/w/place1test");
        $told = $at("url=$url")->assertOk()->assertHeader('Content-Type', 'application/json')->assertHeaderMissing('Set-Cookie');
        self::assertSame(['1.0', 'rich', 'Quillmoor Observatory', 720], [$told->json('version'), $told->json('type'), $told->json('title'), $told->json('width')]);
        self::assertStringContainsString("<iframe src=\"$host/w/place1test\"", (string) $told->json('html'));
        $small = $at("url=$url&maxwidth=400&maxheight=300&format=json");
        self::assertSame([400, 300, null], [$small->json('width'), $small->json('height'), $small->json('thumbnail_url')]);
        $xml = simplexml_load_string((string) $at("url=$url&format=xml")->assertHeader('Content-Type', 'text/xml; charset=utf-8')->getContent());
        self::assertSame('rich', (string) ($xml->type ?? ''));
        foreach (['', 'url=', 'url='.urlencode("$host/w/nobody"), 'url='.urlencode('https://elsewhere.example/w/place1test'), 'url[]=x'] as $wrong) {
            $at($wrong)->assertNotFound();
        }
        $at("url=$url&format=yaml")->assertStatus(501);
        self::assertStringContainsString('application/json+oembed', $this->out('place1test/current/document.html'));
    }
}
