<?php

declare(strict_types=1);

namespace Tests\core\Gather;

use DateTimeZone;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Gather\Problem;
use Gnomic\Gather\Reading;
use Gnomic\Gather\Tables\Column;
use Gnomic\Gather\Tables\DateOrder;
use Gnomic\Gather\Tables\Delimited;
use Gnomic\Gather\Tables\EntryRows;
use Gnomic\Gather\Tables\SubjectRows;
use Gnomic\Gather\Tables\TableColumns;
use Gnomic\Gather\Tables\TableIsWrong;
use Gnomic\Gather\Tables\TableReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class TableReaderTest extends TestCase
{
    private static function reading(string $bytes): Reading
    {
        return EntryRows::reading(TableReader::read($bytes), new DateTimeZone('Europe/London'));
    }

    /** RFC 4180 §2, its rules one by one. */
    public function test_delimited_text_by_the_rules(): void
    {
        $rows = fn (string $text): array => array_values([...Delimited::rows($text, ',')]);
        self::assertSame([['aaa', 'bbb', 'ccc'], ['zzz', 'yyy', 'xxx']], $rows("aaa,bbb,ccc\r\nzzz,yyy,xxx\r\n"), 'rule 1');
        self::assertSame([['aaa', 'bbb', 'ccc'], ['zzz', 'yyy', 'xxx']], $rows("aaa,bbb,ccc\r\nzzz,yyy,xxx"), 'rule 2');
        self::assertSame([['aaa', 'bbb', 'ccc'], ['zzz', 'yyy', 'xxx']], $rows("\"aaa\",\"bbb\",\"ccc\"\r\nzzz,yyy,xxx"), 'rule 5');
        self::assertSame(
            [['aaa', "b \r\nbb", 'ccc'], ['zzz', 'yyy', 'xxx']],
            $rows("\"aaa\",\"b \r\nbb\",\"ccc\"\r\nzzz,yyy,xxx"),
            'rule 6',
        );
        self::assertSame([['aaa', 'b"bb', 'ccc']], $rows('"aaa","b""bb","ccc"'), 'rule 7');
        self::assertSame([['', 'b', '']], $rows(',b,'), 'empty fields');
        self::assertSame([['a "quoted" word', 'x']], $rows('a "quoted" word,x'), 'quotes within a bare cell are its own');
    }

    #[DataProvider('encodings')]
    public function test_the_same_table_in_every_encoding(string $bytes): void
    {
        $reading = self::reading($bytes);
        self::assertSame([], $reading->problems);
        self::assertSame([
            ['Jörg', 'Sehr schön; "wirklich"', 4.5, '2025-12-31T00:00:00Z'],
            ['Ännchen', "Zwei\nZeilen", 4.0, '2026-02-01T00:00:00Z'],
        ],
            array_map(
                fn (Entry $entry): array => [$entry->author->name, $entry->text, $entry->stars(), EntryJson::date($entry->published)],
                $reading->entries,
            ));
    }

    /** @return iterable<string, array{string}> */
    public static function encodings(): iterable
    {
        $semicolons = "Verfasser;Datum;Bewertung;Kommentar\r\nJörg;31.12.2025;4,5;\"Sehr schön; "
            ."\"\"wirklich\"\"\"\r\nÄnnchen;01.02.2026;★★★★☆;\"Zwei\nZeilen\"\r\n";
        $single = str_replace('★★★★☆', '4 von 5', $semicolons);
        yield 'UTF-8' => [$semicolons];
        yield 'UTF-8 with a mark' => ["\xEF\xBB\xBF$semicolons"];
        yield 'UTF-16 with a mark' => ["\xFF\xFE".mb_convert_encoding($semicolons, 'UTF-16LE', 'UTF-8')];
        yield 'UTF-16 the other way round' => ["\xFE\xFF".mb_convert_encoding($semicolons, 'UTF-16BE', 'UTF-8')];
        yield 'UTF-16 without a mark' => [mb_convert_encoding($semicolons, 'UTF-16LE', 'UTF-8')];
        yield 'Windows-1252' => [mb_convert_encoding($single, 'Windows-1252', 'UTF-8')];
        yield 'tabs' => [str_replace(['@', ';', '#'], ['"', "\t", ';'], str_replace(['schön; '], ['schön# '], $semicolons))];
    }

    #[DataProvider('ratings')]
    public function test_ratings_in_every_spelling(string $cell, ?string $spoken, ?float $stars): void
    {
        $entry = self::reading("author\trating\ttext\nJo\t$cell\tWords")->entries[0] ?? null;
        self::assertSame([$spoken, $stars], [$entry?->rating?->spoken(), $entry?->stars()]);
    }

    /** @return iterable<array{string, string|null, float|null}> */
    public static function ratings(): iterable
    {
        yield ['4,5', '4.5 of 5', 4.5];
        yield ['9.2/10', '9.2 of 10', 4.6];
        yield ['★★★★☆', '4 of 5', 4.0];
        yield ['★★★½', '3.5 of 5', 3.5];
        yield ['⭐⭐⭐', '3 of 5', 3.0];
        yield ['80%', '80 of 100', 4.0];
        yield ['4 of 5', '4 of 5', 4.0];
        yield ['4 out of 5', '4 of 5', 4.0];
        yield ['5 stars', '5 of 5', 5.0];
        yield ['recommended', 'recommended', 5.0];
        yield ['Not recommended', 'not recommended', 1.0];
        yield ['', null, null];
    }

    public function test_bare_numbers_take_the_scale_that_holds_them_all_or_that_the_column_names(): void
    {
        self::assertSame(
            ['8 of 10', '9.5 of 10'],
            array_map(fn (Entry $entry) => $entry->rating?->spoken(), self::reading("score,text\n8,a\n9.5,b")->entries),
        );
        self::assertSame(
            ['4 of 10'],
            array_map(fn (Entry $entry) => $entry->rating?->spoken(), self::reading("rating (of 10),text\n4,a")->entries),
        );
        self::assertSame(
            ['4 of 7'],
            array_map(fn (Entry $entry) => $entry->rating?->spoken(), self::reading("rating,scale,text\n4,7,a")->entries),
        );
    }

    public function test_dates_by_the_files_own_evidence(): void
    {
        self::assertSame(DateOrder::DayFirst, DateOrder::evident(['01/02/2026', '31/12/2025']));
        self::assertSame(DateOrder::MonthFirst, DateOrder::evident(['01/02/2026', '12/31/2025']));
        self::assertNull(DateOrder::evident(['01/02/2026', '03/04/2026']), 'both fit: ask');
        self::assertNull(DateOrder::evident(['31/12/2025', '12/31/2025']), 'they contradict each other');
        self::assertSame(DateOrder::DayFirst, DateOrder::evident(['01.02.2026']), 'points put the day first');
        self::assertSame(
            ['2024-03-01', '2024-03-01 13:30:00', '1234'],
            [DateOrder::DayFirst->iso('45352'), DateOrder::MonthFirst->iso('45352.5625'), DateOrder::DayFirst->iso('1234')],
            'serial numbers that lost their format',
        );
        self::assertSame(
            ['2026-12-31', '2026-12-31 16:05:00', '2 May 2026'],
            [
                DateOrder::MonthFirst->iso('12/31/26'),
                DateOrder::MonthFirst->iso('12/31/2026 4:05 PM'),
                DateOrder::DayFirst->iso('2 May 2026'),
            ],
        );
    }

    public function test_columns_by_name_in_several_languages_and_by_content(): void
    {
        $places = fn (string $table): array => TableColumns::found(TableReader::read($table))->places;
        self::assertEquals(
            ['author' => 0, 'date' => 1, 'rating' => 2, 'text' => 3],
            $places("Nombre;Fecha;Puntuación;Reseña\nA;2026-01-01;4;b"),
        );
        self::assertEquals(
            ['author' => 0, 'date' => 1, 'rating' => 2, 'text' => 3],
            $places("Naam;Datum;Beoordeling;Opmerking\nA;2026-01-01;4;b"),
        );
        self::assertEquals(
            ['author' => 0, 'said at' => 1, 'rating' => 2, 'text' => 3],
            $places("Full name of the guest;Where;Stars given;What they wrote\nA;Gazette;4;b"),
        );
        self::assertEquals(
            ['date' => 1, 'rating' => 2, 'text' => 0],
            $places(
                "Foo;Bar;Baz\nWe came for the eclipse talk and stayed.;2026-01-01;4\nThe seats tip back and the ceiling "
                    .'goes.;2026-02-01;5',
            ),
        );
    }

    public function test_wrong_rows_say_why_and_keep_no_other_out(): void
    {
        $reading = self::reading(
            "author,date,rating,text,url\nA,2026-01-01,5,good,https://a.example/1\nB,2026-99-01,5,x,\nC,2026-01-01,splendid,x,\nD,2026-01-01,,,\nE,2026-01-01,4,fine,not there",
        );
        self::assertSame(['A', 'C', 'E'], array_map(fn (Entry $entry) => $entry->author->name, $reading->entries));
        self::assertSame(['row 3: "2026-99-01" is no date. Write it as '
            .'2026-11-25.', 'row 4: "splendid" is no rating and was left out. Write it as 4, 4.5, 9.2/10, 80% or ★★★★☆.',
            'row 5: It has no words, title or rating. Fill in one of them, or leave the row out.',
            'row 6: "not there" is no web address; it was left out.'],
            array_map(fn (Problem $problem): string => (string) $problem, $reading->problems));
    }

    public function test_what_was_said_elsewhere_is_a_review_and_what_was_said_here_a_testimonial(): void
    {
        self::assertSame(
            ['review', 'review', 'testimonial', 'post'],
            array_map(
                fn (Entry $entry) => $entry->kind->value,
                self::reading("text,rating,said at,kind\na,5,,\nb,,Gazette,\nc,,,\nd,,,Post")->entries,
            ),
        );
    }

    #[DataProvider('wrongFiles')]
    public function test_other_files_are_told(string $bytes, string $says): void
    {
        $this->expectException(TableIsWrong::class);
        $this->expectExceptionMessage($says);
        self::reading($bytes);
    }

    /** @return iterable<string, array{string, string}> */
    public static function wrongFiles(): iterable
    {
        yield 'nothing' => ["\n \n", 'empty'];
        yield 'three hundred columns' => [
            implode(',', array_map(fn (int $number): string => "c$number", range(1, 300)))."\n1,2",
            '300 columns',
        ];
        yield 'rows without end' => ["text\n".str_repeat("a\n", 20_002), 'more than 20,000 rows'];
        yield 'a page' => ['<!doctype html><p>no', 'a page or XML'];
        yield 'a PDF' => ['%PDF-1.7', 'a PDF'];
        yield 'an old workbook' => ["\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1".str_repeat("\0", 600), 'old kind'];
        yield 'a locked workbook' => [
            "\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1".str_repeat("\0", 600).mb_convert_encoding('EncryptedPackage', 'UTF-16LE'),
            'password',
        ];
        yield 'a broken workbook' => ["PK\x03\x04 and no more", 'damaged'];
        yield 'nothing known' => ["foo,bar\nx,y", 'No column holds words'];
    }

    public function test_formulas_of_text_stay_text(): void
    {
        self::assertSame('=HYPERLINK("x")', self::reading("author,text\nJo,\"=HYPERLINK(\"\"x\"\")\"")->entries[0]->text);
    }

    public function test_subjects_with_their_addresses(): void
    {
        $rows = SubjectRows::of(
            TableReader::read("Venue,Kind,Wayleaf,Feed\nThe Dome,Venue,wl-dome,https://a.example/f\n,x,,\nThe dome,,,\nLane,,,ftp://x"),
            ['wayleaf' => 'Wayleaf', 'feed' => 'Feed'],
        );
        self::assertSame(['wayleaf' => 'wl-dome', 'feed' => 'https://a.example/f'], $rows[0]['addresses']);
        self::assertSame([0, 1, 1, 1], array_map(fn (array $row): int => count($row['wrong']), $rows));
    }

    /** In the first, exact round the first column of a name would always win. */
    public function test_no_two_columns_share_a_name(): void
    {
        $names = array_merge(...array_map(fn (Column $column): array => array_values(array_unique($column->names())), Column::cases()));
        self::assertSame([], array_keys(array_filter(array_count_values($names), fn (int $times): bool => $times > 1)));
    }

    #[DataProvider('strangeRatings')]
    public function test_what_is_no_rating_is_told_and_the_words_come_in(string $cell): void
    {
        $reading = self::reading("author,rating,text\nJo,\"$cell\",Fine words\nMo,4,Others");
        self::assertSame(['Fine words', 'Others'], array_map(fn (Entry $entry): string => $entry->text, $reading->entries));
        self::assertNull($reading->entries[0]->rating);
        self::assertSame(['row 2'], array_map(fn (Problem $problem): string => $problem->where, $reading->problems));
        $alone = self::reading("author,rating,text\nJo,\"$cell\",\nMo,4,Others");
        self::assertCount(1, $alone->entries, 'without words, nothing is left');
    }

    /** @return iterable<array{string}> */
    public static function strangeRatings(): iterable
    {
        foreach (['101%', 'five', '7/5', '-3', '6 of 5', 'good', '4..5', '1e3', 'x', '?'] as $cell) {
            yield $cell => [$cell];
        }
    }

    /** @param  array{string|null, string|null, string}  $first  title, author and words of the first row */
    #[DataProvider('withoutHeader')]
    public function test_names_and_titles_without_a_header(string $rows, array $first): void
    {
        $entry = self::reading($rows)->entries[0] ?? self::fail('no entry');
        self::assertSame($first, [$entry->title, $entry->author->name, $entry->text]);
    }

    /** @return iterable<string, array{string, array{string|null, string|null, string}}> */
    public static function withoutHeader(): iterable
    {
        $words = ['We saw the rings for the first time in our lives.', 'The children did not want to go home again.', 'A bit cold on the roof, but worth it.',
            'Our guide knew every star by its name.', 'We waited too long in the queue outside.', 'We will be back in the summer with friends.'];
        $table = fn (array ...$columns): string => implode("\n", array_map(fn (string ...$cells): string => implode(',', array_map(fn (string $cell): string => "\"$cell\"", $cells)), ...$columns));
        $titles = ['Saturn at last', 'Best night ever', 'Cold but good', 'A guide to remember', 'Too long a queue', 'Back in summer'];
        $names = ['Mira', 'Jonas', 'Mira', 'Abdul', 'Li', 'Jonas'];
        $full = ['Mira Holt', 'Jonas Brand', 'Ann van der Hill', 'Abdul Karim', 'Li Wei', 'J. Moss'];
        yield 'title, name, words' => [$table($titles, $names, $words), ['Saturn at last', 'Mira', $words[0]]];
        yield 'name, title, words' => [$table($names, $titles, $words), ['Saturn at last', 'Mira', $words[0]]];
        yield 'words, title, name' => [$table($words, $titles, $names), ['Saturn at last', 'Mira', $words[0]]];
        yield 'full names' => [$table($titles, $full, $words), ['Saturn at last', 'Mira Holt', $words[0]]];
        yield 'names and words' => [$table($full, $words), [null, 'Mira Holt', $words[0]]];
        yield 'titles with capitals' => [$table(array_map(ucwords(...), $titles), $full, $words), ['Saturn At Last', 'Mira Holt', $words[0]]];
        yield 'titles that shout' => [$table(['Wow!', 'Great evening!', 'Never again?', 'Lovely!', 'So so…', 'Yes, please!'], $names, $words), ['Wow!', 'Mira', $words[0]]];
        yield 'names in small letters' => [$table(['mira', 'jonas', 'mira', 'abdul', 'li', 'jonas'], $words), [null, 'mira', $words[0]]];
        yield 'German' => [$table(['Endlich Saturn gesehen', 'Ein toller Abend', 'Kalt aber schön', 'Gute Führung', 'Zu lange gewartet', 'Gerne wieder'], $names, $words), ['Endlich Saturn gesehen', 'Mira', $words[0]]];
        yield 'with stars and dates' => [$table(['5', '4', '5', '5', '2', '4'], $titles, $names, ['2026-01-02', '2026-01-03', '2026-01-04', '2026-01-05', '2026-01-06', '2026-01-07'], $words), ['Saturn at last', 'Mira', $words[0]]];
    }

    public function test_a_row_without_end_is_bounded_at_once(): void
    {
        $before = memory_get_peak_usage();
        foreach ([str_repeat(',', 7_800_000), "author,text\n".str_repeat(';', 3_000_000).str_repeat(',', 3_000_000), str_repeat("\t", 5_000_000)] as $bytes) {
            try {
                TableReader::read($bytes);
                self::fail('it has too many columns');
            } catch (TableIsWrong $wrong) {
                self::assertNotSame('', $wrong->getMessage());
            }
        }
        self::assertLessThan(100_000_000, memory_get_peak_usage() - $before);
        // Programs write empty cells to their own edge.
        self::assertCount(1, self::reading('author,text'.str_repeat(',', 16_000)."\nJo,Words".str_repeat(',', 16_000))->entries);
    }
}
