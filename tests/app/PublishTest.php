<?php

declare(strict_types=1);

namespace Tests\app;

use App\Editions\BringUpToDate;
use App\Editions\NewDay;
use App\Editions\Publish;
use App\Host\HostLocks;
use App\Models\Edition;
use App\Models\EntryRecord;
use App\Models\Site;
use App\Models\Source;
use App\Models\Widget;
use App\Outbox\Outbox;
use App\Outbox\Renders;
use App\Outbox\WorkOff;
use DateTimeImmutable;
use Gnomic\Brief\BriefReader;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

final class PublishTest extends TestCase
{
    private function review(int $number, float $stars, string $text = 'Words.'): Entry
    {
        return new Entry("r$number", Kind::Review, author: new Author("Author $number"), rating: Rating::on(Scale::ofStars(), $stars), text: $text,
            published: new DateTimeImmutable("2026-01-01T00:00:00Z +$number days"));
    }

    /** @param  array<string, mixed>  $brief */
    private function widget(Site $site, string $key, array $brief): Widget
    {
        $widget = $site->widgets()->create([
            'key' => $key,
            'name' => $key,
            'brief' => BriefReader::read(['version' => 1] + $brief)->toArray(),
        ]);

        return $this->publish($widget);
    }

    private function numberOf(string $key): int
    {
        return (int) Widget::query()->where('key', $key)->firstOrFail()->edition?->number;
    }

    private function file(string $key, string $name): string
    {
        return (string) file_get_contents(config('gnomic.editions')."/$key/current/$name");
    }

    public function test_the_same_bytes_make_no_edition_and_others_keep_the_one_before(): void
    {
        $site = $this->site();
        $source = $this->source($site);
        $this->store($source, [$this->review(1, 5), $this->review(2, 4)]);
        $widget = $this->widget($site, 'samebytes1', []);
        $first = $widget->edition;
        self::assertSame(1, $first?->number);
        app(Outbox::class)->widget($widget, null, 'again');
        self::assertSame(1, $widget->refresh()->edition?->number);

        $modified = filemtime(config('gnomic.editions').'/samebytes1/current/widget.html');
        $this->store($source, [$this->review(3, 5, 'Brand new.')]);
        self::assertSame(2, $widget->refresh()->edition->number);
        clearstatcache();
        self::assertGreaterThan(
            $modified,
            filemtime(config('gnomic.editions').'/samebytes1/current/widget.html'),
            'validators by time tell them apart',
        );
        self::assertStringContainsString('Brand new.', $this->file('samebytes1', 'widget.html'));
        self::assertFileExists(config('gnomic.editions')."/samebytes1/$first->hash/widget.html");
        foreach (['widget.html', 'document.html', 'feed.json'] as $name) {
            self::assertSame($this->file('samebytes1', $name), (string) gzdecode($this->file('samebytes1', "$name.gz")));
            self::assertFileExists(config('gnomic.editions')."/samebytes1/current/$name.br");
        }
    }

    public function test_only_widgets_that_a_change_can_touch_are_rendered(): void
    {
        $site = $this->site();
        $dome = $this->source($site);
        $lane = $this->source($site, 'lane');
        $this->store($dome, [$this->review(1, 5)]);
        $this->store($lane, [$this->review(1, 5)]);
        $bare = ['head' => [], 'honest' => false];
        $this->widget(
            $site,
            'domegood01',
            ['gather' => ['sources' => ['the-dome']], 'sift' => ['stars' => ['from' => 4]], 'shape' => $bare],
        );
        $this->widget(
            $site,
            'domebad001',
            ['gather' => ['sources' => ['the-dome']], 'sift' => ['stars' => ['to' => 2]], 'shape' => $bare],
        );
        $this->widget($site, 'lanegood01', ['gather' => ['sources' => ['lane']], 'shape' => $bare]);
        $rendered = 0;
        DB::listen(function ($query) use (&$rendered): void {
            $rendered += (int) str_starts_with($query->sql, 'select * from "widgets" where "id" = ?');
        });
        $this->store($dome, [$this->review(2, 5, 'Only here.')]);
        self::assertSame(1, $rendered);
        self::assertStringContainsString('Only here.', $this->file('domegood01', 'widget.html'));
    }

