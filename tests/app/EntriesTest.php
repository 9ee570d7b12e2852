<?php

declare(strict_types=1);

namespace Tests\app;

use App\Entries\EntryRules;
use App\Models\Edition;
use App\Models\EntryRecord;
use App\Models\Site;
use App\Models\Widget;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Gather\Tables\TableReader;
use Gnomic\Sift\Hold;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Effort;
use Tests\TestCase;

/** What the owner does with entries, and the rules of the site. */
final class EntriesTest extends TestCase
{
    private Site $mine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->mine = $this->site();
        $this->actingAs($this->ownerOf($this->mine));
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

    private function review(string $id, float $stars, string $text = 'Fine.', ?string $author = 'Ines'): Entry
    {
        return new Entry($id, Kind::Review, author: new Author($author), rating: Rating::on(Scale::ofStars(), $stars), text: $text);
    }

    /** @param  array<string, mixed>  $brief */
    private function widget(string $key, array $brief): Widget
    {
        $widget = $this->mine->widgets()->create(['key' => $key, 'name' => $key, 'brief' => ['version' => 1] + $brief]);

        return $this->publish($widget);
    }

    private function file(string $key, string $name = 'widget.html'): string
    {
        return (string) file_get_contents(config('gnomic.editions')."/$key/current/$name");
    }

    public function test_marks_tell_what_they_changed_and_only_that_is_taken_back(): void
    {
        $this->store($this->source($this->mine), [$this->review('a', 5), $this->review('b', 4), $this->review('c', 1)]);
        $this->widget('marked0001', []);
        EntryRecord::query()->where('source_entry_id', 'b')->update(['hidden' => true]);
        $all = ['the-dome:a', 'the-dome:b', 'the-dome:c', 'not:there'];
        $this->ask('post', '/entries/marks', ['ids' => $all, 'hidden' => true])
            ->assertOk()
            ->assertJson(['changed' => ['the-dome:a', 'the-dome:c']]);
        self::assertStringNotContainsString('<article', $this->file('marked0001'));
        $this->ask('post', '/entries/marks', ['ids' => ['the-dome:a', 'the-dome:c'], 'hidden' => false]);
        self::assertSame(2, substr_count($this->file('marked0001'), '<article'));

        $this->ask(
            'post',
            '/entries/marks',
            ['ids' => $all, 'label' => ' Front  Page ', 'on' => true],
        )->assertJsonPath('changed', ['the-dome:a', 'the-dome:b', 'the-dome:c']);
        $this->ask('post', '/entries/marks', ['ids' => $all, 'label' => 'front page', 'on' => true])->assertJsonPath('changed', []);
        self::assertSame('front page', $this->ask('get', '/choices')->json('labels.0.key'));
        $labelled = '/entries?wanted='.urlencode('{"sift":{"labels":{"any":["FRONT page"]}}}');
        self::assertSame(3, $this->ask('get', '/entries', at: $labelled)->json('count'));
        $this->ask(
            'post',
            '/entries/marks',
            ['ids' => ['the-dome:a'], 'label' => 'Front page', 'on' => false],
        )->assertJsonPath('changed', ['the-dome:a']);
        self::assertSame(2, $this->ask('get', '/entries', at: $labelled)->json('count'));
        $this->ask('post', '/entries/marks', ['ids' => ['the-dome:a']])->assertUnprocessable();
        $this->ask('post', '/entries/marks', ['ids' => ['the-dome:a'], 'hidden' => true, 'held' => true])->assertUnprocessable();
        $this->ask('post', '/entries/marks', ['ids' => array_fill(0, 5001, 'x'), 'hidden' => true])->assertUnprocessable();
    }

    public function test_labels_of_the_owner_outlast_an_edit_at_the_source(): void
    {
        $source = $this->source($this->mine);
        $this->store($source, [new Entry('a', Kind::Review, text: 'One', tags: ['came'])]);
        $this->ask('post', '/entries/marks', ['ids' => ['the-dome:a'], 'label' => 'mine', 'on' => true]);
        $this->store($source, [new Entry('a', Kind::Review, text: 'Two', tags: ['came', 'later'])]);
        self::assertSame('|came|later|mine|', EntryRecord::query()->firstOrFail()->labels);
    }

