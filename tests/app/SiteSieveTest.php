<?php

declare(strict_types=1);

namespace Tests\app;

use App\Entries\Sift\SiteContexts;
use App\Entries\Sift\SiteSieve;
use App\Entries\Sift\SiteTally;
use App\Models\EntryRecord;
use App\Models\Site;
use App\Models\Subject;
use DateTimeImmutable;
use Gnomic\Brief\BriefReader;
use Gnomic\Edition\Advice\Honesty;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Media;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Reply;
use Gnomic\Entry\Scale;
use Gnomic\Sift\Clauses;
use Gnomic\Sift\Clauses\Length;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Samples;
use Gnomic\Sift\Sieve;
use Gnomic\Sift\Sifting;
use Gnomic\Sift\SiteContext;
use Gnomic\Sift\Tally;
use Gnomic\Sift\TallyClass;
use Gnomic\Sift\TermFinder;
use LogicException;
use Random\Engine\Mt19937;
use Random\Randomizer;
use ReflectionClass;
use Tests\Effort;
use Tests\TestCase;

/** The database's sieve and the plain one give the same, for many briefs over many entries, made by chance with a fixed seed. */
final class SiteSieveTest extends TestCase
{
    private const WORDS = [
        'dome',
        'Dome!',
        'DÔME',
        'domes',
        'night',
        'sky',
        'night sky',
        'queue',
        "l'observatoire",
        'Straße',
        'strasse',
        'İstanbul',
        '天文台',
        '天文',
        '夜空',
        'обсерватория',
        'ёлка',
        'पुल',
        'पल',
        'か',
        'が',
        'مرصد',
        '100%',
        '#nightsky',
        '🌟',
    ];

    private Randomizer $chance;

    protected function setUp(): void
    {
        parent::setUp();
        $this->chance = new Randomizer(new Mt19937(4));
    }

    public function test_both_sieves_agree(): void
    {
        $site = $this->site();
        $this->fill($site);
        $stored = EntryRecord::query()->get()->all();
        $facts = array_map(fn (EntryRecord $entry): Facts => $entry->facts(), $stored);
        $refs = [...array_map(fn (Facts $entry): string => $entry->id, $facts), 'not:there'];
        $around = new SiteContext(
            now: new DateTimeImmutable('2026-02-10T15:00:00', $site->zone()),
            channels: ['dome' => 'wayleaf', 'lane' => 'ticketwick', 'rook' => 'feed'],
            reopened: ['the-lane' => (new DateTimeImmutable('2026-01-20', $site->zone()))->getTimestamp()],
            never: ['queue', 'पल', '/.*/'],
            shownBy: ['other1' => array_slice($refs, 3, 5), 'other2' => array_slice($refs, 40, 20)],
        );
        foreach ($stored as $entry) {
            $entry->update(
                ['barred' => array_filter(
                    $around->never,
                    fn (string $word): bool => TermFinder::of([$word])->first($entry->facts()->saying->line()) !== null,
                ) !== []],
            );
        }
        $kept = $letIn = [];
        for ($round = 0; $round < Effort::of(40, 400); $round++) {
            $json = $this->brief($refs);
            $at = $around->at(
                $this->pick([null, 'de', 'en-GB', 'ja']),
                $this->pick([null, '/visit/dome', '/about']),
                $this->pick([1, 2, 5]),
            );
            $brief = BriefReader::read($json)->criteria;
            $plain = Sifting::of($brief, $facts, $at);
            $found = SiteSieve::of($site, $brief, $at);
            self::assertEquals($plain->selection(), $found->selection(), (string) json_encode($json));
            self::assertEquals($plain->tally->overall(), $found->tally()->overall());
            self::assertSame($plain->tally->lacking(), $found->tally()->lacking());
            if ($round % 8 === 0) {
                $everything = Honesty::everything(BriefReader::read($json))->criteria;
                self::assertEquals(
                    SiteSieve::of($site, $everything, $at)->selection(),
                    $found->alongside($everything)->selection(),
                    'counted alongside as if counted alone',
                );
            }
            $verdicts = [];
            foreach ($plain->verdicts() as $verdict) {
                $verdicts[$verdict->id] = $verdict;
                $kept[$verdict->step] = ($kept[$verdict->step] ?? 0) + 1;
            }
            self::assertCount(count($facts), $verdicts, 'every entry has a reason');
            foreach ($found->selection()->steps as $index => $step) {
                $letIn += $step->kept > 0 ? [$step->key => true] : [];
                self::assertTrue(
                    $index === 0 || $found->selection()->steps[$index - 1]->kept === $step->kept + $step->dropped,
                    'the account adds up',
                );
                self::assertCount($step->kept, $found->behind($step->key, true, 0, 1000), "kept by $step->key");
                $out = $found->behind($step->key, false, 0, 1000);
                self::assertCount($step->dropped, $out, "dropped by $step->key");
                foreach (array_slice($out, 0, 3) as [$entry, $reason]) {
                    self::assertSame([$verdicts[$entry->ref]->step, $verdicts[$entry->ref]->reason], [$step->key, $reason]);
                }
            }
            foreach (array_slice($found->behind('shown', true, 0, 5), 0, 5) as $place => [$entry, $reason]) {
                self::assertSame($verdicts[$entry->ref]->reason, $reason);
                self::assertSame($place + 1, SiteSieve::verdict($site, $brief, $at, $entry)['place']);
            }
        }
        foreach (Clauses::ALL as $clause) {
            self::assertArrayHasKey($clause::key(), $kept, "{$clause::key()} has kept something out");
            self::assertArrayHasKey($clause::key(), $letIn, "{$clause::key()} has let something in");
        }
        self::assertSame([], array_diff(['mostOfAuthor', 'mostOfSource', 'shown'], array_keys($kept)), 'and so have caps and the limit');
    }

