<?php

declare(strict_types=1);

namespace Tests\core\Gather;

use DateTimeImmutable;
use Gnomic\Entry\Author;
use Gnomic\Entry\Entry;
use Gnomic\Entry\Kind;
use Gnomic\Entry\Rating;
use Gnomic\Entry\Scale;
use Gnomic\Gather\Likeness\ComparedEntry;
use Gnomic\Gather\Likeness\Likeness;
use Gnomic\Gather\Likeness\Neighbours;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LikenessTest extends TestCase
{
    private const WORDS = 'Saturn was so sharp that my daughter asked whether it was a sticker on the lens.';

    private static function entry(
        string $text = self::WORDS,
        ?string $author = 'Ines Marlow',
        ?string $day = '2026-11-12',
        ?float $stars = 5.0,
        string $source = 'a',
    ): Entry {
        return new Entry('x', Kind::Review, $source, author: new Author($author), rating: $stars === null ? null : Rating::on(Scale::ofStars(), $stars), text: $text,
            published: $day === null ? null : new DateTimeImmutable("{$day}T12:00:00Z"));
    }

    #[DataProvider('pairs')]
    public function test_two_entries(bool $same, Entry $one, Entry $other, string $says): void
    {
        $likeness = Likeness::between(ComparedEntry::by($one), ComparedEntry::by($other));
        self::assertSame($same, $likeness->isSame, "$likeness->score: $likeness->reason");
        self::assertStringContainsString($says, $likeness->reason);
        self::assertSame(
            [$likeness->score, $likeness->isSame],
            [
                Likeness::between(ComparedEntry::by($other), ComparedEntry::by($one))->score,
                Likeness::between(ComparedEntry::by($other), ComparedEntry::by($one))->isSame,
            ],
            'either way round',
        );
    }

    /** @return iterable<string, array{bool, Entry, Entry, string}> */
    public static function pairs(): iterable
    {
        yield 'to the letter' => [true, self::entry(), self::entry(), 'the same words, the same author, within a day, rated alike'];
        yield 'with other signs and cases' => [
            true,
            self::entry(),
            self::entry('SATURN was so sharp… that my daughter asked, whether it was a sticker on the lens! ✨', 'Ines M.', '2026-11-13'),
            'the same author',
        ];
        yield 'nobody named' => [true, self::entry(author: null), self::entry(author: null, day: null, stars: null), 'the same words'];
        yield 'words alike, other people, months apart' => [
            false,
            self::entry(),
            self::entry(author: 'Tomasz Kell', day: '2026-02-01'),
            'other names',
        ];
        yield 'other words of the same person' => [
            false,
            self::entry(),
            self::entry('We came for the eclipse talk and stayed until they locked the gate.'),
            '0 of 100',
        ];
        yield 'few words that anybody says' => [
            false,
            self::entry('Great place!', null),
            self::entry('Great place!', null),
            'the same words',
        ];
        yield 'few words, one person, one day' => [true, self::entry('Great place!'), self::entry('Great place!'), 'the same author'];
        yield 'without words' => [false, self::entry(''), self::entry(''), '0 of 100'];
        yield 'a script without blanks' => [
            true,
            self::entry('土星の輪がはっきり見えて、娘は「シールみたい」と驚いていました。'),
            self::entry('土星の輪がはっきり見えて、娘はシールみたいと驚いていました'),
            'the same words',
        ];
    }

    public function test_among_many_only_those_told_elsewhere_are_found(): void
    {
        $near = new Neighbours;
        self::assertNull($near->add(self::entry()));
        self::assertNull($near->add(self::entry()), 'the same source tells it twice: its identifiers are for that');
        for ($number = 0; $number < 300; $number++) {
            self::assertNull(
                $near->add(self::entry(
                    "Visit number $number was nothing like the visit before it, and we counted $number lamps.",
                    "P $number",
                    source: 'b',
                )),
            );
        }
        [$index, $likeness] = $near->add(self::entry(self::WORDS.' Really.', source: 'c')) ?? self::fail('not found');
        self::assertContains($index, [0, 1]);
        self::assertGreaterThan(0.85, $likeness->score);
    }

    public function test_what_is_packed_is_unpacked_the_same(): void
    {
        foreach ([self::entry(), self::entry('', null, null, null), self::entry('さくら', 'さくら 三枝')] as $entry) {
            self::assertEquals(ComparedEntry::by($entry), ComparedEntry::unpacked(ComparedEntry::by($entry)->packed()));
        }
    }
}
