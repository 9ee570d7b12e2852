<?php

declare(strict_types=1);

namespace Tests\app;

use App\Fetching\Reading\ConfinedReading;
use App\Host\ClockJumps;
use App\Host\HostLocks;
use App\Models\EntryRecord;
use App\Models\Round;
use App\Models\RoundOutcome;
use App\Models\Site;
use App\Models\Source;
use App\Outbox\Outbox;
use App\Sources\Connect;
use App\Sources\Removal;
use App\Sources\Rounds\DueRounds;
use App\Sources\Rounds\RoundJob;
use App\Sources\Rounds\Rounds;
use App\Sources\WantedSource;
use Gnomic\Brief\BriefReader;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Tests\TestCase;

/** Rounds over real HTTP against the stand-ins. */
final class RoundsTest extends TestCase
{
    use Servers;

    private function roundOf(Source $source): Round
    {
        return app(Rounds::class)->run($source) ?? throw new \LogicException('Somebody else is at it.');
    }

    private function dome(Site $site): Source
    {
        return $this->source($this->withKey($site), 'the-dome', 'wayleaf', 'wl-dome');
    }

    public function test_a_place_comes_in_whole_and_then_nothing_is_new(): void
    {
        $this->startStandins();
        $source = $this->dome($this->site());
        $first = $this->roundOf($source);
        self::assertSame([RoundOutcome::Changed, 98, 0, 0], [$first->outcome, $first->added, $first->changed, $first->gone]);
        self::assertSame(98, EntryRecord::query()->count());

        $written = 0;
        DB::listen(function ($query) use (&$written): void {
            $written += preg_match('/^(insert into|update|delete from) "(entries|revisions|editions)"/i', $query->sql);
        });
        $second = $this->roundOf($source);
        self::assertSame([RoundOutcome::Unchanged, 0], [$second->outcome, $second->received], 'the service said that nothing is new');
        $source->update(['etag' => null, 'last_modified' => null]);
        $third = $this->roundOf($source);
        self::assertSame([RoundOutcome::Unchanged, 98, 98], [$third->outcome, $third->received, $third->same]);
        self::assertSame(0, $written);
    }

    public function test_new_edited_and_removed_reviews(): void
    {
        $this->startStandins();
        $source = $this->dome($this->site());
        $this->roundOf($source);
        $this->control(['do' => 'review', 'place' => 'wl-dome', 'name' => 'Wren Hollis', 'points' => '4', 'comment' => 'The moon rose.']);
        self::assertSame([1, 0, 0], $this->counts($this->roundOf($source)));
        $entry = EntryRecord::query()->get()->sortBy('id')->last();
        self::assertNotNull($entry);
        self::assertSame([4.0, 14], [$entry->stars, $entry->length]);

        $this->control(['do' => 'edit', 'place' => 'wl-dome', 'comment' => 'The moon rose twice.']);
        self::assertSame([0, 1, 0], $this->counts($this->roundOf($source)));
        self::assertSame('The moon rose.', $entry->revisions()->firstOrFail()->payload['text']);
        self::assertSame('The moon rose twice.', $entry->refresh()->payload['text']);

        $this->control(['do' => 'remove', 'place' => 'wl-dome']);
        self::assertSame([0, 0, 1], $this->counts($this->roundOf($source)));
        self::assertTrue($entry->refresh()->gone);
        self::assertSame(99, EntryRecord::query()->count(), 'it is kept');
    }

    /** @return list<int> */
    private function counts(Round $round): array
    {
        return [$round->added, $round->changed, $round->gone];
    }

    public function test_faults_change_nothing_and_say_why(): void
    {
        $this->startStandins();
        $site = $this->site();
        $source = $this->dome($site);
        $this->roundOf($source);
        $widget = $site->widgets()->create([
            'key' => 'faultless1',
            'name' => 'W',
            'brief' => BriefReader::read(['version' => 1])->toArray(),
        ]);
        $this->publish($widget);
        $before = [EntryRecord::query()->where('gone', false)->count(), $widget->refresh()->edition_id];
        foreach (['fault' => 'status 500', 'nonsense' => 'answered with something', 'silent' => 'within 3 seconds'] as $mood => $says) {
            $this->control(['do' => 'mood', 'service' => 'wayleaf', 'mood' => $mood]);
            $round = $this->roundOf($source);
            self::assertSame(RoundOutcome::Failed, $round->outcome);
            self::assertStringContainsString($says, (string) $round->reason);
            self::assertSame($before, [EntryRecord::query()->where('gone', false)->count(), $widget->refresh()->edition_id]);
        }
        $source->refresh();
        self::assertSame(3, $source->failures);
        self::assertTrue($source->next_at?->isFuture());
        self::assertLessThanOrEqual(240, now()->diffInSeconds($source->next_at));
    }

