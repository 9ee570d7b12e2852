<?php

declare(strict_types=1);

namespace Tests\core\Entry;

use Gnomic\Entry\EntryJson;
use Gnomic\Entry\Kind;
use Gnomic\Json\MemberIsWrong;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class EntryJsonTest extends TestCase
{
    public function test_what_is_written_is_read_back(): void
    {
        $given = [
            'id' => 'r1', 'kind' => 'review', 'source' => 'the-dome', 'subject' => null, 'url' => 'https://a.example/r1',
            'author' => ['name' => 'Ines', 'role' => 'Teacher', 'place' => 'Skerry', 'url' => null, 'image' => null],
            'rating' => ['value' => 9.2, 'best' => 10.0, 'worst' => 1.0, 'stars' => 4.6],
            'title' => 'Saturn', 'text' => "Sharp.\n\nVery sharp.", 'html' => '<p>Sharp.</p><p>Very sharp.</p>', 'language' => 'en',
            'published' => '2026-01-02T03:04:05+01:00', 'updated' => '2026-01-03T00:00:00Z',
            'reply' => ['text' => 'Thank you.', 'published' => null],
            'media' => [['type' => 'image', 'url' => 'https://a.example/p.jpg', 'width' => 640, 'height' => 480, 'alt' => 'Rings']],
            'tags' => ['saturn'], 'likes' => 3, 'comments' => 0,
        ];
        self::assertEquals($given, EntryJson::write(EntryJson::read($given)));
        self::assertEquals($given, EntryJson::write(EntryJson::restored($given)));
    }

    public function test_missing_members_take_no_guess(): void
    {
        $entry = EntryJson::read(['text' => 'Only words.']);
        self::assertSame(Kind::Post, $entry->kind);
        self::assertNull($entry->language);
        self::assertNull($entry->rating);
        self::assertNotSame('', $entry->id);
    }

    public function test_markup_from_outside_is_made_safe(): void
    {
        $entry = EntryJson::read(['id' => 'x', 'html' => '<p onclick="a()">Hi<script>alert(1)</script></p>']);
        self::assertSame('<p>Hi</p>', $entry->html);
        self::assertSame('Hi', $entry->text);
    }

    #[DataProvider('wrong')]
    public function test_a_wrong_member_is_named(mixed $value, string $pointer): void
    {
        try {
            EntryJson::read($value);
            self::fail('It was taken.');
        } catch (MemberIsWrong $wrong) {
            self::assertSame($pointer, $wrong->pointer);
            self::assertStringContainsString($pointer, $wrong->getMessage());
        }
    }

    /** @return iterable<string, array{mixed, string}> */
    public static function wrong(): iterable
    {
        yield 'no object' => ['text', '/'];
        yield 'nothing of an entry' => [['version' => 1], '/'];
        yield 'a kind that is none' => [['id' => 'a', 'kind' => 'rumour'], '/kind'];
        yield 'a rating without value' => [['id' => 'a', 'rating' => ['best' => 5]], '/rating/value'];
        yield 'a date that is none' => [['id' => 'a', 'published' => 'soon'], '/published'];
        yield 'tags that are no texts' => [['id' => 'a', 'tags' => [1]], '/tags/0'];
        yield 'an author that is a name' => [['id' => 'a', 'author' => 'Ines'], '/author'];
    }
}