    public function test_what_is_hidden_held_barred_gone_or_told_again_is_never_shown(): void
    {
        $site = $this->site();
        $this->fill($site);
        $never = EntryRecord::query()->where(
            fn ($query) => $query->where('hidden', true)
                ->orWhere('held', true)
                ->orWhere('gone', true),
        )->pluck('ref')->all();
        for ($round = 0; $round < Effort::of(8, 60); $round++) {
            $json = $this->brief(array_values(array_filter($never, is_string(...))));
            $shown = SiteSieve::of($site, BriefReader::read($json)->criteria)->selection()->shown;
            self::assertSame([], array_intersect($never, $shown), (string) json_encode($json));
        }
    }

    public function test_the_figures_do_not_follow_the_filter(): void
    {
        $site = $this->site();
        $this->fill($site);
        $all = SiteSieve::of($site, BriefReader::read(['version' => 1])->criteria)->tally()->overall();
        for ($round = 0; $round < Effort::of(6, 40); $round++) {
            $json = $this->brief(array_values(array_filter(EntryRecord::query()->pluck('ref')->all(), is_string(...))));
            unset($json['gather']['sources'], $json['gather']['channels'], $json['gather']['subjects']);
            self::assertEquals($all, SiteSieve::of($site, BriefReader::read($json)->criteria)->tally()->overall());
        }
    }

    public function test_five_thousand_words_are_no_burden(): void
    {
        $site = $this->site();
        $this->store(
            $this->source($site),
            [
                new Entry('a', Kind::Review, text: 'The dome at night.', tags: ['t77']),
                new Entry('b', Kind::Review, text: 'Nothing of it.'),
            ],
        );
        $words = array_map(fn (int $number): string => "word$number", range(1, 4999));
        $tags = array_map(fn (int $number): string => "t$number", range(1, 5000));
        $shown = fn (array $sift): array => SiteSieve::of(
            $site,
            BriefReader::read(['version' => 1, 'sift' => $sift])->criteria,
        )->selection()->shown;
        self::assertSame(['the-dome:a'], $shown(['words' => ['any' => [...$words, 'dome']]]));
        self::assertSame(['the-dome:b'], $shown(['words' => ['none' => [...$words, 'dome']]]));
        self::assertSame(['the-dome:a'], $shown(['hashtags' => ['any' => $tags]]));
        self::assertSame(['the-dome:b'], $shown(['labels' => ['none' => $tags]]));
        self::assertSame([], $shown(['hashtags' => ['all' => $tags]]));
    }

