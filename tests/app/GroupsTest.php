<?php

declare(strict_types=1);

namespace Tests\app;

use App\Entries\Duplicates;
use App\Models\EntryRecord;
use App\Models\Site;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/** Whatever an owner joins and parts, in whatever order: one speaks for each group, and every figure adds up. */
final class GroupsTest extends TestCase
{
    private const SENTENCES = [
        'Saturn was so sharp that my daughter asked whether it was a sticker on the lens.',
        'We came for the eclipse talk and stayed until they locked the gate behind us.',
        'The seats tip back and the ceiling disappears, and nobody said a word for an hour.',
    ];

    private static function said(string $id, int $sentence, ?float $stars, string $tail = ''): Entry
    {
        return new Entry(
            $id,
            Kind::Review,
            author: new Author("Author $sentence"),
            rating: $stars === null ? null : Rating::on(Scale::ofStars(), $stars),
            text: self::SENTENCES[$sentence].$tail,
        );
    }

    private function check(Site $site): void
    {
        $entries = EntryRecord::query()->get()->keyBy('id');
        foreach ($entries as $entry) {
            self::assertSame($entry->duplicate, $entry->speaker_id !== null, $entry->ref);
            self::assertSame($entry->duplicate, $entry->duplicate_of !== null, $entry->ref);
            $speaker = $entry->speaker_id === null ? null : $entries[$entry->speaker_id];
            if ($speaker !== null) {
                self::assertFalse($speaker->duplicate, 'whoever speaks speaks for itself');
                self::assertStringContainsString("|$speaker->source|", (string) $entry->duplicate_of);
            }
        }
        self::assertSame($entries->count(), $entries->where('duplicate', false)->count() + $entries->where('duplicate', true)->count());
    }

    public function test_joined_and_parted_by_chance(): void
    {
        $site = $this->site();
        foreach (['one', 'two', 'three', 'four'] as $index => $key) {
            $this->store(
                $this->source($site, $key),
                array_map(
                    fn (int $sentence): Entry => self::said(
                        "$key$sentence",
                        $sentence,
                        $index % 2 === 0 ? 5.0 : null,
                        $index === 3 ? ' Truly so.' : '',
                    ),
                    [0, 1, 2],
                ),
            );
            $this->check($site);
        }
        self::assertSame(3, EntryRecord::query()->where('duplicate', false)->count(), 'three opinions, told four times each');
        $speaker = EntryRecord::query()->where('duplicate', false)->firstOrFail();
        self::assertNotNull($speaker->stars, 'a rated one speaks before the unrated, though those have more words');

        $chance = new Randomizer(new Mt19937(12));
        $duplicates = $this->app->make(Duplicates::class);
        for ($step = 0; $step < 60; $step++) {
            $ids = EntryRecord::query()->pluck('id')->all();
            [$one, $other] = [
                EntryRecord::query()->where('id', $ids[$chance->getInt(0, 11)])->firstOrFail(),
                EntryRecord::query()->where('id', $ids[$chance->getInt(0, 11)])->firstOrFail(),
            ];
            $before = EntryRecord::query()->where('duplicate', false)->count();
            if ($chance->getInt(0, 1) === 0) {
                $duplicates->part($one, 'A test');
                self::assertFalse($one->refresh()->duplicate, 'what was parted stands for itself');
                self::assertGreaterThanOrEqual($before, EntryRecord::query()->where('duplicate', false)->count());
            } elseif ($one->id !== $other->id) {
                $duplicates->join($one, $other, 'A test');
                [$one, $other] = [$one->refresh(), $other->refresh()];
                self::assertSame($one->speaker_id ?? $one->id, $other->speaker_id ?? $other->id, 'joined ones have one speaker');
            }
            $this->check($site);
        }
    }

    public function test_what_was_parted_is_not_found_again(): void
    {
        $site = $this->site();
        $this->store($this->source($site, 'one'), [self::said('a', 0, 5.0)]);
        $two = $this->source($site, 'two');
        $this->store($two, [self::said('b', 0, 5.0)]);
        $duplicates = $this->app->make(Duplicates::class);
        $b = EntryRecord::query()->where('source_entry_id', 'b')->firstOrFail();
        $duplicates->part($b, 'A test');
        $this->store($two, [self::said('b', 0, 5.0, ' Again.')]);
        self::assertSame(1, $b->revisions()->count(), 'it was looked at anew');
        self::assertSame(0, EntryRecord::query()->where('duplicate', true)->count());
        $duplicates->join($b->refresh(), EntryRecord::query()->where('source_entry_id', 'a')->firstOrFail(), 'A test');
        self::assertSame(1, EntryRecord::query()->where('duplicate', true)->count(), 'the owner can change their mind');
    }

    public function test_another_sites_words_are_never_compared(): void
    {
        $this->store($this->source($this->site('Mine')), [self::said('a', 0, 5.0)]);
        $this->store($this->source($this->site('Theirs')), [self::said('a', 0, 5.0)]);
        self::assertSame(0, EntryRecord::query()->where('duplicate', true)->count());
    }
}