    public function test_a_service_that_comes_back_is_well_again(): void
    {
        $this->startStandins();
        $source = $this->dome($this->site());
        $this->control(['do' => 'mood', 'service' => 'wayleaf', 'mood' => 'fault']);
        self::assertSame(RoundOutcome::Failed, $this->roundOf($source)->outcome);
        $this->control(['do' => 'mood', 'service' => 'wayleaf', 'mood' => 'well']);
        self::assertSame(RoundOutcome::Changed, $this->roundOf($source)->outcome);
        self::assertSame(0, $source->refresh()->failures);
    }

    public function test_a_key_that_is_missing_or_wrong_is_told(): void
    {
        $this->startStandins();
        $site = $this->site();
        $source = $this->source($site, 'the-dome', 'wayleaf', 'wl-dome');
        self::assertStringContainsString('requires a key', (string) $this->roundOf($source)->reason);
        $this->withKey($site, 'wrong');
        self::assertStringContainsString('does not recognise the key', (string) $this->roundOf($source)->reason);
    }

    public function test_the_three_feeds_of_rookcall_are_the_same_posts(): void
    {
        $this->startStandins();
        $site = $this->site();
        $seen = [];
        foreach (['rss', 'atom', 'json'] as $format) {
            $source = $this->source($site, $format, 'feed', "$this->standins/rookcall/quillmoor/feed.$format");
            self::assertSame(48, $this->roundOf($source)->added);
            self::assertSame(RoundOutcome::Unchanged, $this->roundOf($source)->outcome);
            self::assertSame(0, $this->roundOf($source)->received, 'not modified');
            $seen[$format] = $source->entries()->get()->sortBy('source_entry_id')->values()->map(fn (EntryRecord $entry) => [
                $entry->source_entry_id,
                $entry->payload['title'],
                $entry->payload['text'],
                $entry->published,
                $entry->payload['language'],
            ])->all();
        }
        self::assertSame($seen['rss'], $seen['atom']);
        self::assertSame($seen['rss'], $seen['json']);
    }

    public function test_what_a_service_asks_for_is_waited_out(): void
    {
        $this->startFaults();
        $source = $this->source($this->site(), 'busy', 'feed', "$this->faults/busy");
        self::assertStringContainsString('too many requests', (string) $this->roundOf($source)->reason);
        self::assertEqualsWithDelta(900, now()->diffInSeconds($source->refresh()->next_at), 3);
    }

    public function test_html_with_an_error_status_and_a_feeds_type_is_an_error(): void
    {
        $this->startFaults();
        $round = $this->roundOf($this->source($this->site(), 'fault', 'feed', "$this->faults/fault"));
        self::assertStringContainsString('status 500', (string) $round->reason);
        self::assertStringContainsString(
            'zip archive',
            (string) $this->roundOf($this->source($this->site('b'), 'zip', 'feed', "$this->faults/zip"))->reason,
        );
    }

    public function test_a_feed_that_moved_to_a_strangers_is_held_until_it_is_back(): void
    {
        $this->startFaults();
        $moved = sys_get_temp_dir().'/gnomic-moved-'.strtr(substr($this->faults, 7), ':', '-');
        @unlink($moved);
        $source = $this->source($this->site(), 'mine', 'feed', "$this->faults/mine");
        self::assertSame(5, $this->roundOf($source)->added);
        self::assertSame(RoundOutcome::Unchanged, $this->roundOf($source)->outcome);
        touch($moved);
        $round = $this->roundOf($source);
        self::assertSame([RoundOutcome::Held, 0], [$round->outcome, $round->added]);
        self::assertStringContainsString('its 5 entries are not among the 5 known', (string) $round->reason);
        self::assertSame(5, $source->entries()->count());
        unlink($moved);
        self::assertSame(RoundOutcome::Unchanged, $this->roundOf($source->refresh())->outcome, 'it goes on by itself');
        touch($moved);
        $source->update(['accepts_loss' => true]);
        self::assertSame(5, $this->roundOf($source)->added, 'where the owner says that it is right');
        unlink($moved);
    }

    public function test_no_more_than_two_at_a_service(): void
    {
        $locks = app(HostLocks::class);
        $source = $this->source($this->site(), 'a', 'feed', 'http://slow.example/a');
        $held = [$locks->oneOf('service-slow.example', 2), $locks->oneOf('service-slow.example', 2)];
        self::assertNull(app(Rounds::class)->run($source));
        self::assertFalse(app(Rounds::class)->hasPlace($source));
        self::assertTrue(app(Rounds::class)->hasPlace($this->source($source->site, 'b', 'feed', 'http://other.example/')));
        array_shift($held)?->release();
        self::assertTrue(app(Rounds::class)->hasPlace($source));
    }