    /** As many as a figure needs digits for: there are fewer such clauses now, and may be more. */
    public function test_clauses_that_are_asked_entry_by_entry_may_be_as_many_as_a_whole_number_has_bits(): void
    {
        $site = $this->site();
        $entries = array_map(
            fn (int $length): Entry => new Entry("e$length", Kind::Review, text: str_repeat('x', $length)),
            range(1, 160),
        );
        $this->store($this->source($site), $entries);
        $context = SiteContexts::of($site)->for(BriefReader::read(['version' => 2])->criteria);
        foreach ([6, 7, 13, 40] as $many) {
            $sieve = self::sieveOf($many, $context);
            self::assertCount($many, $sieve->own());
            $plain = [];
            foreach (EntryRecord::query()->get() as $record) {
                $facts = $record->facts();
                $plain[] = new TallyClass($sieve->failures($facts), $sieve->counts($facts), $facts->source, $facts->stars, true, 1, null);
            }
            self::assertEquals(
                (new Tally($sieve, $plain))->steps([], 0),
                (new SiteTally($site, $sieve))->tally->steps([], 0),
                "$many clauses",
            );
        }
        $this->expectException(LogicException::class);
        self::sieveOf(63, $context);
    }

    /** A sieve of so many clauses on length, each a little stricter or laxer than the one before. */
    private static function sieveOf(int $many, SiteContext $context): Sieve
    {
        $wanted = BriefReader::read(['version' => 2])->criteria;
        $clauses = array_map(
            fn (int $number): ?Length => Length::of(
                $wanted->with('/sift/length', ['from' => 3 * $number % 50, 'to' => 160 - 2 * $number]),
                $context,
            ),
            range(1, $many),
        );

        $class = new ReflectionClass(Sieve::class);
        $sieve = $class->newInstanceWithoutConstructor();
        $class->getConstructor()?->invoke($sieve, $wanted, $context, $clauses, []);

        return $sieve;
    }

    public function test_another_sites_entries_are_never_seen(): void
    {
        $mine = $this->site('Mine');
        $theirs = $this->site('Theirs');
        $this->store($this->source($theirs), [new Entry('a', Kind::Review, rating: Rating::on(Scale::ofStars(), 5))]);
        $brief = BriefReader::read(['version' => 1, 'sift' => ['pins' => ['the-dome:a']]])->criteria;
        self::assertSame([], SiteSieve::of($mine, $brief)->selection()->shown);
        self::assertSame(0, SiteSieve::of($mine, $brief)->tally()->overall()->count);
        self::assertSame([], SiteSieve::entries($mine, ['the-dome:a']));
        self::assertSame(['the-dome:a'], SiteSieve::of($theirs, $brief)->selection()->shown);
    }

    private function fill(Site $site): void
    {
        $pick = $this->pick(...);
        $subjects = [Subject::named($site, 'The Dome'), Subject::named($site, 'The Lane'), null];
        foreach (['dome', 'lane', 'rook'] as $key) {
            $entries = [];
            for ($number = 0; $number < 60; $number++) {
                $text = implode(' ', array_map(fn (): string => $pick(self::WORDS), range(1, $this->chance->getInt(1, 7))));
                $entries[] = new Entry("e$number", $pick(Kind::cases()),
                    author: new Author($pick([null, 'Ines Marlow', 'ines  MARLOW', 'Otto', 'Ørla', '山田', 'Łucja Żak', "N$number"])),
                    rating: $this->chance->getInt(0, 4) === 0 ? null : Rating::on(Scale::between(1, 10), $this->chance->getInt(2, 20) / 2),
                    title: $pick([null, null, 'The dome at night', '夜空']),
                    text: $pick(['', $text, $text, $text, str_repeat("$text. ", 9)]),
                    language: $pick([null, 'en', 'en-GB', 'de', 'de-AT', 'ja', 'zh-Hant']),
                    published: $this->chance->getInt(0, 9) === 0
                        ? null
                        : new DateTimeImmutable('2025-12-20T23:30:00Z +'.$this->chance->getInt(0, 60).' days'),
                    reply: $pick([null, null, new Reply('Thank you.')]),
                    media: $pick([
                        [],
                        [],
                        [new Media('image', 'https://pictures.example/a.jpg')],
                        [new Media('video', 'https://pictures.example/a.mp4')],
                    ]),
                    tags: $pick([[], [], ['Dome'], ['night sky', 'dôme'], ['100', 'domestic']]),
                    likes: $pick([null, 0, 3, 3, 12]));
            }
            $this->store($this->source($site, $key), $entries);
        }
        foreach (EntryRecord::query()->get() as $entry) {
            $entry->update(['gone' => $this->chance->getInt(0, 9) === 0, 'hidden' => $this->chance->getInt(0, 9) === 0, 'held' => $this->chance->getInt(0, 9) === 0,
                'duplicate_of' => $pick([null, null, null, null, '|dome|', '|lane|rook|', '|rook|']),
                'subject_id' => $pick($subjects)?->id]);
        }
    }

