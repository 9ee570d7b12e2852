<?php

declare(strict_types=1);

namespace Tests\app;

use App\Editions\BringUpToDate;
use App\Editions\EditionFiles;
use App\Models\Edition;
use App\Models\Site;
use App\Models\Widget;
use App\Outbox\Outbox;
use DateTimeImmutable;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Queue;
use RuntimeException;
use Tests\TestCase;

/** The store and the outbox: what their work grows by, and what happens to it when something fails. */
final class StoreTest extends TestCase
{
    private Site $mine;

    /** @return list<Entry> */
    private static function reviews(int $count, int $from = 0, string $more = ''): array
    {
        return array_map(fn (int $number): Entry => new Entry("r$number", Kind::Review, author: new Author("Author $number"), rating: Rating::on(Scale::ofStars(), 1 + $number % 5),
            text: "Visitors said a good many things on night number $number, and these are the words of one of them.$more",
            published: new DateTimeImmutable("2026-01-01T00:00:00Z +$number hours")), range($from,
                $from + $count - 1));
    }

    /** @param  list<Entry>  $entries */
    private function queriesFor(string $key, array $entries): int
    {
        $source = $this->mine->sources()->where('key', $key)->first() ?? $this->source($this->mine, $key);
        Queue::fake();
        DB::enableQueryLog();
        DB::flushQueryLog();
        $this->store($source->refresh(), $entries);
        $asked = count(DB::getQueryLog());
        DB::disableQueryLog();

        return $asked;
    }

    /** @phpstan-impure */
    private function workOff(Site $site): int
    {
        return app(BringUpToDate::class)->workOff($site->id);
    }

    /** @phpstan-impure */
    private function sweep(): int
    {
        return app(Outbox::class)->sweep();
    }

    public function test_storing_grows_by_batches_and_not_by_entries(): void
    {
        $this->mine = $this->site();
        $one = $this->queriesFor('one', self::reviews(1));
        $sixty = $this->queriesFor('sixty', self::reviews(60, 1000));
        $many = $this->queriesFor('many', self::reviews(240, 5000));
        self::assertLessThanOrEqual($one + 6, $sixty, 'a batch costs what one entry costs');
        self::assertLessThanOrEqual($one + 6, $many);
        self::assertLessThan(60, $sixty);
        // Edits of all of them, with what they were kept, likewise.
        $edited = $this->queriesFor('many', self::reviews(240, 5000, ' Edited.'));
        self::assertLessThanOrEqual($many + 6, $edited);
        self::assertSame(240, DB::table('revisions')->count());
        self::assertLessThanOrEqual(
            12,
            $this->queriesFor('many', self::reviews(240, 5000, ' Edited.')),
            'what is as it was costs next to nothing',
        );
    }

    public function test_a_large_answer_makes_a_widget_it_touches_once(): void
    {
        $site = $this->site();
        $widget = $this->publish($site->widgets()->create(['key' => 'touchedone', 'name' => 'x', 'brief' => ['version' => 2]]));
        Queue::fake();
        $source = $this->source($site);
        foreach ([0, 500, 1000, 1500] as $from) {
            $this->store($source->refresh(), self::reviews(500, $from));
        }
        self::assertSame(4, DB::table('outbox')->count(), 'four answers wait');
        self::assertSame(1, $this->workOff($site), 'and are merged');
        self::assertSame([2, 10], [$widget->refresh()->edition?->number, $widget->edition?->shown]);
    }

    public function test_a_widget_that_cannot_be_rendered_keeps_no_other_waiting_and_is_tried_again(): void
    {
        $site = $this->site();
        $this->store($this->source($site), self::reviews(3));
        [$bad, $good] = array_map(
            fn (string $key): Widget => $this->publish(
                $site->widgets()
                    ->create(['key' => $key, 'name' => $key, 'brief' => ['version' => 2]]),
            ),
            ['badwidget1', 'goodwidget'],
        );
        $folder = config('gnomic.editions').'/badwidget1';
        File::deleteDirectory($folder);
        file_put_contents($folder, 'a file stands where the folder should be');
        Queue::fake();
        $this->store($site->sources()->firstOrFail(), self::reviews(1, 50));
        self::assertSame(1, $this->workOff($site));
        self::assertSame([1, 2], [(int) $bad->refresh()->edition?->number, (int) $good->refresh()->edition?->number]);
        $waiting = DB::table('outbox')->sole();
        self::assertSame(1, (int) $waiting->tries);
        self::assertGreaterThan(now()->getTimestamp(), (int) $waiting->due_at);
        self::assertSame([0, 0], [$this->sweep(), $this->workOff($site)], 'not yet');

        // Again, and later still.
        $this->travel(30)->seconds();
        self::assertSame(1, $this->sweep());
        $this->workOff($site);
        $later = DB::table('outbox')->sole();
        self::assertSame(2, (int) $later->tries);
        self::assertGreaterThan((int) $waiting->due_at - (int) $waiting->tries, (int) $later->due_at);

        unlink($folder);
        $this->travel(10)->minutes();
        self::assertSame(1, $this->workOff($site));
        self::assertSame(2, (int) $bad->refresh()->edition?->number);
        self::assertSame(0, DB::table('outbox')->count());
        self::assertTrue(app(EditionFiles::class)->isOut('badwidget1', Edition::query()->findOrFail($bad->edition_id)->hash));
    }

    public function test_what_is_not_written_in_the_end_is_not_rendered(): void
    {
        $site = $this->site();
        $source = $this->source($site);
        Queue::fake();
        try {
            DB::transaction(function () use ($source): never {
                $this->store($source, self::reviews(2));
                throw new RuntimeException('killed half way');
            });
        } catch (RuntimeException) {
            // as meant
        }
        self::assertSame([0, 0], [DB::table('entries')->count(), DB::table('outbox')->count()]);
        Queue::assertNothingPushed();
    }
}
