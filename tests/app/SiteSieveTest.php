<?php

declare(strict_types=1);

namespace Tests\app;

use App\Models\Entry as StoredEntry;
use App\Sift\SiteSieve;
use DateTimeImmutable;
use Gnomic\Brief\BriefReader;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Sifting;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/** The database's sieve and the plain one give the same, for many briefs over many entries, made by chance with a fixed seed. */
final class SiteSieveTest extends TestCase
{
    public function test_both_sieves_agree(): void
    {
        $chance = new Randomizer(new Mt19937(4));
        $pick = fn (array $of): mixed => $of[$chance->getInt(0, count($of) - 1)];
        $site = $this->site();
        foreach (['dome', 'lane', 'rook'] as $key) {
            $entries = [];
            for ($number = 0; $number < 60; $number++) {
                $entries[] = new Entry("e$number", $pick(Kind::cases()),
                    rating: $chance->getInt(0, 4) === 0 ? null : Rating::on(Scale::between(1, 10), $chance->getInt(2, 20) / 2),
                    text: $pick(['', 'Short.', 'さくら', str_repeat('Long. ', 9)]),
                    published: $chance->getInt(0, 9) === 0 ? null : new DateTimeImmutable('2026-01-01T00:00:00Z +'.$chance->getInt(0, 40).' days'));
            }
            $this->store($this->source($site, $key), $entries);
        }
        foreach (StoredEntry::query()->get() as $entry) {
            $entry->update(['gone' => $chance->getInt(0, 9) === 0, 'hidden' => $chance->getInt(0, 9) === 0, 'told_by' => $pick([null, null, null, null, '|dome|', '|lane|rook|', '|rook|'])]);
        }
        $facts = array_map(fn (StoredEntry $entry): Facts => $entry->facts(), StoredEntry::query()->get()->all());
        $refs = array_map(fn (Facts $entry): string => $entry->id, $facts);
        $some = fn (): array => array_values(array_unique(array_map(fn (): string => $pick([...$refs, 'not:there']), range(1, $chance->getInt(1, 6)))));
        $sieve = new SiteSieve;

        for ($round = 0; $round < 150; $round++) {
            $from = $chance->getInt(2, 10) / 2;
            $json = ['version' => 1,
                'gather' => ['sources' => $pick([null, [], ['dome'], ['dome', 'rook'], ['none']]), 'kinds' => $pick([null, ['review'], ['post', 'testimonial']])],
                'sift' => ['stars' => $pick([null, ['from' => $from], ['from' => $from, 'to' => min(5, $from + 1), 'unrated' => 'keep'], ['to' => $from]]),
                    'withWords' => $pick([true, false]), 'order' => $pick(['newest', 'oldest', 'highest', 'lowest', 'shuffled']), 'limit' => $pick([1, 5, 100]),
                    'pins' => $pick([[], $some()]), 'hidden' => $pick([[], $some()])]];
            $brief = BriefReader::read($json);
            $plain = Sifting::of($brief, $facts, 'day')->selection();
            $found = $sieve->selection($site, $brief, 'day');
            self::assertEquals($plain, $found, (string) json_encode($json));
            foreach ($found->steps as $step) {
                self::assertCount($step->kept, $sieve->behind($site, $brief, 'day', $step->key, true, 0, 1000), "kept by $step->key");
                self::assertCount($step->dropped, $sieve->behind($site, $brief, 'day', $step->key, false, 0, 1000), "dropped by $step->key");
            }
        }
    }

    public function test_another_sites_entries_are_never_seen(): void
    {
        $mine = $this->site('Mine');
        $theirs = $this->site('Theirs');
        $this->store($this->source($theirs), [new Entry('a', Kind::Review, rating: Rating::on(Scale::ofStars(), 5))]);
        $brief = BriefReader::read(['version' => 1, 'sift' => ['pins' => ['the-dome:a']]]);
        $sieve = new SiteSieve;
        self::assertSame([], $sieve->selection($mine, $brief, 'd')->shown);
        self::assertSame(0, $sieve->tally($mine, $brief)->overall($brief)->count);
        self::assertSame([], $sieve->entries($mine, ['the-dome:a']));
        self::assertSame(['the-dome:a'], $sieve->selection($theirs, $brief, 'd')->shown);
    }
}
