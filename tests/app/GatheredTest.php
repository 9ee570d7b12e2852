<?php

declare(strict_types=1);

namespace Tests\app;

use App\Entries\EntryStore;
use App\Host\DiskIsFull;
use App\Host\HostLocks;
use App\Models\EntryRecord;
use App\Models\Picture;
use App\Models\PictureState;
use App\Models\Site;
use App\Outbox\Renders;
use App\Pictures\FetchPictures;
use App\Pictures\PictureFiles;
use App\Pictures\PictureIsWrong;
use App\Pictures\Pictures;
use App\Sources\Discovery\ReadWebsite;
use DateTimeImmutable;
use Gnomic\Brief\BriefReader;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Media;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Gather\Matching\Coverage;
use Illuminate\Http\UploadedFile;
use Illuminate\Queue\MaxAttemptsExceededException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Testing\TestResponse;
use RuntimeException;
use Tests\TestCase;

/** One common entry: told once, its pictures kept, testimonials written down, and what the owner's own site tells. */
final class GatheredTest extends TestCase
{
    use Servers;

    private const WORDS = 'Saturn was so sharp that my daughter asked whether it was a sticker on the lens.';

    private Site $site;

    protected function setUp(): void
    {
        parent::setUp();
        $this->site = $this->site();
        config(['gnomic.editions' => getenv('GNOMIC_DATA').'/w-gathered']);
    }

    private static function said(
        string $id,
        string $text = self::WORDS,
        string $author = 'Ines Marlow',
        string $day = '2026-11-12',
        float $stars = 5.0,
    ): Entry {
        return new Entry(
            $id,
            Kind::Review,
            author: new Author($author),
            rating: Rating::on(Scale::ofStars(), $stars),
            text: $text,
            published: new DateTimeImmutable("{$day}T12:00:00Z"),
        );
    }

    public function test_what_is_told_twice_counts_once_and_the_owner_has_the_last_word(): void
    {
        Queue::fake();
        $this->actingAs($this->ownerOf($this->site));
        $this->store(
            $this->source($this->site, 'one'),
            [self::said('a'), self::said('b', 'Something else that nobody else has said in these words.')],
        );
        $this->store($this->source($this->site, 'two'), [self::said('c', self::WORDS.' Really.', 'Ines M.', '2026-11-13')]);
        $count = fn (): int => (int) $this->postJson('/api/proof', ['brief' => ['version' => 1]])->assertOk()->json('figures.count');
        self::assertSame(2, $count(), 'a duplicate counts once in every figure');
        self::assertTrue(EntryRecord::query()->where('ref', 'one:a')->firstOrFail()->duplicate, 'the one with more words speaks');

        self::assertSame(
            2,
            (int) $this->postJson('/api/proof', ['brief' => ['version' => 1, 'gather' => ['sources' => ['one']]]])->json('figures.count'),
            'where the speaker\'s source is left out, the next one speaks',
        );

        $response = $this->getJson('/api/likeness?id=one:a');
        Contract::assertKept('get', '/likeness', $response);
        self::assertSame([false, true], array_column($response->json('group'), 'speaks'));
        self::assertStringContainsString('the same author', (string) $response->json('group.0.reason'));

        Contract::assertKept('post', '/likeness/parted', $this->postJson('/api/likeness/parted', ['id' => 'one:a']));
        self::assertSame(3, $count());
        $this->store(
            $this->site->sources()->where('key', 'two')->firstOrFail(),
            [self::said('c', self::WORDS.' Really and truly.', 'Ines M.', '2026-11-13')],
        );
        self::assertSame(
            1,
            EntryRecord::query()->where('source_entry_id', 'c')->firstOrFail()->revisions()->count(),
            'it was edited at the source',
        );
        self::assertSame(3, $count(), 'and stays parted');
        Contract::assertKept('post', '/likeness/joined', $this->postJson('/api/likeness/joined', ['ids' => ['one:a', 'two:c']]));
        self::assertSame(2, $count());
        self::assertSame(
            ['reason' => 'It also appears elsewhere; only one of the two is shown.'],
            array_intersect_key(
                $this->postJson('/api/sieve', ['brief' => ['version' => 1], 'step' => 'once', 'kept' => false])->json('entries.0'),
                ['reason' => 1],
            ),
        );
    }

