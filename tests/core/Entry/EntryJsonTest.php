<?php

declare(strict_types=1);

namespace Tests\core\Entry;

use DateTimeImmutable;
use Gnomic\Entry\Author;
use Gnomic\Entry\Comment;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Media;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Reply;
use Gnomic\Entry\Scale;
use Gnomic\Entry\Translation;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Sift\Facts;
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
            'media' => [['type' => 'image', 'url' => 'https://a.example/p.jpg', 'width' => 640, 'height' => 480, 'alt' => 'Rings', 'seconds' => 42]],
            'tags' => ['saturn'], 'likes' => 3, 'comments' => 0, 'verified' => true,
            'translation' => ['text' => 'Gestochen scharf.', 'language' => 'de'],
            'said' => [['author' => 'Teo', 'text' => 'So it was.', 'published' => '2026-01-04T00:00:00Z']],
        ];
        self::assertSame(json_encode($given), json_encode(EntryJson::write(EntryJson::read($given))), 'in this order of members');
        self::assertEquals($given, EntryJson::write(EntryJson::restored($given)));
    }

    public function test_a_copy_keeps_every_member(): void
    {
        $full = new Entry('r1', Kind::Review, 'the-dome', 'dome', 'https://a.example/r1', new Author('Ines'), Rating::on(Scale::ofStars(), 4), 'Saturn', 'Sharp.',
            '<p>Sharp.</p>', 'en', new DateTimeImmutable('2026-01-02'), new DateTimeImmutable('2026-01-03'), new Reply('Thanks.'),
            [new Media('image', 'https://a.example/p.jpg')], ['saturn'], 3, 1, ' Sharp. ', true, new Translation('Scharf.', 'de'), [new Comment('So it was.')]);
        self::assertEquals(get_object_vars($full), get_object_vars($full->with()));
        foreach (get_object_vars($full) as $name => $value) {
            self::assertNotEmpty($value, "$name is given, so that its loss would be seen");
        }
    }

    public function test_what_was_said_is_bounded_and_a_translation_has_a_language(): void
    {
        $entry = EntryJson::read([
            'kind' => 'post', 'text' => 'Rings.', 'translation' => ['text' => 'Ringe.', 'language' => 'und'],
            'said' => array_fill(0, 300, ['text' => ' Yes. ', 'author' => null]),
        ]);
        self::assertNull($entry->translation);
        self::assertCount(Comment::MOST, $entry->said);
        self::assertSame('Yes.', $entry->said[0]->text);
        $this->expectException(MemberIsWrong::class);
        EntryJson::read(['kind' => 'post', 'text' => 'Rings.', 'said' => [['text' => ['no']]]]);
    }

    public function test_missing_members_take_no_guess(): void
    {
        $entry = EntryJson::read(['kind' => 'post', 'text' => 'Only words.', 'language' => 'und']);
        self::assertSame(Kind::Post, $entry->kind);
        self::assertNull($entry->language);
        self::assertNull($entry->rating);
        self::assertNotSame('', $entry->id);
    }

    public function test_markup_from_outside_is_made_safe(): void
    {
        $entry = EntryJson::read(['id' => 'x', 'kind' => 'post', 'html' => '<p onclick="a()">Hi<script>alert(1)</script></p>']);
        self::assertSame('<p>Hi</p>', $entry->html);
        self::assertSame('Hi', $entry->text);
    }

    public function test_pictures_of_its_markup_are_among_its_media(): void
    {
        $entry = EntryJson::read(['kind' => 'post', 'media' => [['type' => 'image', 'url' => 'https://a.example/1.jpg']],
            'html' => '<p>Rings<img src="https://a.example/1.jpg"><img src="https://a.example/2.jpg" alt="Two"><img src="javascript:a()"></p>']);
        self::assertSame(
            [['https://a.example/1.jpg', null], ['https://a.example/2.jpg', 'Two']],
            array_map(fn (Media $one): array => [$one->url, $one->alt], $entry->media),
        );
    }

    public function test_addresses_are_the_webs_whatever_way_they_came(): void
    {
        foreach (['javascript:alert(1)', ' JavaScript:a', "java\tscript:a", 'data:text/html,a', 'vbscript:a', '//a.example/x', '/x', 'file:///etc/passwd',
            "https://a.example/\x07", 'https:///x', 'ftp://a.example/'] as $address) {
            $given = ['id' => 'a', 'kind' => 'review', 'url' => $address, 'author' => ['url' => $address, 'image' => $address],
                'media' => [['type' => 'image', 'url' => $address]], 'html' => "<a href=\"$address\">a</a><img src=\"$address\">"];
            foreach ([EntryJson::read($given), EntryJson::restored(['html' => null] + $given)] as $entry) {
                self::assertSame([null, null, null, []], [$entry->url, $entry->author->url, $entry->author->image, $entry->media], $address);
            }
            self::assertCount(4, EntryJson::unusable($given, EntryJson::read($given)), $address);
            self::assertStringNotContainsString('script:', (string) EntryJson::read($given)->html);
            self::assertNull((new Entry('a', Kind::Post, url: $address))->with(id: 'b')->url);
        }
    }

    public function test_fractions_of_a_second_are_kept(): void
    {
        $entry = EntryJson::read(['id' => 'a', 'kind' => 'post', 'published' => '2026-01-02T03:04:05.250+01:00']);
        self::assertSame('2026-01-02T03:04:05.25+01:00', EntryJson::write($entry)['published']);
        self::assertSame(1767319445.25, Facts::of($entry)->published);
    }

    #[DataProvider('wrong')]
    public function test_a_wrong_member_is_named(mixed $value, string $pointer): void
    {
        try {
            EntryJson::read(is_array($value) && isset($value['id']) ? $value + ['kind' => 'review'] : $value);
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
        yield 'no kind' => [['text' => 'a'], '/kind'];
        yield 'a kind that is null' => [['id' => 'a', 'kind' => null], '/kind'];
        yield 'an id that is a number' => [['id' => 12], '/id'];
        yield 'an id that is empty' => [['id' => ' '], '/id'];
        yield 'fewer likes than none' => [['id' => 'a', 'likes' => -1], '/likes'];
        yield 'fewer comments than none' => [['id' => 'a', 'comments' => -3], '/comments'];
        yield 'a picture of no width' => [['id' => 'a', 'media' => [['type' => 'image', 'url' => 'https://a.example/p', 'width' => -1]]], '/media/0/width'];
        foreach (['english', 'xx', 'en_', '12', 'e', 'qq-QQ', ''] as $language) {
            yield "\"$language\" for a language" => [['id' => 'a', 'language' => $language], '/language'];
        }
    }
}
