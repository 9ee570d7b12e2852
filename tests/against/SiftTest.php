<?php

declare(strict_types=1);

namespace Tests\against;

use DateTimeImmutable;
use Gnomic\Brief\BriefReader;
use Gnomic\Entry\EntryJson;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Sifting;
use Gnomic\Sift\SiteContext;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;
use Tests\Effort;

/** The rules as docs/formats.md writes them, evaluated in another language by a program that shares nothing with ours (sift.mjs). */
final class SiftTest extends TestCase
{
    private Randomizer $chance;

    public function test_an_independent_evaluation_of_the_written_rules_selects_the_same(): void
    {
        $this->chance = new Randomizer(new Mt19937(26));
        $entries = array_map($this->entry(...), range(1, 220));
        $briefs = array_map(fn (): array => $this->brief(), range(1, Effort::of(80, 150)));
        $process = new Process(
            ['node', __DIR__.'/sift.mjs'],
            input: (string) json_encode(['entries' => $entries, 'briefs' => $briefs, 'day' => '2026-06-15']),
        );
        $theirs = json_decode($process->mustRun()->getOutput(), true);
        $facts = array_map(fn (array $entry): Facts => Facts::of(EntryJson::read($entry)), $entries);
        $selected = 0;
        foreach ($briefs as $index => $brief) {
            $sifting = Sifting::of(
                BriefReader::read($brief)->criteria,
                $facts,
                new SiteContext(new DateTimeImmutable('2026-06-15T10:00:00Z')),
            );
            self::assertSame($theirs[$index]['shown'], $sifting->selection()->shown, (string) json_encode($brief));
            $out = [];
            foreach ($sifting->verdicts() as $verdict) {
                if (! $verdict->shown) {
                    $out[$verdict->id] = $verdict->step;
                    self::assertNotSame('', $verdict->reason);
                }
            }
            self::assertEquals($theirs[$index]['out'], $out, (string) json_encode($brief));
            $selected += count($sifting->selection()->shown);
        }
        self::assertGreaterThan(Effort::of(250, 500), $selected, 'the briefs are not so narrow that there is nothing to compare');
    }

    /** @return array<string, mixed> */
    private function entry(int $number): array
    {
        $words = [
            'dome',
            'Dome',
            'domes',
            'night',
            'sky',
            'night sky',
            'café',
            'CAFÉ',
            'Straße',
            'STRASSE',
            '天文台',
            '夜空',
            "l'eau",
            '#comet',
            '#2026',
            'queue',
            '😀',
            'naïve',
        ];

        return [
            'id' => "e$number",
            'kind' => $this->pick(['review', 'review', 'testimonial', 'post']),
            'source' => $this->pick(['a', 'b', 'c']),
            'subject' => $this->pick([null, 'dome', 'lane']),
            'author' => ['name' => $this->pick([null, 'Ines Marlow', 'ines marlow', 'Zoë', 'ZOE', "P$number"])],
            'rating' => $this->pick([
                null,
                ['value' => $this->chance->getInt(1, 5)],
                ['value' => $this->chance->getInt(0, 10), 'best' => 10, 'worst' => 0],
                ['value' => $this->chance->getInt(1, 7), 'best' => 7, 'worst' => 1],
            ]),
            'title' => $this->pick([null, null, 'The dome', '夜空']),
            'text' => $this->pick([
                '',
                implode(' ', array_map(fn (): string => $this->pick($words), range(1, $this->chance->getInt(1, 9)))),
            ]),
            'language' => $this->pick([null, 'en', 'en-GB', 'de', 'pt-BR']),
            'published' => $this->pick([
                null,
                sprintf(
                    '2026-%02d-%02dT%02d:00:00Z',
                    $this->chance->getInt(1, 6),
                    $this->chance->getInt(1, 28),
                    $this->chance->getInt(0, 23),
                ),
            ]),
            'reply' => $this->pick([null, ['text' => 'Thank you.']]),
            'media' => $this->pick([
                [],
                [['type' => 'image', 'url' => 'https://pictures.example/a.jpg']],
                [['type' => 'video', 'url' => 'https://pictures.example/a.mp4']],
            ]),
            'tags' => $this->pick([[], ['Dome'], ['night sky', 'Café'], ['comet']]),
            'likes' => $this->pick([null, 0, 4, 4, 9]),
            'comments' => null,
        ];
    }

    /** @return array<string, mixed> */
    private function brief(): array
    {
        $some = fn (array $of): array => array_values(
            array_unique(array_map(fn (): string => $this->pick(array_values($of)), range(1, $this->chance->getInt(1, 3)))),
        );
        $terms = fn (array $of): array => $this->pick([
            ['any' => $some($of)],
            ['all' => array_slice($some($of), 0, 1)],
            ['none' => $some($of)],
            ['any' => $some($of), 'none' => $some($of)],
        ]);
        $words = ['dome', 'dom*', 'NIGHT', 'night sky', 'cafe', 'strasse', '天文', '空', "l'eau", 'eau', 'naive', 'queue'];
        $from = $this->chance->getInt(2, 10) / 2;
        $sift = [
            'stars' => $this->pick([['from' => $from], ['to' => $from], ['from' => 5, 'to' => $from, 'unrated' => 'keep']]),
            'withWords' => true,
            'length' => $this->pick([['from' => 10], ['to' => 30], ['from' => 40, 'to' => 5]]),
            'withPictures' => true,
            'withReply' => true,
            'languages' => $this->pick([['only' => ['en']], ['only' => ['de', 'PT'], 'unknown' => 'keep']]),
            'when' => $this->pick([['last' => 60], ['from' => '2026-02-10'], ['from' => '2026-05-01', 'to' => '2026-02-01']]),
            'words' => $terms($words),
            'hashtags' => $terms(['dome', '#Comet', 'night*', 'cafe']),
            'labels' => $terms(['dome', 'night sky', 'com*']),
            'most' => $this->pick([['author' => 1], ['source' => 3], ['author' => 2, 'source' => 4]]),
            'pins' => $some(['e3', 'e7', 'e50', 'e51', 'gone']),
            'hidden' => $some(['e3', 'e9', 'e20']),
        ];
        $sift = array_filter($sift, fn (): bool => $this->chance->getInt(0, 4) === 0);
        $gather = array_filter(
            ['sources' => $some(['a', 'b', 'c']), 'subjects' => ['dome'], 'kinds' => $this->pick([['review'], ['post', 'testimonial']])],
            fn (): bool => $this->chance->getInt(0, 3) === 0,
        );

        return [
            'version' => 1,
            'gather' => $gather,
            'sift' => $sift + [
                'order' => $this->pick(['newest', 'oldest', 'highest', 'lowest', 'liked', 'longest']),
                'limit' => $this->pick([3, 10, 100]),
            ],
        ];
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