    public function test_when_the_speaker_goes_another_speaks(): void
    {
        $this->store($this->source($this->site, 'one'), [self::said('a')]);
        $two = $this->source($this->site, 'two');
        $this->store($two, [self::said('c', self::WORDS.' Really.')]);
        self::assertTrue(EntryRecord::query()->where('ref', 'one:a')->firstOrFail()->duplicate);
        $this->app->make(EntryStore::class)->take($two, [], Coverage::Whole, 'A test');
        self::assertFalse(EntryRecord::query()->where('ref', 'one:a')->firstOrFail()->duplicate);
    }

    /** @phpstan-impure */
    private function present(): int
    {
        return EntryRecord::query()->where('gone', false)->count();
    }

    public function test_gone_entries_show_by_the_sources_setting_and_removal_is_taken_back(): void
    {
        Queue::fake();
        $this->actingAs($this->ownerOf($this->site));
        $source = $this->source($this->site);
        $this->store($source, [self::said('a'), self::said('b', 'Other words of another night, and none of them the same.')]);
        $this->app->make(EntryStore::class)->take(
            $source,
            [self::said('b', 'Other words of another night, and none of them the same.')],
            Coverage::Whole,
            'A test',
        );
        self::assertSame(1, $this->present());
        $this->patchJson('/api/sources/the-dome', ['showsGone' => true])->assertOk();
        self::assertSame(2, $this->present());
        $response = $this->deleteJson('/api/sources/the-dome');
        Contract::assertKept('delete', '/sources/{key}', $response);
        self::assertSame([2, 0], [$response->json('entries'), $this->present()]);
        $this->getJson('/api/sources')->assertJsonCount(0, 'sources');
        $this->deleteJson('/api/sources/the-dome?removed=0')->assertJsonPath('entries', 2);
        self::assertSame(2, $this->present());
    }

    public function test_a_testimonial_is_written_edited_and_removed_and_its_address_never_shown(): void
    {
        Queue::fake();
        $this->actingAs($this->ownerOf($this->site));
        $response = $this->post('/api/testimonials', ['author' => 'Juno Park', 'role' => 'Teacher', 'text' => 'Thirty children, one comet.', 'rating' => '4.5', 'email' => 'juno@school.example', 'labels' => 'school, warm',
            'subject' => 'The Dome',
            'date' => '2026-05-01',
            'picture' => UploadedFile::fake()->image('juno.jpg', 300, 200)], ['Accept' => 'application/json']);
        Contract::assertKept('post', '/testimonials', $response);
        self::assertStringNotContainsString('juno@', (string) $response->getContent());
        self::assertStringNotContainsString('juno@', (string) json_encode(DB::table('entries')->get()), 'encrypted at rest');
        $id = substr((string) $response->json('entry.id'), strlen('by-hand:'));
        $shown = $this->getJson("/api/testimonials/$id");
        Contract::assertKept('get', '/testimonials/{id}', $shown);
        $shown->assertJsonPath('email', 'juno@school.example');
        $picture = Picture::query()->firstOrFail();
        self::assertSame([PictureState::Kept, 200, 200], [$picture->state, $picture->width, $picture->height], 'cut square');

        $this->post(
            "/api/testimonials/$id",
            ['author' => 'Juno Park', 'text' => 'Thirty-one children, one comet.'],
            ['Accept' => 'application/json'],
        )->assertOk();
        $entry = EntryRecord::query()->firstOrFail();
        self::assertSame([1, 'Thirty-one children, one comet.'], [$entry->revisions()->count(), $entry->toCore()->text]);
        self::assertNotNull($entry->toCore()->author->image, 'the picture stays');
        $this->deleteJson("/api/testimonials/$id")->assertNoContent();
        self::assertTrue($entry->refresh()->gone);
        $this->deleteJson("/api/testimonials/$id?removed=0")->assertNoContent();
        self::assertFalse($entry->refresh()->gone);
        $this->post('/api/testimonials', ['author' => 'Nobody'], ['Accept' => 'application/json'])->assertUnprocessable();
        $this->post(
            '/api/testimonials',
            ['author' => 'X', 'text' => 'y', 'picture' => UploadedFile::fake()->createWithContent('x.png', 'no picture')],
            ['Accept' => 'application/json'],
        )->assertUnprocessable();
    }