    public function test_whoever_waits_for_an_edition_never_reads_that_none_is_made_and_none_is_there(): void
    {
        Queue::fake();
        $site = $this->site();
        $this->store($this->source($site), [$this->review(1, 5)]);
        $this->actingAs($this->ownerOf($site));
        $at = PHP_INT_MAX;
        $asked = 0;
        $work = function () use (&$at, &$asked, $site): void {
            if (++$asked === $at) {
                $this->app->make(Renders::class)->workOff($site->id);
            }
        };
        DB::listen($work);
        $met = 0;
        foreach (range(1, 20) as $query) {
            $widget = $site->widgets()->create(['key' => "between$query", 'name' => 'x', 'brief' => BriefReader::read(['version' => 1])->toArray()]);
            app(Outbox::class)->widget($widget, $widget->draft(), 'By hand');
            [$asked, $at] = [0, $query];
            $told = $this->getJson("/api/widgets/$widget->key")->assertOk();
            $at = PHP_INT_MAX;
            self::assertTrue($told->json('publishing') || $told->json('edition.number') === 1, "after query $query");
            $met += $asked >= $query ? 1 : 0;
        }
        self::assertGreaterThan(4, $met, 'it was made between any two queries of the answer');
    }

    public function test_whoever_published_waits_for_that_and_not_for_what_comes_in_the_background(): void
    {
        Queue::fake();
        $site = $this->site();
        $this->store($this->source($site), [$this->review(1, 5)]);
        $this->actingAs($this->ownerOf($site));
        $widget = $this->widget($site, 'waitgood01', []);
        $this->app->make(Renders::class)->workOff($site->id);
        $told = fn (): mixed => $this->getJson("/api/widgets/$widget->key")->assertOk()->json('publishing');
        // What a round brought, and what a turn was too short for: it may wait for as long as entries come.
        $outbox = app(Outbox::class);
        $outbox->left($site->id, [[$widget->id, 'A round brought 7 entries', null]]);
        $outbox->site($site, 'Rules changed');
        self::assertTrue($outbox->hasAny($site->id));
        self::assertFalse($told());
        $brief = BriefReader::read(['version' => 4, 'shape' => ['heading' => 'As it is now']]);
        $outbox->widget($widget->refresh(), $brief, 'By hand');
        self::assertTrue($told());
        self::assertTrue($this->getJson('/api/widgets')->assertOk()->json('widgets.0.publishing'));
        $first = $outbox->waiting($site->id)[0];
        self::assertSame([$widget->id, 'By hand'], [$first->widget, $first->cause]);
        $outbox->done([$first]);
        self::assertFalse($told());
    }

    public function test_what_is_published_comes_before_forms_of_what_was_published(): void
    {
        Queue::fake();
        $site = $this->site();
        $this->store($this->source($site), [$this->review(1, 5)]);
        $main = $this->widget($site, 'maingood01', []);
        $others = array_map(fn (int $one): Widget => $this->widget($site, "formgood0$one", []), [1, 2]);
        foreach ($others as $form) {
            $form->update(['variant_of' => $main->id, 'variant' => $form->key]);
        }
        DB::table('outbox')->delete();
        $outbox = app(Outbox::class);
        foreach ([...$others, $main] as $widget) {
            $brief = BriefReader::read(['version' => 4, 'shape' => ['heading' => 'New of '.$widget->key]]);
            $outbox->widget($widget->refresh(), $brief, 'By hand');
        }
        $made = [];
        Edition::created(function (Edition $edition) use (&$made, $outbox, $main): void {
            $made[] = Widget::query()->whereKey($edition->widget_id)->value('key');
            if (count($made) === 2) {
                // Somebody presses again while a form is made.
                $outbox->widget($main->refresh(), BriefReader::read(['version' => 4, 'shape' => ['heading' => 'Newer']]), 'By hand');
            }
        });
        $this->app->make(Renders::class)->workOff($site->id, microtime(true) + 600);
        self::assertSame(['maingood01', 'formgood01', 'maingood01', 'formgood02'], $made);
    }

