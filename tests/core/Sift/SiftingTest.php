<?php

declare(strict_types=1);

namespace Tests\core\Sift;

use DateTimeImmutable;
use Gnomic\Brief\Brief;
use Gnomic\Brief\BriefReader;
use Gnomic\Edition\Touch;
use Gnomic\Sift\Facts;
use Gnomic\Sift\Sifting;
use Gnomic\Sift\Step;
use Gnomic\Sift\Verdict;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\core\AtADay;

final class SiftingTest extends TestCase
{
    use AtADay;

    /** @return list<Facts> */
    private static function entries(): array
    {
        return [
            new Facts('a', 'dome', 'review', 5.0, 80, 500),
            new Facts('b', 'dome', 'review', 4.6, 10, 400),
            new Facts('c', 'dome', 'review', 3.0, 50, 600),
            new Facts('d', 'lane', 'review', 5.0, 0, 700),
            new Facts('e', 'rook', 'post', null, 30, 300),
            new Facts('f', 'dome', 'review', 4.0, 20, null),
            new Facts('g', 'dome', 'review', 5.0, 20, 800, gone: true),
            new Facts('h', 'dome', 'review', 5.0, 20, 900, hidden: true),
        ];
    }

    /**
     * @param  array<string, mixed>  $sift
     * @param  array<string, mixed>  $gather
     */
    private static function brief(array $sift, array $gather = []): Brief
    {
        return BriefReader::read(['version' => 1, 'gather' => $gather, 'sift' => $sift]);
    }

    /**
     * @param  array<string, mixed>  $sift
     * @param  array<string, mixed>  $gather
     */
    #[DataProvider('briefs')]
    public function test_a_brief_selects(array $sift, array $gather, string $shown): void
    {
        self::assertSame(
            $shown,
            implode(' ', Sifting::of(self::brief($sift, $gather)->criteria, self::entries(), self::on())->selection()->shown),
        );
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>, string}> */
    public static function briefs(): iterable
    {
        yield 'everything, newest first, undated last' => [[], [], 'd c a b e f'];
        yield 'four stars and up' => [['stars' => ['from' => 4]], [], 'd a b f'];
        yield 'unrated kept' => [['stars' => ['from' => 4, 'unrated' => 'keep']], [], 'd a b e f'];
        yield 'bounds are numbers: 4.6 is more than 4' => [['stars' => ['to' => 4]], [], 'c f'];
        yield 'with words' => [['withWords' => true], [], 'c a b e f'];
        yield 'kinds' => [[], ['kinds' => ['post']], 'e'];
        yield 'sources' => [[], ['sources' => ['lane', 'rook']], 'd e'];
        yield 'no source' => [[], ['sources' => []], ''];
        yield 'oldest' => [['order' => 'oldest'], [], 'e b a c d f'];
        yield 'highest, newest among equals, unrated last' => [['order' => 'highest'], [], 'd a b f c e'];
        yield 'lowest' => [['order' => 'lowest'], [], 'c f b d a e'];
        yield 'limit' => [['limit' => 2], [], 'd c'];
        yield 'pins come first in their order, past every rule' => [['stars' => ['from' => 5], 'pins' => ['e', 'c']], [], 'e c d a'];
        yield 'hidden beats pinned' => [['pins' => ['a'], 'hidden' => ['a']], [], 'd c b e f'];
        yield 'what is gone or hidden everywhere is never shown' => [['pins' => ['g', 'h']], [], 'd c a b e f'];
        yield 'a pin of nothing does no harm' => [['pins' => ['zz'], 'limit' => 1], [], 'd'];
    }

