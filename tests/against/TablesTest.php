<?php

declare(strict_types=1);

namespace Tests\against;

use DateTimeZone;
use Gnomic\Entry\EntryJson;
use Gnomic\Gather\Tables\EntryRows;
use Gnomic\Gather\Tables\TableIsWrong;
use Gnomic\Gather\Tables\TableReader;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** Workbooks of ISO/IEC 29500 as npm exceljs writes them: rich text, dates as serial numbers, formulas, percentages, gaps. */
final class TablesTest extends TestCase
{
    private static function written(string $what): string
    {
        $process = new Process(['node', __DIR__.'/write-workbook.mjs', $what], dirname(__DIR__, 2));

        return $process->mustRun()->getOutput();
    }

    public function test_a_workbook(): void
    {
        $reading = EntryRows::reading(TableReader::read(self::written('reviews')), new DateTimeZone('UTC'));
        self::assertSame('Excel workbook', $reading->format);
        self::assertSame([
            ['Ann', '2024-03-01T00:00:00Z', '4.5 of 5', 'Rich text', 'Thanks'],
            ['Bob', '2024-03-02T13:30:00Z', '4 of 5', "Line 1\nLine 2", null],
            ['Çağla', '2024-05-06T00:00:00Z', '80 of 100', 'By share', null],
            [null, null, '5 of 5', 'After a gap', null],
        ], array_map(fn ($entry): array => [
            $entry->author->name,
            EntryJson::date($entry->published),
            $entry->rating?->spoken(),
            $entry->text,
            $entry->reply?->text,
        ],
            $reading->entries));
    }

    /** The same table saved by LibreOffice 7.4 and Gnumeric 1.12 from one CSV file. */
    #[DataProvider('writers')]
    public function test_files_that_office_programs_wrote(string $file): void
    {
        $reading = EntryRows::reading(TableReader::read((string) file_get_contents(__DIR__."/files/$file")), new DateTimeZone('UTC'));
        self::assertSame([], $reading->problems);
        self::assertSame([
            ['Ann', '2024-03-01T00:00:00Z', 4.5, 'Rich text, with a comma', 'Thanks'],
            ['Bob', '2024-03-02T00:00:00Z', 4.0, "Line 1\nLine 2", null],
            ['Çağla', '2024-05-06T00:00:00Z', 5.0, 'By hand', null],
            ['End', '2024-06-07T00:00:00Z', 3.0, 'After a gap', null],
        ], array_map(fn ($entry): array => [
            $entry->author->name,
            EntryJson::date($entry->published),
            $entry->stars(),
            $entry->text,
            $entry->reply?->text,
        ],
            $reading->entries));
    }

    /** @return iterable<array{string}> */
    public static function writers(): iterable
    {
        foreach (['reviews-libreoffice.ods', 'reviews-libreoffice.xlsx', 'reviews-gnumeric.ods', 'reviews-gnumeric.xlsx'] as $file) {
            yield $file => [$file];
        }
    }

    public function test_dates_counted_from_1904(): void
    {
        self::assertSame(
            ['2024-03-01T00:00:00Z'],
            array_map(
                fn ($entry): ?string => EntryJson::date($entry->published),
                EntryRows::reading(TableReader::read(self::written('1904')), new DateTimeZone('UTC'))->entries,
            ),
        );
    }

    public function test_cells_that_lead_somewhere(): void
    {
        self::assertSame(
            [['Ann', 'https://ex.example/1?a=b&c=d'], ['Bob', 'https://ex.example/2']],
            array_map(
                fn ($entry): array => [$entry->author->name, $entry->url],
                EntryRows::reading(TableReader::read(self::written('links')), new DateTimeZone('UTC'))->entries,
            ),
        );
    }

    public function test_a_formula_without_a_result_is_told(): void
    {
        $table = TableReader::read(self::written('formula'));
        self::assertStringContainsString('A formula has no stored result', implode(' ', array_map(strval(...), $table->problems)));
        self::assertSame(['a', ''], $table->rows[2]);
    }

    public function test_the_first_sheet_with_rows_that_is_shown(): void
    {
        self::assertSame(['text'], TableReader::read(self::written('sheets'))->header);
    }

    public function test_too_many_columns(): void
    {
        $this->expectException(TableIsWrong::class);
        $this->expectExceptionMessage('300 columns');
        TableReader::read(self::written('wide'));
    }
}
