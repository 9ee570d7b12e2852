<?php

declare(strict_types=1);

namespace Tests\core\Gather;

use Gnomic\Entry\EntryJson;
use Gnomic\Entry\Kind;
use Gnomic\Gather\PayloadIsUnreadable;
use Gnomic\Gather\Problem;
use Gnomic\Gather\Records\WayleafReviews;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WayleafReviewsTest extends TestCase
{
    /** @param  list<mixed>  $reviews */
    private static function page(array $reviews, ?string $next = null): string
    {
        return (string) json_encode(['place' => ['name' => 'The Dome'], 'reviews' => $reviews, 'next' => $next]);
    }

    public function test_a_review_with_everything(): void
    {
        $page = WayleafReviews::read(self::page([[
            'review_id' => 'w1',
            'author' => ['name' => " Ines \n Marlow "],
            'points' => 4,
            'of' => 5,
            'comment' => "Cold.\r\n\r\n\r\nWonderful. <b>",
            'language' => 'en',
            'created' => '2026-01-02T03:04:05Z',
            'edited' => '2026-01-03T00:00:00Z',
            'owner_reply' => ['text' => 'Thank you.', 'created' => '2026-01-04T00:00:00Z'],
            'verified_visit' => true,
            'translation' => ['language' => 'de', 'comment' => ' Kalt. '],
        ]], 'abc'));
        self::assertSame(['abc', 'The Dome', []], [$page->next, $page->reading->title, $page->reading->problems]);
        $entry = $page->reading->entries[0];
        self::assertSame(
            ['w1', Kind::Review, 'Ines Marlow', 4.0, "Cold.\n\nWonderful. <b>", 'en'],
            [$entry->id, $entry->kind, $entry->author->name, $entry->stars(), $entry->text, $entry->language],
        );
        self::assertSame('<p>Cold.</p><p>Wonderful. &lt;b&gt;</p>', $entry->html, 'words are words, not markup');
        self::assertSame(
            ['2026-01-02T03:04:05Z', '2026-01-03T00:00:00Z', '2026-01-04T00:00:00Z'],
            array_map(EntryJson::date(...), [$entry->published, $entry->updated, $entry->reply?->published]),
        );
        self::assertSame([true, 'Kalt.', 'de'], [$entry->verified, $entry->translation?->text, $entry->translation?->language]);
    }

    public function test_what_is_missing_is_missing(): void
    {
        $entry = WayleafReviews::read(self::page([['review_id' => 'w1']]))->reading->entries[0];
        self::assertSame(
            [null, null, '', null, null, null],
            [$entry->author->name, $entry->rating, $entry->text, $entry->html, $entry->published, $entry->reply],
        );
    }

    public function test_a_wrong_review_is_told_by_its_place_and_the_others_stay(): void
    {
        $reading = WayleafReviews::read(
            self::page([
                ['review_id' => 'a', 'points' => 9, 'of' => 5],
                'nonsense',
                ['points' => 5],
                ['review_id' => 'b', 'points' => 'five'],
                ['review_id' => 'c', 'points' => 5],
            ]),
            40,
        )->reading;
        self::assertSame(['a', 'c'], array_map(fn ($entry) => $entry->id, $reading->entries));
        self::assertNull($reading->entries[0]->rating);
        self::assertSame(
            ['review 41', 'review 42', 'review 43', 'review 44'],
            array_map(fn (Problem $problem) => $problem->where, $reading->problems),
        );
    }

    #[DataProvider('nonsense')]
    public function test_another_answer_is_refused_whole(string $answer): void
    {
        $this->expectException(PayloadIsUnreadable::class);
        WayleafReviews::read($answer);
    }

    /** @return iterable<array{string}> */
    public static function nonsense(): iterable
    {
        yield ['<html>'];
        yield ['{}'];
        yield ['{"reviews": {"a": 1}}'];
        yield ['null'];
        yield [''];
    }
}
