<?php

declare(strict_types=1);

namespace Tests\core\Gather;

use App\Sources\Imports\Templates;
use DateTimeZone;
use Gnomic\Entry\Entry;
use Gnomic\Gather\Tables\DateOrder;
use Gnomic\Gather\Tables\Delimited;
use Gnomic\Gather\Tables\EntryRows;
use Gnomic\Gather\Tables\TableReader;
use Gnomic\Text\Fold;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What is written by the rules is read back the same, for much that chance makes, with a fixed seed. */
final class RoundTripTest extends TestCase
{
    private const PIECES = [
        'a',
        'Ünï',
        '日本',
        '"',
        '""',
        ',',
        ';',
        "\t",
        '|',
        "\n",
        "\r\n",
        ' ',
        '=1+1',
        "'",
        '😀',
        'x"y',
        '0',
        'sep=;',
        '\\',
    ];

    private static function cell(Randomizer $chance): string
    {
        $cell = '';
        for ($piece = $chance->getInt(0, 5); $piece > 0; $piece--) {
            $cell .= self::PIECES[$chance->getInt(0, count(self::PIECES) - 1)];
        }

        return $cell;
    }

    public function test_delimited_text_with_every_separator(): void
    {
        $chance = new Randomizer(new Mt19937(4180));
        foreach ([',', ';', "\t", '|'] as $separator) {
            for ($time = 0; $time < 150; $time++) {
                $width = $chance->getInt(2, 6);
                $rows = array_map(
                    fn (): array => array_map(fn (): string => self::cell($chance), range(1, $width)),
                    range(1, $chance->getInt(1, 8)),
                );
                $rows[0][0] = 'head'; // "sep=" may only begin a file as the note that it is
                $text = implode(
                    "\r\n",
                    array_map(
                        fn (array $row): string => implode(
                            $separator,
                            array_map(fn (string $cell): string => '"'.str_replace('"', '""', $cell).'"', $row),
                        ),
                        $rows,
                    ),
                );
                self::assertSame($rows, array_values([...Delimited::rows($text, $separator)]));
                self::assertSame($rows, array_values([...Delimited::rows("$text\r\n", $separator)]), 'with a line break at the end');
            }
        }
    }

    public function test_the_separator_is_found(): void
    {
        foreach ([',', ';', "\t", '|'] as $separator) {
            $text = implode(
                "\n",
                array_map(
                    fn (array $row): string => implode($separator, $row),
                    [['author', 'text', 'date'], ['Jo', 'Good; and fine', '2026-01-01'], ['Al', '"a, b"', '2026-01-02']],
                ),
            );
            self::assertSame($separator, Delimited::separatorOf($text), $separator);
        }
        self::assertSame(';', Delimited::separatorOf("sep=;\r\na;b"));
        self::assertNull(Delimited::separatorOf("one column\nonly"));
    }

    public function test_rows_that_we_write_are_read_back_and_compute_nothing(): void
    {
        $rows = [['author', 'text'], ['=HYPERLINK("http://a.example")', "Two\nlines, \"quoted\""], ['+1', '@x'], ['Jo', 'plain']];
        $csv = Templates::csv($rows);
        self::assertDoesNotMatchRegularExpression('/(?:^|,|\n)"?[=+@-]/', substr($csv, 3));
        $table = TableReader::read($csv);
        self::assertSame(
            [["'=HYPERLINK(\"http://a.example\")", "Two\nlines, \"quoted\""], ["'+1", "'@x"], ['Jo', 'plain']],
            array_values($table->rows),
        );
        self::assertSame($rows[0], TableReader::read(Templates::workbook($rows))->header);
        self::assertSame(array_slice($rows, 1), array_values(TableReader::read(Templates::workbook($rows))->rows));
    }

    public function test_dates_in_figures_come_back_by_their_order(): void
    {
        $chance = new Randomizer(new Mt19937(31));
        for ($time = 0; $time < 200; $time++) {
            $day = (new \DateTimeImmutable('2020-01-01'))->modify('+'.$chance->getInt(0, 2000).' days');
            $sign = ['/', '-', '.'][$chance->getInt(0, 2)];
            foreach ([
                [DateOrder::DayFirst, "d{$sign}m{$sign}Y"],
                [DateOrder::DayFirst, "j{$sign}n{$sign}y"],
                [DateOrder::MonthFirst, "m{$sign}d{$sign}Y"],
                [DateOrder::MonthFirst, "n{$sign}j{$sign}y"],
            ] as [$order, $form]) {
                self::assertSame($day->format('Y-m-d'), $order->iso($day->format($form)));
            }
            $dates = array_map(fn (int $month): string => sprintf('%02d/%02d/2026', $month, $chance->getInt(13, 28)), range(1, 12));
            self::assertSame(DateOrder::MonthFirst, DateOrder::evident($dates));
        }
    }

    public function test_the_same_table_gives_the_same_identities_and_no_two_alike(): void
    {
        $chance = new Randomizer(new Mt19937(8));
        $rows = array_map(
            fn (int $number): string => '"P '.$chance->getInt(1, 9).'",2026-01-0'.$chance
                ->getInt(1, 9).','.$chance
                ->getInt(1, 5).',"Words '.$chance
                ->getInt(1, 5).'"',
            range(1, 200),
        );
        $read = fn (array $rows): array => array_map(
            fn (Entry $entry): string => $entry->id,
            EntryRows::reading(TableReader::read("author,date,rating,text\n".implode("\n", $rows)), new DateTimeZone('UTC'))->entries,
        );
        $first = $read($rows);
        self::assertSame($first, $read($rows));
        self::assertCount(200, array_unique($first));
        // In another order the same rows are the same entries.
        $other = $read(array_reverse($rows));
        sort($first);
        sort($other);
        self::assertSame($first, $other);
    }

    public function test_folding_is_done_once(): void
    {
        foreach (['Ünïcödé', 'ΣΊΣΥΦΟΣ', 'ﬁne', 'ＦＵＬＬ', 'Straße', 'İstanbul', '가각', 'が', '', 'plain'] as $text) {
            self::assertSame(Fold::text($text), Fold::text(Fold::text($text)), $text);
        }
        self::assertSame(['strasse', 'fine', 'full', 'uber'], array_map(Fold::text(...), ['STRASSE', 'ﬁne', 'ＦＵＬＬ', 'Über']));
    }
}