    public function test_the_figure_never_moves_with_the_filter(): void
    {
        $site = $this->site();
        $this->store($this->source($site), [$this->review(1, 5), $this->review(2, 1), $this->review(3, 3, '')]);
        foreach ([
            [],
            ['stars' => ['from' => 5]],
            ['withWords' => true],
            ['limit' => 1],
            ['hidden' => ['the-dome:r2']],
            ['order' => 'highest'],
        ] as $index => $sift) {
            $this->widget($site, "figure000$index", ['sift' => $sift]);
            self::assertStringContainsString('<span class="figure" part="figure">3.0', $this->file("figure000$index", 'widget.html'));
            self::assertStringContainsString('from 3 ratings', $this->file("figure000$index", 'widget.html'));
        }
        EntryRecord::query()->where('source_entry_id', 'r2')->update(['hidden' => true]);
        $this->widget($site, 'figurehid1', []);
        self::assertStringContainsString(
            '<span class="figure" part="figure">3.0',
            $this->file('figurehid1', 'widget.html'),
            'hiding is no way to a better figure',
        );
        self::assertStringNotContainsString('Author 2', $this->file('figurehid1', 'widget.html'));
    }

    public function test_untrusted_words_stay_words(): void
    {
        $site = $this->site();
        $evil = '<img src=x onerror=alert(1)></style></template><script>alert(1)</script>{{ 7 * 7 }}';
        $this->store(
            $this->source($site),
            [new Entry(
                'x',
                Kind::Review,
                url: 'https://a.example/?"onmouseover="x',
                author: new Author($evil),
                title: $evil,
                text: str_repeat("$evil ", 9),
                language: '"><script>',
            )],
        );
        $this->widget($site, 'evilwords1', ['shape' => ['heading' => '<script>alert(1)</script>']]);
        foreach (['widget.html', 'document.html'] as $name) {
            $html = $this->file('evilwords1', $name);
            self::assertSame($name === 'widget.html' ? 0 : 2, substr_count($html, '<script'), 'but our own');
            self::assertStringNotContainsString('<img', $html);
            self::assertStringNotContainsString('"onmouseover', $html);
            self::assertStringContainsString('{{ 7 * 7 }}', $html);
            self::assertSame(1, substr_count($html, '</template>'));
        }
    }

    public function test_a_widget_of_nothing_takes_no_room_or_says_what_its_owner_wants_and_breaks_nothing(): void
    {
        $site = $this->site();
        $this->widget($site, 'empty00001', []);
        self::assertStringContainsString(':host{display:none!important}', $this->file('empty00001', 'widget.html'));
        $this->widget($site, 'empty00002', ['shape' => ['empty' => 'Be the first to say something.']]);
        self::assertStringContainsString('Be the first to say something.', $this->file('empty00002', 'widget.html'));
        self::assertSame([], json_decode($this->file('empty00001', 'feed.json'), true)['items']);
    }

    public function test_a_new_days_shuffle_is_published(): void
    {
        $this->travelTo('2026-05-01 12:00');
        $site = $this->site();
        app(NewDay::class)->turn();
        $this->store($this->source($site), array_map(fn (int $number) => $this->review($number, 5), range(1, 20)));
        $this->widget($site, 'shuffled01', ['sift' => ['order' => 'shuffled', 'limit' => 5]]);
        self::assertSame([0, 1], [app(NewDay::class)->turn(), $this->numberOf('shuffled01')]);
        $this->travelTo('2026-05-01 22:59');
        self::assertSame([0, 1], [app(NewDay::class)->turn(), $this->numberOf('shuffled01')]);
        $this->travelTo('2026-05-01 23:00'); // midnight in London, in summer
        self::assertSame([1, 2], [app(NewDay::class)->turn(), $this->numberOf('shuffled01')]);
    }