    public function test_what_takes_too_long_to_read_is_a_failure_and_comes_later(): void
    {
        $this->startFaults();
        // The greedy one has all the time that it needs to have taken too much.
        foreach (['endless' => ['1 seconds', 1.0], 'greedy' => ['64 MB of memory', 60.0]] as $reader => [$says, $seconds]) {
            $this->app->bind(ConfinedReading::class, fn (): ConfinedReading => new ConfinedReading(__DIR__."/faults/$reader.php", $seconds, 64));
            $source = $this->source($this->site($reader), $reader, 'feed', "$this->faults/feed");
            $round = $this->roundOf($source);
            self::assertSame(RoundOutcome::Failed, $round->outcome);
            self::assertStringContainsString("more than $says", (string) $round->reason);
            self::assertSame(1, $source->refresh()->failures);
            self::assertTrue($source->next_at?->isFuture());
        }
    }

    public function test_a_round_that_timed_out_or_was_killed_is_a_failure_and_is_tried_again_within_a_minute(): void
    {
        Queue::fake();
        $source = $this->source($this->site());
        $killed = $source->rounds()->create(['outcome' => RoundOutcome::Running, 'started_at' => now()]);
        $held = app(HostLocks::class)->attempt("round-$source->id");
        self::assertSame(0, app(DueRounds::class)->send(), 'somebody is at it');
        self::assertSame(RoundOutcome::Running, $killed->refresh()->outcome);
        $held?->release();
        app(DueRounds::class)->send();
        self::assertSame(RoundOutcome::Failed, $killed->refresh()->outcome);
        self::assertStringContainsString('try again', (string) $killed->reason);
        $source->refresh();
        self::assertSame(1, $source->failures);
        self::assertLessThanOrEqual(60, now()->diffInSeconds($source->next_at));
        (new RoundJob($source->id))->failed(null);
        self::assertSame(1, $source->refresh()->failures, 'it is told once');
        $this->travel(61)->seconds();
        self::assertSame(1, app(DueRounds::class)->send());
        self::assertSame(0, app(DueRounds::class)->send(), 'it waits in the queue');
        $this->travel(46)->seconds();
        self::assertSame(1, app(DueRounds::class)->send(), 'whose worker may have died with it');
    }

    public function test_a_clock_that_was_ahead_keeps_nothing_waiting(): void
    {
        Queue::fake();
        $source = $this->source($this->site());
        $source->update(['next_at' => now()->addDays(400), 'queued_at' => now()->addDays(400)->getTimestamp()]);
        $this->source($source->site, 'weekly')->update(['cadence' => 604_800, 'next_at' => now()->addDays(6)]);
        self::assertSame(1, app(DueRounds::class)->send());
        DB::table('outbox')->insert(['site_id' => $source->site_id, 'what' => '{"all":true}', 'cause' => 'x', 'created_at' => now(),
            'due_at' => now()->addDays(400)->getTimestamp()]);
        self::assertCount(1, app(Outbox::class)->waiting($source->site_id));
        $ahead = now()->addDays(400)->getTimestamp();
        DB::table('jobs')->insert(['queue' => 'x', 'payload' => '', 'attempts' => 0, 'available_at' => $ahead, 'created_at' => 0]);
        DB::table('cache_locks')->insert(['key' => 'x', 'owner' => 'x', 'expiration' => $ahead]);
        self::assertSame(2, app(ClockJumps::class)->mend());
        self::assertSame(0, app(ClockJumps::class)->mend());
    }

    public function test_a_source_that_was_removed_comes_back_whole_when_it_is_connected_again(): void
    {
        Queue::fake();
        $this->startFaults();
        $source = $this->source($this->site(), 'feed', 'feed', "$this->faults/feed");
        $this->roundOf($source);
        app(Removal::class)->remove($source);
        self::assertSame(0, $source->entries()->where('gone', false)->count());
        $wanted = new WantedSource('feed', "$this->faults/feed", 'Again', null, null, null, null);
        self::assertSame($source->id, app(Connect::class)->source($source->site, $wanted)->id);
        self::assertSame(1, $source->entries()->where('gone', false)->count());
        self::assertNull($source->refresh()->removed_at);
    }

    public function test_one_worker_at_a_time(): void
    {
        $source = $this->source($this->site());
        $held = app(HostLocks::class)->attempt("round-$source->id");
        self::assertNull(app(Rounds::class)->run($source));
    }

    public function test_a_round_that_was_killed_is_closed_by_the_next(): void
    {
        $this->startFaults();
        $source = $this->source($this->site(), 'feed', 'feed', "$this->faults/feed");
        $killed = $source->rounds()->create(['outcome' => RoundOutcome::Running, 'started_at' => now()->subHour()]);
        self::assertSame(RoundOutcome::Changed, $this->roundOf($source)->outcome);
        self::assertSame(RoundOutcome::Failed, $killed->refresh()->outcome);
    }

    public function test_due_sources_are_queued_and_others_are_not(): void
    {
        Queue::fake();
        $site = $this->site();
        $due = $this->source($site, 'due');
        $this->source($site, 'later')->update(['next_at' => now()->addMinute()]);
        $this->source($site, 'off')->update(['disconnected_at' => now()]);
        self::assertSame(1, app(DueRounds::class)->send());
        Queue::assertPushed(RoundJob::class, fn (RoundJob $job) => $job->source === $due->id);
    }
}
