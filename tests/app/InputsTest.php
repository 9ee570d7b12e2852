<?php

declare(strict_types=1);

namespace Tests\app;

use App\Editions\Behaviours;
use App\Editions\BringUpToDate;
use App\Editions\Catalogues;
use App\Editions\Fragments;
use App\Editions\Glyphs;
use App\Editions\LookFiles;
use App\Editions\NewDay;
use App\Editions\RatingPicture;
use App\Editions\Renderer;
use App\Editions\StyleSheets;
use App\Editions\Templates;
use App\Editions\UsedStyles;
use App\Editions\WidthRules;
use App\Entries\EntryStore;
use App\Models\Edition;
use App\Models\Picture;
use App\Models\PictureState;
use App\Models\Site;
use App\Models\Source;
use App\Models\Subject;
use App\Models\Widget;
use App\Outbox\Outbox;
use App\Outbox\WorkOff;
use Closure;
use DateTimeImmutable;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Media;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Gather\Matching\Coverage;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Queue;
use Illuminate\View\Factory;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/**
 * Everything that an edition is made from, changed in turn: just the widgets that show it are made again, and none of them in
 * the request, round or job that makes the change.
 */
final class InputsTest extends TestCase
{
    private Site $mine;

    private Source $dome;

    private Source $lane;

    private ?string $copied = null;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-05-01 12:00');
        $this->mine = $this->site();
        $this->mine->update(['languages' => ['en']]);
        $this->actingAs($this->ownerOf($this->mine));
        $this->dome = $this->source($this->mine);
        $this->lane = $this->source($this->mine, 'lane', 'shutterfen', 'photos');
        $this->dome->update(['subject_id' => Subject::named($this->mine, 'The Dome')->id]);
        $this->store(
            $this->dome->refresh(),
            [
                $this->review('a', 5, 'Clear skies over the dome.', '2026-04-30T20:00:00Z'),
                $this->review('late', 4, 'Late at night.', '2026-04-29T23:30:00Z'),
                $this->review('low', 1, 'Cold and cloudy.', '2026-03-15T20:00:00Z'),
            ],
        );
        $this->store(
            $this->lane,
            [new Entry(
                'shot',
                Kind::Post,
                author: new Author('Quillmoor'),
                text: 'The moon tonight.',
                published: new DateTimeImmutable('2026-04-20T20:00:00Z'),
                media: [new Media('image', 'https://pictures.example/moon.png', alt: 'The moon')],
            )],
        );