    public function test_what_a_rule_holds_shows_nowhere_until_it_is_released_and_counts_all_the_same(): void
    {
        $source = $this->source($this->mine);
        $this->store($source, [$this->review('old', 1)]);
        app(EntryRules::class)->hold($this->mine, new Hold(3.0, ['comet*'], true, false));
        $this->store(
            $source->refresh(),
            [
                $this->review('low', 2),
                $this->review('high', 5),
                $this->review('word', 5, 'Comets!'),
                $this->review('link', 5, 'see www.a.example'),
            ],
        );
        $widget = $this->widget('held000001', []);
        self::assertSame(2, $widget->edition?->shown, 'what was there before, and the one that no rule holds');
        self::assertStringContainsString('from 5 ratings', $this->file('held000001'));
        self::assertSame(3, $this->ask('get', '/today')->json('held'));
        $held = $this->ask('get', '/entries', at: '/entries?state=held')->json('entries');
        self::assertEqualsCanonicalizing(
            [
                ['2 stars, and you look at those below three first.'],
                ['It says "comet*", which you want to look at first.'],
                ['It has a link in its words.'],
            ],
            array_column($held, 'heldFor'),
        );
        $this->ask('post', '/entries/marks', ['ids' => ['the-dome:low'], 'held' => false])->assertJson(['changed' => ['the-dome:low']]);
        self::assertStringContainsString('2 out of 5', $this->file('held000001'));
        $this->ask('put', '/rules', ['hold' => ['starsBelow' => 6]])->assertUnprocessable();
    }

    public function test_newcomers_are_those_who_have_said_nothing_here_before(): void
    {
        $source = $this->source($this->mine);
        $this->store($source, [$this->review('1', 5, 'First.', 'Ines Marlow')]);
        app(EntryRules::class)->hold($this->mine, new Hold(newcomers: true));
        $this->store(
            $source->refresh(),
            [
                $this->review('2', 5, 'Again.', 'INES  MARLOW'),
                $this->review('3', 5, 'New.', 'Otto'),
                $this->review('4', 5, 'New too.', 'Otto'),
                $this->review('5', 5, 'Nobody.', null),
            ],
        );
        self::assertSame(
            ['3', '5'],
            EntryRecord::query()->where('held', true)->orderBy('source_entry_id')->pluck('source_entry_id')->all(),
        );
    }

    public function test_words_never_shown_bar_what_is_there_and_what_comes(): void
    {
        $source = $this->source($this->mine);
        $this->store($source, [$this->review('a', 5, 'The queue.'), $this->review('b', 5, 'The sky.'), $this->review('c', 5, '天文台')]);
        $widget = $this->widget('never00001', ['sift' => ['pins' => ['the-dome:a']]]);
        self::assertStringContainsString('The queue.', $this->file('never00001'));
        $this->ask('put', '/rules', ['never' => ['QUEUE', '天文', '/x.*/', '!']])
            ->assertOk()
            ->assertJson(['barred' => 2, 'never' => ['QUEUE', '天文', '/x.*/', '!']]);
        self::assertSame(1, $widget->refresh()->edition?->shown);
        $this->store($source->refresh(), [$this->review('d', 5, 'No queues, one queue.')]);
        self::assertTrue(EntryRecord::query()->where('source_entry_id', 'd')->firstOrFail()->barred);
        $this->ask('put', '/rules', ['never' => []])->assertJsonPath('barred', 0);
        self::assertSame(4, $widget->refresh()->edition->shown);
        $this->ask('put', '/rules', ['never' => array_fill(0, 5001, 'x')])->assertUnprocessable();
    }

