<?php

declare(strict_types=1);

namespace Tests\app;

use App\Models\EntryRecord;
use App\Models\Grant;
use App\Models\Import;
use App\Models\Page;
use App\Models\Site;
use App\Models\View;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Place\Spot\Spot;
use Illuminate\Http\UploadedFile;
use Illuminate\Routing\Route;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route as Routes;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Tests\TestCase;

/**
 * Every route that there is, also those that come, asked with another site's identifiers: nothing of that site is told, and
 * nothing of it changes.
 */
final class TenancyTest extends TestCase
{
    private const SECRET = 'Skerrystone';

    /** What no session is needed for, or what is about the session and no site. */
    private const OUTSIDE = ['api/session', 'api/{any}', 'api/password', 'api/password/confirm', 'api/password/link', 'api/password/set', 'api/account', 'api/account/sessions', 'api/account/sessions/{id}'];

    private Site $theirs;

    /** @var array<string, string> what stands in an address for something of theirs, by its name in the route */
    private array $identifiers;

    /** @var array<string, mixed> a body that names theirs in every member that can */
    private array $body;

    protected function setUp(): void
    {
        parent::setUp();
        $this->theirs = $this->site(self::SECRET);
        $source = $this->source($this->theirs, 'their-source');
        $source->update(['name' => self::SECRET.' source']);
        $this->store(
            $source,
            [new Entry(
                'e1',
                Kind::Review,
                author: new Author(self::SECRET),
                rating: Rating::on(Scale::ofStars(), 5),
                text: self::SECRET.' words',
            )],
        );
        $hand = $this->source($this->theirs, 'by-hand', 'hand', 'hand');
        $this->store($hand, [new Entry('t1', Kind::Testimonial, author: new Author(self::SECRET), text: self::SECRET.' told')]);
        $subject = $this->theirs->subjects()->create(['key' => 'their-subject', 'name' => self::SECRET.' subject']);
        $widget = $this->publish(
            $this->theirs->widgets()
                ->create(['key' => 'theirwidget', 'name' => self::SECRET, 'brief' => ['version' => 2]]),
        );
        $grant = Grant::query()->create([
            'site_id' => $this->theirs->id,
            'channel' => 'ticketwick',
            'account' => self::SECRET,
            'scopes' => [],
            'access' => 'a',
            'refresh' => 'r',
        ]);
        $import = Import::query()->create([
            'site_id' => $this->theirs->id,
            'kind' => 'entries',
            'name' => self::SECRET,
            'state' => 'ready',
        ]);
        $view = View::query()->create(['site_id' => $this->theirs->id, 'name' => self::SECRET, 'wanted' => []]);
        $token = str_repeat('t', 20);
        cache()->put("website:{$this->theirs->id}:$token", ['state' => 'failed', 'reason' => self::SECRET, 'found' => null]);
        $page = Page::query()->create(Page::columns($this->theirs->id, 'https://quillmoor.example/secret') + ['found_by' => 'hand', 'title' => self::SECRET]);
        $this->theirs->spots()->create(['key' => 'theirspot', 'widget_id' => $widget->id, 'spot' => Spot::read(['pages' => ['/secret']])->toArray()]);
        $this->theirs->looks()->create(['key' => 'own-theirs', 'name' => self::SECRET, 'look' => []]);
        $this->theirs->update(['words' => [['key' => 'more.button', 'language' => null, 'says' => self::SECRET]]]);
        $this->identifiers = [
            'looks/{key}' => 'own-theirs', 'spots/{key}' => 'theirspot', 'pages/{id}' => (string) $page->id,
            'sources/{key}' => $source->key, 'subjects/{key}' => $subject->key, 'widgets/{key}' => $widget->key, 'editions/{number}' => '1',
            'grants/{id}' => (string) $grant->id, 'imports/{id}' => (string) $import->id, 'views/{id}' => (string) $view->id,
            'testimonials/{id}' => 't1', 'website/{token}' => $token, '{channel}' => 'corkwall', '{kind}' => 'entries', '{form}' => 'csv',
        ];
        $refs = ['their-source:e1', 'by-hand:t1'];
        $wanted = [
            'gather' => ['sources' => [$source->key], 'subjects' => [$subject->key], 'apartFrom' => [$widget->key]],
            'sift' => ['pins' => $refs, 'hidden' => $refs],
        ];
        $this->body = [
            'id' => $refs[0],
            'widget' => $widget->key,
            'spot' => ['pages' => ['/mine']],
            'ids' => $refs,
            'key' => $widget->key,
            'hidden' => true,
            'on' => true,
            'grant' => $grant->id,
            'name' => 'Mine',
            'title' => 'Mine',
            'channel' => 'ticketwick',
            'address' => 'tv-dome',
            'keep' => true,
            'connected' => false,
            'reopenedOn' => '2026-01-01',
            'subject' => 'Mine',
            'brief' => ['version' => 2] + $wanted,
            'wanted' => $wanted,
            'step' => 'shown',
            'kept' => true,
            'search' => '',
            'state' => null,
            'author' => 'Me',
            'text' => 'Mine',
            'never' => ['mine'],
            'hold' => ['starsBelow' => null, 'words' => [], 'links' => false, 'newcomers' => false],
            'columns' => [],
            'removed' => 1,
            'timezone' => 'Europe/Paris', 'widths' => [360],
            'picture' => UploadedFile::fake()->image('mine.png', 4, 4),
        ];
        $this->actingAs($this->ownerOf($this->site('Mine'), 'me@mine.example'));
    }