    public function test_pictures_are_fetched_kept_small_and_stripped_and_the_lost_become_initials(): void
    {
        $this->startStandins();
        config(['queue.default' => 'null']);
        $entry = fn (string $id, string $url, ?string $face): Entry => new Entry(
            $id,
            Kind::Post,
            author: new Author('Ines Marlow', image: $face),
            text: "Words of $id",
            media: [new Media('image', $url, alt: 'A sky')],
        );
        $this->store(
            $this->source($this->site),
            [
                $entry('a', "$this->standins/pictures/one.png?w=1600", "$this->standins/pictures/face.png?w=300"),
                $entry('b', "$this->standins/pictures/none.svg", "$this->standins/gone.png"),
            ],
        );
        $widget = $this->site->widgets()->create([
            'key' => 'withpictures',
            'name' => 'W',
            'brief' => BriefReader::read([
                'version' => 1,
                'shape' => ['card' => ['words', 'name', 'face', 'pictures'], 'names' => 'short'],
            ])->toArray(),
        ]);
        $this->publish($widget);
        $this->app->make(Renders::class)->workOff($this->site->id);
        $html = fn (): string => (string) file_get_contents(
            config('gnomic.editions')
                .'/withpictures/'
                .$widget->refresh()->edition?->hash
                .'/widget.html',
        );
        self::assertStringNotContainsString('<img', $html(), 'nothing of others is ever loaded');
        self::assertSame(2, substr_count($html(), '>IM</span>'));
        self::assertStringContainsString('Ines M.', $html());

        $this->app->call([new FetchPictures($this->site->id), 'handle']);
        $this->app->make(Renders::class)->workOff($this->site->id);
        self::assertSame([PictureState::Kept, PictureState::Kept, PictureState::Lost, PictureState::Lost], Picture::query()->orderBy('state')->pluck('state')->all());
        $kept = Picture::query()->where('url', 'like', '%one.png%')->firstOrFail();
        self::assertSame([[96, 320, 640, 1280], 1280, 960], [$kept->widths, $kept->width, $kept->height]);
        $file = (string) file_get_contents(config('gnomic.editions')."/p/$kept->name-640.webp");
        self::assertSame(['RIFF', 'WEBP'], [substr($file, 0, 4), substr($file, 8, 4)]);
        self::assertStringContainsString("/w/p/$kept->name-320.webp 320w", $html(), 'the widget shows it as soon as it is there');
        self::assertSame(1, substr_count($html(), '>IM</span>'), 'a lost picture is initials');
        self::assertStringNotContainsString($this->standins, $html());
    }

    public function test_one_picture_keeps_no_other_waiting_and_a_full_disk_loses_none(): void
    {
        Queue::fake();
        $this->startStandins();
        $waiting = function (string $name, int $tries): Picture {
            $this->app->make(Pictures::class)->wantOne($this->site, "$this->standins/pictures/$name.png?w=400");
            $picture = Picture::query()->latest('id')->firstOrFail();
            $picture->update(['tries' => $tries]);

            return $picture;
        };
        $killing = $waiting('one', 3);
        $next = $waiting('two', 0);
        $this->travel(2)->minutes();
        $fetch = fn () => $this->app->call([new FetchPictures($this->site->id), 'handle']);
        $folder = getenv('GNOMIC_DATA').'/w-no-room';
        @mkdir($folder, 0755, true);
        touch("$folder/p");
        $this->app->bind(PictureFiles::class, fn (): PictureFiles => new PictureFiles("$folder/p"));
        try {
            $fetch();
            self::fail('There was room.');
        } catch (RuntimeException $fault) {
            self::assertTrue(DiskIsFull::caused($fault), $fault->getMessage());
        }
        self::assertSame([PictureState::Lost, PictureState::Waiting, 0], [$killing->refresh()->state, $next->refresh()->state, $next->tries]);
        unlink("$folder/p");
        $fetch();
        self::assertSame(PictureState::Kept, $next->refresh()->state);
    }

    public function test_bytes_that_are_no_picture_or_a_huge_one(): void
    {
        $files = new PictureFiles(getenv('GNOMIC_DATA').'/w-gathered/p');
        foreach ([
            'no picture',
            '<svg xmlns="http://www.w3.org/2000/svg"/>',
            "\x89PNG\r\n\x1a\n"."\0\0\0\rIHDR\0\0\xFF\xFF\0\0\xFF\xFF\x08\x02\0\0\0"."\0\0\0\0",
        ] as $bytes) {
            try {
                $files->keep($bytes);
                self::fail('it was kept');
            } catch (PictureIsWrong $wrong) {
                self::assertNotSame('', $wrong->getMessage());
            }
        }
    }