    public function test_an_entry_tells_where_it_is_on_show_and_why_not(): void
    {
        $this->store($this->source($this->mine), [$this->review('a', 5), $this->review('b', 3)]);
        $this->widget('front00001', ['sift' => ['stars' => ['from' => 4]]]);
        $this->widget('foot000001', ['sift' => ['order' => 'lowest', 'limit' => 1]]);
        $where = fn (string $id): array => array_map(
            fn (array $one): array => [$one['key'], $one['place'], $one['reason']],
            $this->ask('get', '/entries/where', at: "/entries/where?id=$id")->json('widgets'),
        );
        self::assertSame(
            [
                ['front00001', 1, 'It meets every condition; it is number 1 of the newest ten entries.'],
                ['foot000001', null, 'It meets every condition, but comes after the lowest-rated entry.'],
            ],
            $where('the-dome:a'),
        );
        self::assertSame(
            [
                ['front00001', null, '3 stars; the widget asks for four stars and up.'],
                ['foot000001', 1, 'It meets every condition; it is number 1 of the lowest-rated entry.'],
            ],
            $where('the-dome:b'),
        );
        self::assertSame(
            ['the-dome:a', 'the-dome:b'],
            array_map(
                fn (array $row): string => $row['entry']['id'],
                $this->ask('get', '/entries', at: '/entries?state=shown')->json('entries'),
            ),
        );
        $this->ask(
            'post',
            '/widgets/{key}/pins',
            ['id' => 'the-dome:b', 'on' => true],
            '/widgets/front00001/pins',
        )->assertJsonPath('out', true);
        self::assertContains(['front00001', 1, 'You have pinned it; it is number 1.'], $where('the-dome:b'));
        Widget::query()->where('key', 'front00001')->firstOrFail()->update(['brief' => ['version' => 1]]);
        $this->ask(
            'post',
            '/widgets/{key}/pins',
            ['id' => 'the-dome:a', 'on' => true],
            '/widgets/front00001/pins',
        )->assertJsonPath('out', false);
        $this->ask('get', '/entries/where', at: '/entries/where?id=not:there')->assertNotFound();
    }

    public function test_what_a_brief_asks_in_vain_is_explained_kept_and_harmless(): void
    {
        $this->store($this->source($this->mine), [$this->review('a', 5), $this->review('b', 4), $this->review('gone', 5)]);
        EntryRecord::query()->where('source_entry_id', 'gone')->update(['gone' => true, 'gone_at' => now()]);
        $proof = fn (array $brief): array => $this->ask('post', '/proof', ['brief' => ['version' => 1] + $brief])->assertOk()->json();
        $told = fn (array $brief): string => implode(' ', array_column($proof($brief)['warnings'], 'text'));
        self::assertStringContainsString(
            'One pin cannot be shown. It is no longer at its source.',
            $told(['sift' => ['pins' => ['the-dome:gone', 'the-dome:b']]]),
        );
        self::assertStringContainsString(
            'One pin cannot be shown. It no longer exists.',
            $told(['sift' => ['pins' => ['other-site:1']]]),
        );
        self::assertStringContainsString(
            'that this site does not have: rook, lane',
            $told(['gather' => ['sources' => ['the-dome', 'rook'], 'subjects' => ['lane']]]),
        );
        self::assertStringContainsString('from 4 to 5', $told(['sift' => ['stars' => ['from' => 5, 'to' => 4]]]));
        self::assertSame(
            ['from' => 5, 'to' => 4, 'unrated' => 'drop'],
            $proof(['sift' => ['stars' => ['from' => 5, 'to' => 4]]])['brief']['sift']['stars'],
            'kept as it was given',
        );
        self::assertSame(
            2,
            array_slice($proof(['sift' => ['stars' => ['from' => 5, 'to' => 4]]])['sieve'], -1)[0]['kept'],
            'and harmless',
        );
        $words = array_map(fn (int $number): string => "word$number", range(1, 5000));
        self::assertStringContainsString('5,000 words are a long list', $told(['sift' => ['words' => ['none' => $words]]]));
        $repairs = $proof(['sift' => ['words' => ['any' => ['nothing']], 'stars' => ['from' => 5]]])['warnings'][0]['repairs'];
        self::assertSame(['Leave out the stars and the words said: two would pass'], array_column($repairs, 'text'));
        self::assertSame(
            [],
            $proof(['sift' => ['words' => ['any' => ['nothing']], 'hidden' => ['the-dome:a', 'the-dome:b']]])['warnings'][0]['repairs'],
            'what a hand keeps out is no clause to loosen',
        );
    }

