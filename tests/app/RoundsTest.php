<?php

declare(strict_types=1);

namespace Tests\app;

use App\Locks\HostLocks;
use App\Models\EntryRecord;
use App\Models\Round;
use App\Models\Site;
use App\Models\Source;
use App\Rounds\DueRounds;
use App\Rounds\RoundJob;
use App\Rounds\Rounds;
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
        self::assertSame(['changed', 98, 0, 0], [$first->outcome, $first->added, $first->changed, $first->gone]);
        self::assertSame(98, EntryRecord::query()->count());

        $written = 0;
        DB::listen(function ($query) use (&$written): void {
            $written += preg_match('/^(insert into|update|delete from) "(entries|revisions|editions)"/i', $query->sql);
        });
        $second = $this->roundOf($source);
        self::assertSame(['unchanged', 0], [$second->outcome, $second->received], 'the service said that nothing is new');
        $source->update(['etag' => null, 'last_modified' => null]);
        $third = $this->roundOf($source);
        self::assertSame(['unchanged', 98, 98], [$third->outcome, $third->received, $third->same]);
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
            self::assertSame('failed', $round->outcome);
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
        self::assertSame('failed', $this->roundOf($source)->outcome);
        $this->control(['do' => 'mood', 'service' => 'wayleaf', 'mood' => 'well']);
        self::assertSame('changed', $this->roundOf($source)->outcome);
        self::assertSame(0, $source->refresh()->failures);
    }

    public function test_a_key_that_is_missing_or_wrong_is_told(): void
    {
        $this->startStandins();
        $site = $this->site();
        $source = $this->source($site, 'the-dome', 'wayleaf', 'wl-dome');
        self::assertStringContainsString('wants a key', (string) $this->roundOf($source)->reason);
        $this->withKey($site, 'wrong');
        self::assertStringContainsString('does not know the key', (string) $this->roundOf($source)->reason);
    }

    public function test_the_three_feeds_of_rookcall_are_the_same_posts(): void
    {
        $this->startStandins();
        $site = $this->site();
        $seen = [];
        foreach (['rss', 'atom', 'json'] as $format) {
            $source = $this->source($site, $format, 'feed', "$this->standins/rookcall/quillmoor/feed.$format");
            self::assertSame(48, $this->roundOf($source)->added);
            self::assertSame('unchanged', $this->roundOf($source)->outcome);
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
        self::assertStringContainsString('asked too often', (string) $this->roundOf($source)->reason);
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
        $killed = $source->rounds()->create(['outcome' => 'running', 'started_at' => now()->subHour()]);
        self::assertSame('changed', $this->roundOf($source)->outcome);
        self::assertSame('failed', $killed->refresh()->outcome);
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
