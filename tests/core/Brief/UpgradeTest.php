<?php

declare(strict_types=1);

namespace Tests\core\Brief;

use Gnomic\Brief\BriefReader;
use Gnomic\Shape\Card\CardBox;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is published does not change by itself: earlier briefs state what was usual when they were written. */
final class UpgradeTest extends TestCase
{
    /** @param  array<string, mixed>  $brief */
    #[DataProvider('earlier')]
    public function test_an_earlier_brief_keeps_what_was_usual(array $brief): void
    {
        $read = BriefReader::read($brief);
        $shape = $read->shape->toArray();
        self::assertSame(
            [['rating', 'title', 'words', 'name', 'date', 'source'], 'both', 'day', ['overall', 'count', 'spread'], 'level', 'carousel', 20],
            [$shape['card'], $shape['rating'], $shape['date'], $shape['head'], $shape['heights'], $read->shape->layout::name(), $read->shape->frame->padding],
        );
        self::assertSame('paper-3', $read->dress->look);
        self::assertFalse($shape['layout']['peek'] ?? null);
        self::assertEquals($read, BriefReader::read($read->toArray()), 'once upgraded, it stays as it is');
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function earlier(): iterable
    {
        yield 'the first form' => [['version' => 1]];
        yield 'the third form' => [['version' => 3]];
        yield 'with parts that say nothing' => [['version' => 3, 'shape' => ['frame' => ['gap' => null], 'lines' => null], 'dress' => ['scheme' => null]]];
        yield 'a layout without a name' => [['version' => 2, 'shape' => ['layout' => ['name' => 'carousel', 'across' => 3]]]];
    }

    public function test_what_an_earlier_brief_says_itself_holds(): void
    {
        $read = BriefReader::read(['version' => 3, 'shape' => [
            'rating' => 'words', 'card' => ['words'], 'frame' => ['padding' => 0], 'layout' => ['name' => 'photo-rows'], 'head' => [],
        ], 'dress' => ['name' => 'own-mine']]);
        self::assertSame(['words', ['words'], 0, 8, [], 'own-mine'], [
            $read->shape->rating, $read->shape->card, $read->shape->frame->padding, $read->shape->frame->gap, $read->shape->head, $read->dress->look,
        ]);
    }

    public function test_a_new_brief_has_the_new(): void
    {
        $read = BriefReader::read(['version' => 4]);
        self::assertSame(['usual', 'recent', 'fit', 'grid', 'window'], [
            $read->shape->rating, $read->shape->date, $read->shape->heights, $read->shape->layout::name(), $read->dress->look,
        ]);
        self::assertContains('face', $read->shape->card);
        self::assertFalse(CardBox::usual()->quotes);
    }
}