    public function test_what_visitors_see_comes_first_and_pages_of_everything_after_it(): void
    {
        Queue::fake();
        $site = $this->site();
        $this->store($this->source($site), array_map(fn (int $number): Entry => $this->review($number, $number % 5 + 1), range(1, 650)));
        $brief = BriefReader::read(['version' => 4, 'sift' => ['stars' => ['from' => 4]]]);
        $widget = $site->widgets()->create(['key' => 'long1pages', 'name' => 'Long', 'brief' => $brief->toArray()]);
        $publish = app(Publish::class);
        $edition = $publish->brief($widget, $brief, 'First');
        $pages = fn (): array => array_map(basename(...), glob(config('gnomic.editions').'/long1pages/current/all*.html') ?: []);
        self::assertSame(['all.html'], $pages(), 'the newest is there at once');
        self::assertSame([[['pages' => $widget->id], Outbox::LAST]], DB::table('outbox')->where('what->pages', '>', 0)->get()->map(fn (object $row): array => [json_decode((string) $row->what, true), (int) $row->rank])->all());
        app(BringUpToDate::class)->workOff($site->id);
        self::assertCount(7, $pages());
        self::assertSame([1, $edition?->id], [$widget->refresh()->edition?->number, $widget->edition_id], 'it is the same edition');
        $old = fileinode(config('gnomic.editions').'/long1pages/current/all.2.html');
        // One changes: what visitors see is out, and of the pages that alone is made anew which has it.
        $this->store($this->sourceOf($site), [$this->review(649, 5, 'Brand new words.')]);
        app(BringUpToDate::class)->workOff($site->id);
        self::assertStringContainsString('Brand new words.', $this->file('long1pages', 'all.html'));
        self::assertSame($old, fileinode(config('gnomic.editions').'/long1pages/current/all.2.html'));
        self::assertSame(0, DB::table('outbox')->count());
        self::assertNull($publish->brief($widget->refresh(), $brief, 'Again'), 'the same inputs make no edition');
        app(BringUpToDate::class)->workOff($site->id);
        self::assertSame(2, $widget->refresh()->edition?->number);
    }

    private function sourceOf(Site $site): Source
    {
        return $site->sources()->firstOrFail();
    }

    public function test_a_site_has_its_turn_and_others_have_theirs(): void
    {
        [$busy, $other] = [$this->site('Busy'), $this->site('Other')];
        foreach ([$busy, $other] as $site) {
            $this->store($this->source($site), [$this->review(1, 5)]);
        }
        $widgets = [];
        foreach (range(1, 12) as $number) {
            $widgets[] = $this->widget($busy, "turn{$number}busy", []);
        }
        Queue::fake();
        app(Outbox::class)->site($busy, 'All of them');
        // A turn that is over before it has begun leaves everything, each for itself; whoever comes next goes on.
        $up = app(BringUpToDate::class);
        self::assertSame(0, $up->workOff($busy->id, microtime(true) - 1));
        self::assertSame(1, DB::table('outbox')->count());
        $this->store($this->sourceOf($busy), [$this->review(2, 4, 'More.')]);
        DB::table('outbox')->delete();
        app(Outbox::class)->site($busy, 'All of them');
        $made = $up->workOff($busy->id, microtime(true) + 0.05);
        self::assertLessThan(12, $made);
        self::assertSame(12 - $made, DB::table('outbox')->where('what->widget', '>', 0)->count());
        // What somebody publishes meanwhile comes before what is left.
        $brief = BriefReader::read(['version' => 4, 'shape' => ['heading' => 'Mine, first']]);
        app(Outbox::class)->widget($widgets[11]->refresh(), $brief, 'Published');
        Queue::assertPushedOn('publishing-first', WorkOff::class);
        self::assertTrue(app(Outbox::class)->hasFirst($busy->id));
        self::assertSame(Outbox::FIRST, app(Outbox::class)->waiting($busy->id)[0]->rank);
        $turns = 0;
        while (app(Outbox::class)->hasAny($busy->id) && $turns++ < 40) {
            $up->workOff($busy->id, microtime(true) + 0.05);
            if ($turns === 1) {
                self::assertStringContainsString('Mine, first', $this->file('turn12busy', 'widget.html'));
            }
        }
        self::assertGreaterThan(1, $turns);
        foreach ($widgets as $widget) {
            self::assertStringContainsString('More.', $this->file($widget->key, 'widget.html'), $widget->key);
        }
        // While one worker is at a site, another leaves it alone.
        $lock = app(HostLocks::class)->attempt("outbox-$other->id");
        app(Outbox::class)->site($other, 'x');
        self::assertSame(0, $up->workOff($other->id));
        $lock?->release();
    }
}
