<?php

declare(strict_types=1);

namespace Tests\app;

use App\Entries\EntryStore;
use App\Models\EntryRecord;
use App\Models\Source;
use DateTimeImmutable;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Gather\Matching\Coverage;
use Gnomic\Gather\Matching\Matcher;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/** Whatever a source answers, in whatever order: no entry is ever lost, none stands twice, and the last word is kept. */
final class NeverLoseTest extends TestCase
{
    public function test_a_long_life_of_a_source(): void
    {
        $chance = new Randomizer(new Mt19937(11));
        $store = $this->app->make(EntryStore::class);
        $source = $this->source($this->site());
        /** @var array<string, Entry> $there what the service has now */
        $there = [];
        $everSeen = [];
        $revisions = 0;
        $serial = 0;
        for ($round = 0; $round < 60; $round++) {
            for ($step = $chance->getInt(0, 4); $step > 0; $step--) {
                $known = array_keys($there);
                $act = $chance->getInt(0, 9);
                if ($act < 5 || $known === []) {
                    $id = 'e'.$serial++;
                    $there[$id] = $this->entry($id, "Words of $id", $serial);
                } elseif ($act < 8) {
                    $id = $known[$chance->getInt(0, count($known) - 1)];
                    $there[$id] = $this->entry($id, "Other words $round.$step", (int) substr($id, 1) + 1);
                } else {
                    unset($there[$known[$chance->getInt(0, count($known) - 1)]]);
                }
            }
            $before = EntryRecord::query()->where('gone', false)->count();
            $nothing = $chance->getInt(0, 9) === 0;
            $answer = $nothing ? [] : $chance->shuffleArray(array_values($there));
            $matched = $store->take($source, $answer, Coverage::Whole, 'A test')->matched;
            if ($matched->held !== null) {
                self::assertSame($before, EntryRecord::query()->where('gone', false)->count());

                continue;
            }
            foreach ($answer as $entry) {
                $everSeen[$entry->id] = true;
            }
            $this->assertKeeps($source, $answer, $everSeen);
            self::assertGreaterThanOrEqual($revisions, $revisions = $this->revisions());
            self::assertTrue(
                Matcher::match($store->known($source), $answer, Coverage::Whole)->changesNothing(),
                'the same answer again changes nothing',
            );
        }
        self::assertGreaterThan(20, count($everSeen));
        self::assertGreaterThan(10, $revisions);
    }

    private function entry(string $id, string $text, int $day): Entry
    {
        return new Entry(
            $id,
            Kind::Review,
            rating: Rating::on(Scale::ofStars(), 1 + $day % 5),
            text: $text,
            published: new DateTimeImmutable("2026-01-01T00:00:00Z +$day days"),
        );
    }

    private function revisions(): int
    {
        return EntryRecord::query()->withCount('revisions')->get()->sum('revisions_count');
    }

    /**
     * @param  list<Entry>  $answer
     * @param  array<string, true>  $everSeen
     */
    private function assertKeeps(Source $source, array $answer, array $everSeen): void
    {
        $rows = EntryRecord::query()->get()->keyBy('source_entry_id');
        self::assertEqualsCanonicalizing(array_keys($everSeen), $rows->keys()->all(), 'none is lost, none is made up');
        self::assertCount($rows->count(), $source->entries()->get());
        $texts = [];
        foreach ($answer as $entry) {
            $texts[$entry->id] = $entry->text;
        }
        foreach ($rows as $id => $row) {
            self::assertSame(! isset($texts[$id]), (bool) $row->getAttribute('gone'), "$id is there or gone");
            if (isset($texts[$id])) {
                self::assertSame($texts[$id], $row->payload['text']);
                self::assertNull($row->gone_at);
            }
        }
    }
}
