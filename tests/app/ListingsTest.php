<?php

declare(strict_types=1);

namespace Tests\app;

use App\Editions\LookFiles;
use App\Models\Page;
use App\Models\RoundOutcome;
use App\Models\Site;
use App\Placing\Counting\Trials;
use App\Placing\Spots;
use Gnomic\Brief\Brief;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Place\Spot\Spot;
use Illuminate\Routing\Route as OneRoute;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Route;
use Tests\TestCase;

/** However many there are of anything, a listing asks the database as often. All that can be asked of the interface is looked at. */
final class ListingsTest extends TestCase
{
    private const SMALL = 2;

    private const LARGE = 14;

    /** Parameters of addresses, as fill() makes them; and what a search is for. */
    private const PARAMETERS = ['{key}' => 'widget0001', '{id}' => '1', '{number}' => '1', '{form}' => 'jsonl', '{kind}' => 'entries'];

    /** What names another thing there. */
    private const OTHERS = [
        'api/sources/{key}' => 'api/sources/source-1',
        'api/looks/{key}/tokens' => 'api/looks/look-1/tokens',
        'api/entries/where' => 'api/entries/where?id=source-1:e1',
        'api/testimonials/{id}' => 'api/testimonials/by-hand:h1',
        'api/likeness' => 'api/likeness?id=source-1:e1',
        'api/ground' => 'api/ground?address=https://quillmoor.example/0',
    ];

    /** What is asked of outside services, and of work in the background that nobody has begun here. */
    private const ASIDE = ['api/places', 'api/boards', 'api/website/{token}', 'api/grants/{id}/choices', 'api/imports/{id}/wrong.csv',
        'api/ground', 'api/testimonials/{id}', 'api/templates/{kind}.{form}'];

    public function test_a_listing_asks_as_often_however_much_there_is(): void
    {
        Queue::fake();
        $site = $this->site();
        $this->actingAs($this->ownerOf($site));
        $this->fill($site, 0, self::SMALL);
        $few = array_map($this->queries(...), self::listings());
        $this->fill($site, self::SMALL, self::LARGE);
        $many = array_map($this->queries(...), self::listings());
        self::assertSame($few, $many, 'Queries of each at '.self::SMALL.' of everything, and at '.self::LARGE);
    }

    /** @return array<string, string> what is asked, by the path of its route */
    private static function listings(): array
    {
        $routes = file_get_contents(dirname(__DIR__, 2).'/routes/web.php');
        preg_match_all('/Route::get\(\s*\'([^\']+)\'/', (string) $routes, $found);
        $listings = [];
        foreach ($found[1] as $path) {
            if (! in_array("api/$path", self::ASIDE, true) && ! str_starts_with($path, 'grants/{channel}')) {
                $listings[$path] = self::OTHERS["api/$path"] ?? strtr("api/$path", self::PARAMETERS);
            }
        }

        return $listings;
    }

    /** None is left out because it was written otherwise. */
    public function test_every_address_that_answers_is_among_them_or_told_apart(): void
    {
        $known = count(self::ASIDE) + count(self::listings());
        $there = array_filter(
            Route::getRoutes()->getRoutes(),
            fn (OneRoute $route): bool => in_array('GET', $route->methods(), true) && str_starts_with($route->uri(), 'api/')
                && $route->uri() !== 'api/{any}',
        );
        self::assertCount($known, $there);
    }

    private function queries(string $uri): int
    {
        $this->getJson($uri)->assertSuccessful(); // what is kept from one request to the next is there from now on
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->get($uri, ['Accept' => 'application/json'])->assertSuccessful();
        DB::disableQueryLog();

        return count(DB::getQueryLog());
    }

    /** Of everything that a listing may list, numbers from $from to below $to. */
    private function fill(Site $site, int $from, int $to): void
    {
        for ($n = $from; $n < $to; $n++) {
            $subject = $site->subjects()->create(['key' => "subject-$n", 'name' => "Subject $n", 'reopened_on' => '2026-01-0'.(1 + $n % 9)]);
            $subject->addresses()->create(['channel' => 'feed', 'address' => "https://feeds.example/$n"]);
            $grant = $site->grants()->create(['channel' => 'ticketwick', 'account' => "Account $n", 'scopes' => ['venues'], 'access' => 'a']);
            $source = $this->source($site, "source-$n", $n % 2 === 0 ? 'feed' : 'ticketwick', "https://feeds.example/$n");
            $source->update(['subject_id' => $subject->id, 'grant_id' => $n % 2 === 0 ? null : $grant->id]);
            $source->rounds()->create(['outcome' => RoundOutcome::Failed, 'reason' => 'It did not answer.', 'started_at' => now(), 'finished_at' => now()]);
            $this->store($source, array_map(fn (int $at): Entry => new Entry("e$at", Kind::Review, author: new Author("Author $n $at"),
                rating: Rating::on(Scale::ofStars(), 5), text: 'The dome was open, and the sky was as clear as it has been all winter.',
                tags: ["tag$n"]), range(1, 3)));
            $this->place($site, $n, $n > 0 ? 'widget'.sprintf('%04d', $n - 1) : null);
            $site->looks()->create(['key' => "look-$n", 'name' => "Look $n",
                'look' => $this->app->make(LookFiles::class)->all()->named('night-ink')->toArray()]);
            $site->views()->create(['name' => "View $n", 'wanted' => ['wanted' => [], 'state' => null, 'search' => '']]);
        }
    }

    /** A widget with two editions, two spots of which one is different, two versions on trial, and a page where it is. */
    private function place(Site $site, int $n, ?string $apartFrom): void
    {
        $brief = Brief::usual()->toArray();
        if ($apartFrom !== null) {
            $brief['gather'] = ['apartFrom' => [$apartFrom]] + (array) $brief['gather'];
        }
        $key = 'widget'.sprintf('%04d', $n);
        $widget = $site->widgets()->create(['key' => $key, 'name' => "Widget $n", 'brief' => $brief]);
        foreach ([1, 2] as $number) {
            $edition = $widget->editions()->create(['number' => $number, 'hash' => str_repeat((string) $number, 16), 'brief' => $brief,
                'shown' => $number, 'cause' => 'A test', 'created_at' => now()]);
            $widget->update(['edition_id' => $edition->id]);
        }
        $this->app->make(Spots::class)->put($site, $widget, Spot::read(['pages' => ["/one/$n"]]));
        $this->app->make(Spots::class)->put($site, $widget, Spot::read(['pages' => ['/many/*'], 'overrides' => ['most' => 3]]));
        $this->app->make(Trials::class)->begin($widget, $widget->draft(), $widget->draft());
        $page = Page::query()->create(['site_id' => $site->id, 'address' => "https://quillmoor.example/$n", 'digest' => "digest$n",
            'path' => "/$n", 'branch' => "/$n", 'found_by' => 'hand', 'checked_at' => now()]);
        $page->findings()->create(['site_id' => $site->id, 'widget_id' => $widget->id, 'verdict' => 'missing', 'told' => [],
            'checked_at' => now(), 'missing_since' => now()->subDay()]);
        $site->imports()->create(['kind' => 'entries', 'name' => 'table.csv', 'state' => 'done', 'total' => 0, 'done' => 0]);
        DB::table('counted')->insert(['widget_id' => $widget->id, 'day' => now()->format('Y-m-d'), 'page' => "/$n",
            'width' => 'wide', 'views' => 3]);
    }
}