    /**
     * A brief of samples of the clauses and of whatever else their schemas allow; so that every clause there is is looked at.
     *
     * @param  list<string>  $refs
     * @return array<string, mixed>
     */
    private function brief(array $refs): array
    {
        $pick = $this->pick(...);
        $some = array_values(array_unique(array_map(fn (): string => $pick($refs), range(1, 6))));
        $words = ['dome', 'domé', 'dom*', 'NIGHT', 'night sky', 'queue', 'observatoire', 'strasse', 'istanbul', '天文', '文台', '夜*', 'ОБСЕРВ*',
            'елка', 'पुल', 'पल', 'か', 'が', '100', 'sk', '/do.*/', '***'];
        $tags = ['dome', '#Dôme', 'dom*', 'night sky', 'nightsky', '100', '#', 'sky'];
        $pages = ['/visit*', '/about', '/visit/dome'];
        $of = new Samples(
            ['dome', 'rook', 'lane'],
            ['wayleaf', 'feed', 'ticketwick'],
            ['the-dome', 'the-lane'],
            ['other1', 'other2', 'gone'],
            $some,
            $this->chance->shuffleArray($words),
            $this->chance->shuffleArray($tags),
            $pages,
        );
        $drawn = new DrawnValues($this->chance, ['dome', 'lane', 'wayleaf', 'the-dome', 'other1', 'en', 'de', 'ja', ...$words, ...$tags, ...$pages, ...$some]);
        $whole = [
            'sift' => [
                'most' => $pick([null, ['author' => 1], ['source' => 3], ['author' => 2, 'source' => 2]]),
                'order' => $pick(['newest', 'oldest', 'highest', 'lowest', 'liked', 'longest', 'shuffled', 'balanced', 'balanced']),
                'shuffle' => $pick(['day', 'visit', 'fixed']),
                'balance' => $pick([[], ['freshness' => 0, 'variety' => 10], ['rating' => 9, 'halfLife' => 7]]),
                'limit' => $pick([1, 5, 100]),
                'pins' => $pick([[], [], $some]),
            ],
            'gather' => [],
        ];
        // Not every brief wants everything at once: most leave most of it open.
        $open = $this->chance->getInt(1, 9);
        foreach (Clauses::ALL as $clause) {
            foreach ($clause::members() as $pointer => $schema) {
                [, $part, $member] = explode('/', $pointer);
                $samples = $clause::samples($of)[$pointer] ?? [];
                if ($this->chance->getInt(0, 9) >= $open) {
                    $whole[$part][$member] = $samples === [] || $this->chance->getInt(0, 3) === 0 ? $drawn->of($schema) : $pick($samples);
                }
            }
        }

        return ['version' => 1] + $whole;
    }

    /**
     * @template T
     *
     * @param  list<T>  $of
     * @return T
     */
    private function pick(array $of): mixed
    {
        return $of[$this->chance->getInt(0, count($of) - 1)];
    }
}