    public function test_the_owners_site_tells_where_people_speak_of_it(): void
    {
        Queue::fake();
        $this->startStandins();
        $this->actingAs($this->ownerOf($this->site));
        $site = $this->serve(base_path('demo/site/server.php'), ['GNOMIC_STANDINS' => $this->standins]);
        $response = $this->postJson('/api/website', ['address' => $site]);
        Contract::assertKept('post', '/website', $response);
        self::assertSame('reading', $response->assertStatus(202)->json('state'), 'nobody waits for it');
        $this->queued(ReadWebsite::class)->each(fn (ReadWebsite $job) => $this->app->call([$job, 'handle']));
        $response = $this->getJson('/api/website/'.$response->json('token'))->assertJsonPath('state', 'done');
        Contract::assertKept('get', '/website/{token}', $response);
        self::assertEqualsCanonicalizing(
            ['Pocket Star Wheel', 'Moon Atlas', 'Quillmoor Observatory', 'The Dome', 'Harrow Lane Planetarium', 'Skerry Field Station'],
            array_column($response->json('found.subjects'), 'name'),
        );
        $found = array_map(fn (array $source): string => "$source[channel] $source[address]", $response->json('found.sources'));
        self::assertEqualsCanonicalizing(["feed $this->standins/rookcall/quillmoor/feed.atom", "page $this->standins/barrowfair/items/star-wheel", "page $site/shop", 'shutterfen quillmoor', 'corkwall quillmoor',
            'wayleaf wl-dome', 'ticketwick tv-dome', 'wayleaf wl-harrow', 'ticketwick tv-harrow'], $found);
        self::assertNotContains("$site/staff", $response->json('found.read'), 'robots.txt asks to leave it alone');
        $private = $this->postJson('/api/website', ['address' => 'http://10.0.0.1/'])->json('token');
        $this->app->call([$this->queued(ReadWebsite::class)->reverse()->firstOrFail(), 'handle']);
        $this->getJson("/api/website/$private")->assertJsonPath('state', 'failed')->assertJsonPath('found', null);
        $this->getJson('/api/website/'.str_repeat('x', 20))->assertNotFound();
    }

    public function test_a_website_whose_reader_was_killed_is_read_again_and_given_up_at_last(): void
    {
        Queue::fake();
        $this->actingAs($this->ownerOf($this->site));
        $token = $this->postJson('/api/website', ['address' => 'http://10.0.0.1/'])->json('token');
        $ask = fn (): TestResponse => $this->getJson("/api/website/$token");
        $ask()->assertJsonPath('state', 'reading');
        Queue::assertPushed(ReadWebsite::class, 1);
        $this->travel(31)->seconds();
        $held = $this->app->make(HostLocks::class)->attempt("website-{$this->site->id}-$token");
        $ask()->assertJsonPath('state', 'reading');
        Queue::assertPushed(ReadWebsite::class, 1); // somebody is at it
        $held?->release();
        $ask()->assertJsonPath('state', 'reading');
        Queue::assertPushed(ReadWebsite::class, 2);
        $this->queued(ReadWebsite::class)->firstOrFail()->failed(new MaxAttemptsExceededException);
        $ask()->assertJsonPath('state', 'reading');
        $this->travel(31)->seconds();
        $ask()->assertJsonPath('state', 'reading');
        $this->travel(31)->seconds();
        self::assertStringContainsString('Try again', $ask()->assertJsonPath('state', 'failed')->json('reason'));
        Queue::assertPushed(ReadWebsite::class, 3);
    }

    public function test_a_round_of_two_thousand_unchanged_entries_writes_none(): void
    {
        $source = $this->source($this->site);
        $entries = array_map(
            fn (int $number): Entry => self::said("e$number", "Visit number $number was like none before it."),
            range(1, 2_000),
        );
        $this->store($source, $entries);
        DB::enableQueryLog();
        $matched = $this->app->make(EntryStore::class)->take($source, $entries, Coverage::Whole, 'A test')->matched;
        self::assertSame(2_000, $matched->same);
        self::assertSame(
            [],
            array_values(array_filter(
                array_column(DB::getQueryLog(), 'query'),
                fn (string $sql): bool => preg_match('/^(insert|update|delete)/i', $sql) === 1,
            )),
        );
    }
}