    public function test_views_are_kept_changed_and_forgotten(): void
    {
        $wanted = ['sift' => ['stars' => ['from' => 1, 'to' => 2]], 'shape' => ['layout' => 'list']];
        $id = $this->ask(
            'post',
            '/views',
            ['name' => 'Worst', 'wanted' => $wanted, 'state' => 'hidden', 'search' => 'rain'],
        )->assertCreated()->json('id');
        self::assertSame(
            $id,
            $this->ask('post', '/views', ['name' => 'Worst', 'wanted' => $wanted, 'state' => null, 'search' => ''])->json('id'),
            'the same name is the same view',
        );
        $views = $this->ask('get', '/views')->json('views');
        self::assertSame([1, 'Worst', null, ''], [count($views), $views[0]['name'], $views[0]['state'], $views[0]['search']]);
        self::assertSame(['gather', 'sift'], array_keys($views[0]['wanted']));
        $this->ask('post', '/views', ['name' => 'Wrong', 'wanted' => ['sift' => ['limit' => 0]]])->assertUnprocessable();
        $theirs = $this->site('Theirs')->views()->create(['name' => 'x', 'wanted' => ['wanted' => [], 'state' => null, 'search' => '']]);
        $this->ask('delete', '/views/{id}', [], "/views/$theirs->id")->assertNotFound();
        $this->ask('delete', '/views/{id}', [], "/views/$id")->assertNoContent();
    }

    public function test_an_export_computes_nothing_and_is_read_back(): void
    {
        $hostile = [
            '=1+1',
            '+1',
            '-2+3',
            '@SUM(A1)',
            "\t=1",
            '=HYPERLINK("http://a.example","x")',
            '|calc',
            '%0A=1',
            "=cmd|' /C calc'!A0",
            '＝1+1',
        ];
        $entries = array_map(
            fn (int $index): Entry => new Entry(
                "e$index",
                Kind::Review,
                author: new Author($hostile[$index]),
                rating: Rating::on(Scale::ofStars(), 4),
                title: $hostile[$index],
                text: $hostile[$index]."\nsecond, \"line\"",
                published: new \DateTimeImmutable('2026-01-02T03:04:05Z'),
            ),
            array_keys($hostile),
        );
        $this->store($this->source($this->mine), $entries);
        $csv = $this->get('/api/entries/export.csv')->assertOk()->streamedContent();
        $table = TableReader::read($csv);
        self::assertSame(['id', 'kind', 'source'], array_slice($table->header, 0, 3));
        self::assertCount(count($hostile), $table->rows);
        foreach ($table->rows as $row) {
            foreach ($row as $cell) {
                self::assertDoesNotMatchRegularExpression('/^\s*[=+\-@|%＝]/u', $cell);
            }
        }
        $lines = array_filter(explode("\n", $this->get('/api/entries/export.jsonl')->streamedContent()));
        self::assertEqualsCanonicalizing(
            array_map(fn (Entry $entry): string => ltrim($entry->text), $entries),
            array_map(fn (string $line): string => EntryJson::read(json_decode($line, true))->text, $lines),
        );
        $feed = json_decode($this->get('/api/entries/export.json?search='.urlencode('hyperlink'))->streamedContent(), true);
        self::assertSame(['https://jsonfeed.org/version/1.1', 1], [$feed['version'], count($feed['items'])]);
        self::assertSame([], json_decode($this->get('/api/entries/export.json?search=nothing')->streamedContent(), true)['items']);
        $this->getJson('/api/entries/export.csv?wanted=x')->assertUnprocessable();
        $this->getJson('/api/entries/export.exe')->assertNotFound();
    }

    public function test_nothing_twice_on_a_page(): void
    {
        $source = $this->source($this->mine);
        $this->store(
            $source,
            array_map(
                fn (int $number): Entry => new Entry(
                    "e$number",
                    Kind::Review,
                    text: "Entry $number.",
                    published: new \DateTimeImmutable("2026-01-0$number"),
                ),
                range(1, 6),
            ),
        );
        $this->widget('top0000001', ['sift' => ['limit' => 2]]);
        $this->widget('below00001', ['gather' => ['apartFrom' => ['top0000001', 'gone000001']], 'sift' => ['limit' => 2]]);
        $shown = fn (string $key): array => array_column(json_decode($this->file($key, 'feed.json'), true)['items'], 'id');
        self::assertSame([['the-dome:e6', 'the-dome:e5'], ['the-dome:e4', 'the-dome:e3']], [$shown('top0000001'), $shown('below00001')]);
        $this->ask('post', '/entries/marks', ['ids' => ['the-dome:e6'], 'hidden' => true]);
        self::assertSame(
            [['the-dome:e5', 'the-dome:e4'], ['the-dome:e3', 'the-dome:e2']],
            [$shown('top0000001'), $shown('below00001')],
            'one follows the other',
        );
        // Two that leave out each other's come to an end.
        Widget::query()->where('key', 'top0000001')->firstOrFail()->update(
            ['brief' => ['version' => 1, 'gather' => ['apartFrom' => ['below00001']], 'sift' => ['limit' => 2]]],
        );
        $this->publish(Widget::query()->where('key', 'top0000001')->firstOrFail());
        app(\App\Outbox\Outbox::class)->site($this->mine, 'test');
        self::assertSame(0, \Illuminate\Support\Facades\DB::table('outbox')->count());
        $proof = $this->ask(
            'post',
            '/proof',
            ['brief' => ['version' => 1, 'gather' => ['apartFrom' => ['gone000001']]]],
        )->json('warnings');
        self::assertStringContainsString('a removed widget showed (gone000001)', $proof[0]['text']);
    }