        $bare = ['head' => [], 'honest' => false];
        $this->widget('dome', ['gather' => ['sources' => ['the-dome']], 'sift' => ['stars' => ['from' => 4]], 'shape' => $bare]);
        $this->widget('lane', ['gather' => ['sources' => ['lane']], 'shape' => ['card' => ['words', 'name', 'pictures']] + $bare]);
        $this->widget('about', ['gather' => ['subjects' => ['the-dome']], 'shape' => ['card' => ['words']] + $bare]);
        $this->widget('labelled', ['sift' => ['labels' => ['any' => ['front']]], 'shape' => $bare]);
        $this->widget(
            'figures',
            [
                'gather' => ['sources' => ['the-dome']],
                'sift' => ['stars' => ['from' => 5, 'to' => 5]],
                'shape' => ['head' => ['overall'], 'honest' => false, 'card' => ['words']],
            ],
        );
        $this->widget(
            'apart',
            ['gather' => ['sources' => ['the-dome'], 'apartFrom' => ['dome']], 'shape' => ['card' => ['words']] + $bare],
        );
        $this->widget(
            'recent',
            [
                'gather' => ['sources' => ['the-dome']],
                'sift' => ['when' => ['last' => 2, 'unit' => 'days']],
                'shape' => ['card' => ['words']] + $bare,
            ],
        );
        $this->widget(
            'reopened',
            [
                'gather' => ['sources' => ['the-dome']],
                'sift' => ['stars' => ['from' => 1, 'to' => 1], 'when' => ['sinceReopened' => true]],
                'shape' => ['card' => ['words']] + $bare,
            ],
        );
        app(NewDay::class)->turn();
    }

    private function review(string $id, float $stars, string $text, string $published): Entry
    {
        return new Entry(
            $id,
            Kind::Review,
            author: new Author("Author $id"),
            rating: Rating::on(Scale::ofStars(), $stars),
            text: $text,
            published: new DateTimeImmutable($published),
        );
    }

    /** @param  array<string, mixed>  $brief */
    private function widget(string $key, array $brief): void
    {
        $this->publish($this->mine->widgets()->create(['key' => $key, 'name' => $key, 'brief' => ['version' => 2] + $brief]));
    }

    /** @return array<string, int> numbers of the editions that are out, by widget */
    private function out(): array
    {
        return array_map(
            fn (?Edition $edition): int => (int) $edition?->number,
            Widget::query()->with('edition')->get()->pluck('edition', 'key')->all(),
        );
    }

    /**
     * @param  Closure(self): mixed  $change
     * @param  list<string>  $follow
     */
    #[DataProvider('changes')]
    public function test_just_those_that_show_it_are_made_again_and_none_by_who_changes_it(Closure $change, array $follow): void
    {
        $before = $this->out();
        Queue::fake();
        $change($this);
        self::assertSame($before, $this->out(), 'nothing is rendered by who makes the change');
        if ($follow !== []) {
            Queue::assertPushed(WorkOff::class);
        }
        // Whoever was to do it is killed; what is written down is found all the same.
        app(BringUpToDate::class)->workOff($this->mine->id);
        $renewed = array_keys(array_filter(
            $this->out(),
            fn (int $number, string $key): bool => $number !== ($before[$key] ?? 0),
            ARRAY_FILTER_USE_BOTH,
        ));
        self::assertEqualsCanonicalizing($follow, $renewed);
        self::assertSame(0, DB::table('outbox')->count());

        $before = $this->out();
        app(Outbox::class)->site($this->mine, 'Asked once more');
        app(BringUpToDate::class)->workOff($this->mine->id);
        self::assertSame($before, $this->out(), 'nobody else was out of date, and none is made twice');
    }

    /** @return iterable<string, array{Closure(self): mixed, list<string>}> a change, and the widgets that follow it */
    public static function changes(): iterable
    {
        $all = ['dome', 'lane', 'about', 'labelled', 'figures', 'apart', 'recent', 'reopened'];
        $mark = fn (string $id, array $mark): Closure => fn (self $test) => $test->postJson(
            '/api/entries/marks',
            ['ids' => [$id], ...$mark],
        )->assertOk();

        yield 'a new entry' => [
            fn (self $test) => $test->store($test->dome, [$test->review('b', 4, 'Quiet.', '2026-05-01T11:00:00Z')]),
            ['dome', 'about', 'figures', 'recent'],
        ];
        yield 'a new entry that only the figures tell of' => [
            fn (self $test) => $test->store($test->dome, [$test->review('old', 2, '', '2026-01-01T11:00:00Z')]),
            ['about', 'figures', 'apart'],
        ];
        yield 'an edit at the source' => [
            fn (self $test) => $test->store($test->dome, [$test->review('low', 1, 'Cold, cloudy and dear.', '2026-03-15T20:00:00Z')]),
            ['about', 'apart', 'reopened'],
        ];
        yield 'a rating that changes' => [
            fn (self $test) => $test->store($test->dome, [$test->review('low', 5, 'Cold and cloudy.', '2026-03-15T20:00:00Z')]),
            // Where the cards show no ratings, nothing that is out tells them.
            ['dome', 'figures', 'apart', 'reopened'],
        ];
        yield 'an entry that is gone' => [function (self $test): void {
            $test->lane->update(['accepts_loss' => true]);
            app(EntryStore::class)->take(
                $test->lane,
                [$test->review('other', 5, 'Other.', '2026-01-01T00:00:00Z')],
                Coverage::Whole,
                'Gone',
            );
        }, ['lane']];
        yield 'hidden by the owner' => [$mark('the-dome:a', ['hidden' => true]), ['dome', 'about', 'figures', 'recent']];
        yield 'held by the owner' => [$mark('the-dome:late', ['held' => true]), ['dome', 'about', 'recent']];
        yield 'a label of the owner' => [$mark('lane:shot', ['label' => 'Front', 'on' => true]), ['labelled']];
        yield 'a label that nobody asks for' => [$mark('lane:shot', ['label' => 'Back', 'on' => true]), []];
        yield 'the name of a source' => [
            fn (self $test) => $test->patchJson('/api/sources/the-dome', ['name' => 'The observatory']),
            ['dome'],
        ];
        yield 'what a source is about' => [
            fn (self $test) => $test->patchJson('/api/sources/the-dome', ['subject' => 'Elsewhere']),
            ['about'],
        ];
        yield 'an account as it is shown' => [
            fn (self $test) => $test->patchJson(
                '/api/sources/lane',
                ['profile' => ['name' => 'Our photographs', 'picture' => null, 'bio' => null]],
            ),
            ['lane'],
        ];
        yield 'a subject that reopened' => [
            fn (self $test) => $test->patchJson('/api/subjects/the-dome', ['reopenedOn' => '2026-04-30']),
            ['reopened'],
        ];
        yield 'words that are never shown' => [
            fn (self $test) => $test->putJson('/api/rules', ['never' => ['cloudy']]),
            ['about', 'apart', 'reopened'],
        ];
        yield 'a picture that has come' => [fn (self $test) => $test->pictureComes(), ['lane']];
        yield 'the time zone' => [
            fn (self $test) => $test->patchJson('/api/site', ['timezone' => 'Pacific/Auckland']),
            ['dome', 'recent'],
        ];
        yield 'the languages of the pages' => [fn (self $test) => $test->patchJson('/api/site', ['languages' => ['en', 'de']]), $all];
        yield 'a new day' => [function (self $test): void {
            $test->travelTo('2026-05-02 12:00');
            app(NewDay::class)->turn();
        }, ['recent']];
        yield 'two that are told as one' => [
            fn (self $test) => $test->postJson('/api/likeness/joined', ['ids' => ['the-dome:a', 'the-dome:late']]),
            ['dome', 'about', 'figures', 'recent'],
        ];
        yield 'a source that is removed' => [fn (self $test) => $test->deleteJson('/api/sources/lane?removed=1'), ['lane']];
        yield 'a source that is only checked more often' => [
            fn (self $test) => $test->patchJson('/api/sources/the-dome', ['cadence' => 3600]),
            [],
        ];
        yield 'a testimonial about a subject' => [
            fn (self $test) => $test->postJson(
                '/api/testimonials',
                ['author' => 'Juno Park', 'text' => 'The rings!', 'subject' => 'The Dome'],
            )->assertCreated(),
            ['about'],
        ];
        yield 'a brief that is published' => [function (self $test): void {
            $test->patchJson(
                '/api/widgets/lane',
                ['brief' => ['version' => 2, 'gather' => ['sources' => ['lane']], 'dress' => ['name' => 'night-ink']]],
            );
            $test->postJson('/api/widgets/lane/editions')->assertAccepted();
        }, ['lane']];
        yield 'a brief that is changed and not published' => [
            fn (self $test) => $test->patchJson('/api/widgets/lane', ['brief' => ['version' => 2, 'sift' => ['limit' => 1]]]),
            [],
        ];
        yield 'one that shows others of what another leaves out' => [
            fn (self $test) => $test->publishTo(
                'dome',
                [
                    'gather' => ['sources' => ['the-dome']],
                    'sift' => ['stars' => ['from' => 5]],
                    'shape' => ['head' => [], 'honest' => false],
                ],
            ),
            ['dome', 'apart'],
        ];
        yield 'a new version: the tokens of a look' => [
            fn (self $test) => $test->newVersion('looks', 'earlier/paper.json', '/"#[0-9a-fA-F]{6}"/', '"#123456"'),
            $all,
        ];
        yield 'a new version: a look that nobody wears' => [
            fn (self $test) => $test->newVersion('looks', 'night-ink.json', '/"#[0-9a-fA-F]{6}"/', '"#123456"'),
            [],
        ];
        yield 'a new version: the words for visitors' => [
            fn (self $test) => $test->newVersion('words', 'en.json', '/"carousel.next": "[^"]*"/', '"carousel.next": "Onwards"'),
            ['dome', 'about', 'recent'],
        ];
        yield 'a new version: the words of a language that nobody asks for' => [
            fn (self $test) => $test->newVersion('words', 'de.json', '/"carousel.next": "[^"]*"/', '"carousel.next": "Fort"'),
            [],
        ];
        yield 'a new version: the templates' => [
            fn (self $test) => $test->newVersion('widget', 'items.blade.php', '/<article/', '<article data-edition="2"'),
            array_values(array_diff($all, ['labelled'])),
        ];
    }

    private function pictureComes(): void
    {
        $picture = Picture::query()->where('url', 'https://pictures.example/moon.png')->firstOrFail();
        self::assertSame(PictureState::Waiting, $picture->state);
        DB::transaction(function () use ($picture): void {
            $picture->update(['state' => 'kept', 'name' => 'moon', 'widths' => [320, 640], 'width' => 640, 'height' => 480]);
            app(Outbox::class)->site($this->mine, 'Pictures have come');
        });
    }

    /** Another version of a folder of resources takes the place of this one, as at an update. */
    private function newVersion(string $folder, string $file, string $pattern, string $by): void
    {
        $this->copied = config('gnomic.editions')."/../version-$folder";
        File::copyDirectory(resource_path($folder), $this->copied);
        $text = preg_replace($pattern, $by, (string) file_get_contents("$this->copied/$file"), -1, $count);
        self::assertGreaterThan(0, $count);
        file_put_contents("$this->copied/$file", $text);
        match ($folder) {
            'looks' => $this->app->instance(LookFiles::class, new LookFiles($this->copied)),
            'words' => $this->app->instance(Catalogues::class, new Catalogues($this->copied)),
            default => $this->app->instance(Renderer::class, $this->renderedFrom($this->copied)),
        };
        app(Outbox::class)->site($this->mine, 'A new version');
    }

    private function renderedFrom(string $folder): Renderer
    {
        $templates = new Templates($this->viewsIn($folder), $folder);
        $behaviours = app(Behaviours::class);
        $host = 'http://gnomic.test';
        $fragments = new Fragments($templates, new StyleSheets($folder, new WidthRules), new UsedStyles, $behaviours, app(Glyphs::class), $host);

        return new Renderer($fragments, $templates, $behaviours, app(RatingPicture::class), $host);
    }

    private function viewsIn(string $folder): Factory
    {
        app(Factory::class)->replaceNamespace('widget', $folder);
        app(Factory::class)->flushFinderCache();

        return app(Factory::class);
    }

    protected function tearDown(): void
    {
        if ($this->copied !== null) {
            File::deleteDirectory($this->copied);
        }
        parent::tearDown();
    }

    /** @param  array<string, mixed>  $brief */
    private function publishTo(string $key, array $brief): void
    {
        $this->patchJson("/api/widgets/$key", ['brief' => ['version' => 2] + $brief])->assertOk();
        $this->postJson("/api/widgets/$key/editions")->assertAccepted();
    }
}