    public function test_the_account_adds_up_and_every_entry_has_a_reason(): void
    {
        $sifting = Sifting::of(
            self::brief(
                ['stars' => ['from' => 4], 'withWords' => true, 'limit' => 2, 'hidden' => ['b']],
                ['kinds' => ['review']],
            )->criteria,
            self::entries(),
            self::on(),
        );
        $steps = $sifting->selection()->steps;
        self::assertSame(
            ['collected 8 0', 'kinds 7 1', 'present 6 1', 'once 6 0', 'decided 6 0', 'hidden 4 2', 'stars 3 1', 'words 2 1', 'shown 2 0'],
            array_map(fn (Step $step) => "$step->key $step->kept $step->dropped", $steps),
        );
        foreach (array_slice($steps, 1) as $index => $step) {
            self::assertSame($steps[$index]->kept, $step->kept + $step->dropped);
        }
        $reasons = [];
        foreach ($sifting->verdicts() as $verdict) {
            $reasons[$verdict->id] = "$verdict->step: $verdict->reason";
        }
        self::assertCount(8, $reasons);
        self::assertSame('stars: 3 stars; the widget asks for four stars and up.', $reasons['c']);
        self::assertSame('hidden: You have hidden it in this widget.', $reasons['b']);
        self::assertSame('hidden: You have hidden it in every widget.', $reasons['h']);
        self::assertSame('present: It is no longer at its source.', $reasons['g']);
        self::assertSame('words: It is a rating without words.', $reasons['d']);
        self::assertSame('kinds: It is a post; the widget asks for reviews only.', $reasons['e']);
    }

    public function test_a_shuffle_keeps_for_a_day_and_is_fair(): void
    {
        $brief = self::brief(['order' => 'shuffled', 'limit' => 1]);
        $entries = array_map(fn (int $number): Facts => new Facts("e$number", 's', 'review', 5.0, 1, $number), range(0, 9));
        $first = fn (string $day): string => Sifting::of($brief->criteria, $entries, self::on($day))->selection()->shown[0];
        self::assertSame($first('2026-01-01'), $first('2026-01-01'));
        $times = array_fill_keys(array_map(fn (Facts $entry) => $entry->id, $entries), 0);
        for ($day = 0; $day < 2000; $day++) {
            $times[$first((new DateTimeImmutable('2026-01-01'))->modify("+$day days")->format('Y-m-d'))]++;
        }
        // Chi-squared with 9 degrees of freedom: 27.88 is passed once in a thousand; the days are fixed, so this is no lottery.
        self::assertLessThan(27.88, array_sum(array_map(fn (int $seen): float => ($seen - 200) ** 2 / 200, $times)));
    }

    public function test_only_changes_that_a_brief_can_see_touch_it(): void
    {
        $brief = self::brief(['stars' => ['from' => 4]], ['sources' => ['dome']]);
        $bare = $brief->with(shape: $brief->shape->with(['head' => [], 'honest' => false]));
        $five = new Facts('n', 'dome', 'review', 5.0, 3, 1);
        $two = new Facts('n', 'dome', 'review', 2.0, 3, 1);
        self::assertTrue(Touch::canChange($bare, self::on(), null, $five));
        self::assertTrue(Touch::canChange($bare, self::on(), $five, $two), 'it leaves');
        self::assertFalse(Touch::canChange($bare, self::on(), null, $two), 'it never shows');
        self::assertTrue(Touch::canChange($brief, self::on(), null, $two), 'but it counts in the figures');
        $silent = $brief->with(shape: $brief->shape->with(['honest' => false]));
        self::assertFalse(
            Touch::canChange($silent, self::on(), $two, new Facts('n', 'dome', 'review', 2.0, 9, 1)),
            'its words are not shown',
        );
        self::assertTrue(
            Touch::canChange($brief, self::on(), $two, new Facts('n', 'dome', 'review', 2.0, 9, 1)),
            'but behind the honest line they are',
        );
        self::assertFalse(Touch::canChange($brief, self::on(), null, new Facts('n', 'lane', 'review', 5.0, 3, 1)), 'another source');
    }

    public function test_verdicts_of_those_shown_tell_their_place(): void
    {
        $verdicts = Sifting::of(self::brief(['limit' => 1, 'pins' => ['b']])->criteria, self::entries(), self::on())->verdicts();
        self::assertEquals(new Verdict('b', 'dome', true, 'shown', 'You have pinned it; it is number 1.'), $verdicts[0]);
        self::assertSame('It meets every condition, but comes after the newest entry.', $verdicts[1]->reason);
    }
}