    public function test_of_many_widgets_only_those_a_new_entry_can_touch_are_computed(): void
    {
        $source = $this->source($this->mine);
        $this->store($source, [$this->review('a', 5)]);
        $edition = $this->widget('usual00001', [])->edition;
        self::assertNotNull($edition);
        $many = Effort::of(299, 999);
        foreach (range(1, $many) as $number) {
            $isTouched = $number % 100 === 0;
            $brief = [
                'version' => 1,
                'sift' => ['labels' => ['any' => [$isTouched ? 'comet' : "label $number"]]],
                'shape' => ['head' => [], 'honest' => false],
            ];
            $widget = $this->mine->widgets()->create(['key' => sprintf('many%06d', $number), 'name' => "$number", 'brief' => $brief]);
            $widget->update(
                [
                    'edition_id' => $widget->editions()
                        ->create([
                            'number' => 1,
                            'hash' => 'none',
                            'brief' => $brief,
                            'shown' => 0,
                            'cause' => 'test',
                            'created_at' => now(),
                        ])->id,
                ],
            );
        }
        $this->store($source->refresh(), [new Entry('new', Kind::Post, text: 'Tails up', tags: ['Comet'])]);
        // Whose files are not there gets another edition as soon as it is looked at.
        self::assertSame(
            1 + intdiv($many, 100),
            Edition::query()->where('number', 2)->count(),
            'those of its label, and the usual one',
        );
    }

    public function test_an_edition_holds_its_variants_and_everything_behind_the_honest_line(): void
    {
        $this->store($this->source($this->mine), [
            new Entry(
                'en',
                Kind::Review,
                rating: Rating::on(Scale::ofStars(), 5),
                text: 'English words',
                language: 'en',
                published: new \DateTimeImmutable('2026-01-03'),
                tags: ['dome'],
            ),
            new Entry(
                'de',
                Kind::Review,
                rating: Rating::on(Scale::ofStars(), 4),
                text: 'Deutsche Worte',
                language: 'de-AT',
                published: new \DateTimeImmutable('2026-01-02'),
            ),
            new Entry(
                'low',
                Kind::Review,
                rating: Rating::on(Scale::ofStars(), 1),
                text: 'Not for me',
                language: 'en',
                published: new \DateTimeImmutable('2026-01-01'),
            ),
        ]);
        $this->widget(
            'variants01',
            ['sift' => [
                'stars' => ['from' => 4],
                'limit' => 1,
                'languages' => ['pageFirst' => true],
                'labels' => ['byPage' => [['page' => '/visit*', 'any' => ['dome']]]],
            ]],
        );
        self::assertStringContainsString('English words', $this->file('variants01'));
        self::assertStringContainsString(
            'data-variants="{&quot;languages&quot;:[&quot;en&quot;,&quot;de&quot;],&quot;visits&quot;:1,'
                .'&quot;pages&quot;:[&quot;/visit*&quot;]}"',
            $this->file('variants01', 'decide.html'),
        );
        self::assertStringContainsString('Deutsche Worte', $this->file('variants01', 'at.de.html'));
        self::assertStringContainsString('English words', $this->file('variants01', 'at.de.p0.html'), 'labelled for the page');
        $everything = $this->file('variants01', 'all.html');
        self::assertStringContainsString('Not for me', $everything);
        self::assertStringContainsString('from 3 ratings', $everything);
        self::assertStringContainsString('nothing left out', $everything);
        self::assertStringContainsString('/w/variants01/all.html', $this->file('variants01'));
    }
}