    /** @return array<string, list<mixed>> everything that is theirs, by table */
    private function kept(): array
    {
        $kept = [];
        foreach ([
            'sources',
            'entries',
            'subjects',
            'widgets',
            'grants',
            'imports',
            'views',
            'credentials',
            'pictures',
            'outbox',
            'sites',
            'looks',
            'grounds',
        ] as $table) {
            $kept[$table] = array_values(DB::table($table)->where($table === 'sites' ? 'id' : 'site_id', $this->theirs->id)
                ->orderBy('id')
                ->get()
                ->all());
        }

        return $kept + ['editions' => array_values(DB::table('editions')->get()->all()), 'revisions' => array_values(DB::table('revisions')->get()->all())];
    }

    public function test_no_route_tells_or_changes_anything_of_another_site(): void
    {
        $before = $this->kept();
        $asked = $named = 0;
        foreach (Routes::getRoutes()->getRoutes() as $route) {
            if (! str_starts_with($route->uri(), 'api/') || in_array($route->uri(), self::OUTSIDE, true)) {
                continue;
            }
            self::assertContains('auth', $route->gatherMiddleware(), "{$route->uri()} asks who is there");
            self::assertContains('site', $route->gatherMiddleware(), "{$route->uri()} belongs to a site");
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                [$path, $isTheirs] = $this->pathOf($route);
                $response = $method === 'GET'
                    ? $this->json(
                        'GET',
                        $path.'?'.http_build_query(['id' => $this->body['id'], 'wanted' => json_encode($this->body['wanted'])]),
                    )
                    : $this->json($method, $path, $this->body);
                $asked++;
                $told = "$method $path answers {$response->getStatusCode()}";
                self::assertLessThan(500, $response->getStatusCode(), $told);
                if ($isTheirs) {
                    $named++;
                    self::assertSame(Response::HTTP_NOT_FOUND, $response->getStatusCode(), $told);
                }
                $content = $response->baseResponse instanceof StreamedResponse
                    ? $response->streamedContent()
                    : (string) $response->getContent();
                self::assertStringNotContainsString(self::SECRET, $content, $told);
                self::assertEquals($before, $this->kept(), "$told and changes something");
            }
        }
        self::assertGreaterThan(45, $asked);
        self::assertGreaterThan(18, $named);
        self::assertSame(2, EntryRecord::query()->where('site_id', $this->theirs->id)->count());
    }

    /** @return array{string, bool} the address, and whether something of theirs is named in it */
    private function pathOf(Route $route): array
    {
        $path = (string) preg_replace('~^api/~', '', $route->uri());
        $isTheirs = false;
        foreach ($this->identifiers as $pattern => $identifier) {
            if (str_contains($path, $pattern)) {
                $isTheirs = $isTheirs || str_contains($pattern, '/');
                $path = str_replace($pattern, (string) preg_replace('~\{\w+\}$~', $identifier, $pattern), $path);
            }
        }
        self::assertStringNotContainsString('{', $path, "a parameter of $path is not known here: say what stands for another site's");

        return ["/api/$path", $isTheirs];
    }
}
