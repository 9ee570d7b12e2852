<?php

declare(strict_types=1);

namespace Tests\core\Gather;

use Gnomic\Gather\Tables\TableIsWrong;
use Gnomic\Gather\Tables\TableReader;
use Gnomic\Gather\Tables\Zip;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use ZipArchive;

/** Workbooks are zip archives from strangers: bounded, and read without a file. */
final class ArchivesTest extends TestCase
{
    /** @param  array<string, string>  $files */
    private static function zipped(array $files, int $method = ZipArchive::CM_DEFLATE): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'gnomic');
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::OVERWRITE);
        foreach ($files as $name => $contents) {
            $zip->addFromString($name, $contents);
            $zip->setCompressionName($name, $method);
        }
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }

    /** @param  array<string, string>  $parts */
    private static function workbook(string $rows, array $parts = []): string
    {
        return self::zipped($parts + [
            'xl/workbook.xml' => '<workbook xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main" '
                .'xmlns:r="http://schemas.openxmlformats.org/officeDocument/2006/relationships"><sheets><sheet name="S" sheetId="1" '
                .'r:id="r1"/></sheets></workbook>',
            'xl/_rels/workbook.xml.rels' => '<Relationships '
                .'xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="x" '
                .'Target="/xl/worksheets/s.xml"/></Relationships>',
            'xl/worksheets/s.xml' => "<worksheet xmlns=\"http://schemas.openxmlformats.org/spreadsheetml/2006/main\"><sheetData>$rows</sheetData></worksheet>",
        ]);
    }

    /** @param  array<string, string>  $parts */
    private static function spreadsheet(string $rows, array $parts = []): string
    {
        return self::zipped($parts + ['mimetype' => 'application/vnd.oasis.opendocument.spreadsheet',
            'content.xml' => '<office:document-content xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" '
                .'xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" '
                ."xmlns:text=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\"><office:body><office:spreadsheet><table:table>$rows</table:table></office:spreadsheet></office:body></office:document-content>"]);
    }

    public function test_files_packed_and_bare(): void
    {
        $text = str_repeat('Words. ', 500);
        foreach ([ZipArchive::CM_DEFLATE, ZipArchive::CM_STORE] as $method) {
            $zip = Zip::of(self::zipped(['a.txt' => $text, 'b/ü.txt' => ''], $method));
            self::assertSame(['a.txt', 'b/ü.txt'], $zip->names());
            self::assertSame([$text, '', null], [$zip->read('a.txt'), $zip->read('b/ü.txt'), $zip->read('c')]);
        }
    }

    #[DataProvider('broken')]
    public function test_broken_archives_are_told(string $bytes): void
    {
        $this->expectException(TableIsWrong::class);
        TableReader::read($bytes);
    }

    /** @return iterable<string, array{string}> */
    public static function broken(): iterable
    {
        $whole = self::workbook('<row r="1"><c r="A1" t="inlineStr"><is><t>text</t></is></c></row>');
        yield 'cut off' => [substr($whole, 0, (int) (strlen($whole) * 0.6))];
        yield 'its list overwritten' => [substr_replace($whole, str_repeat("\0", 30), (int) strrpos($whole, "PK\x01\x02"), 30)];
        yield 'no workbook in it' => [self::zipped(['readme.txt' => 'hello'])];
        yield 'no sheet in it' => [self::zipped(['xl/workbook.xml' => '<workbook/>'])];
        yield 'a sheet that is no XML' => [self::workbook('', ['xl/worksheets/s.xml' => 'not at all'])];
        yield 'an empty sheet' => [self::workbook('')];
        yield 'packed without end' => [self::workbook('', ['xl/worksheets/s.xml' => '<worksheet>'.str_repeat(' ', 140 * 1_048_576)])];
        yield 'a locked spreadsheet' => [self::spreadsheet(
            '',
            ['META-INF/manifest.xml' => '<manifest:manifest><manifest:encryption-data/></manifest:manifest>'],
        )];
    }

    public function test_what_unpacks_without_end_is_refused_in_words(): void
    {
        $this->expectExceptionMessage('unpacks to more than 64 MB');
        TableReader::read(self::workbook('', ['xl/worksheets/s.xml' => '<worksheet>'.str_repeat(' ', 140 * 1_048_576)]));
    }

    public function test_cells_of_every_type(): void
    {
        $table = TableReader::read(self::workbook(
            '<row r="1"><c r="A1" t="s"><v>0</v></c><c r="B1" t="s"><v>1</v></c><c r="D1" t="inlineStr"><is><t>fourth</t></is></c><c '
                .'r="E1" t="str"><v>fifth_x000D_</v></c></row>'
            .'<row r="3"><c r="B3"><v>0.1</v></c><c r="C3" t="b"><v>1</v></c><c r="D3" t="e"><v>#N/A</v></c><c r="E3" '
            .'s="1"><v>45352.5625</v></c></row>'
            .'<row><c><v>7</v></c><c s="2"><v>45352</v></c><c s="3"><v>0.825</v></c><c t="s"><v>99</v></c></row>',
            ['xl/sharedStrings.xml' => '<sst xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><si><t>first</t></si><si><r><t>sec</t></r><r><t>ond</t></r><rPh sb="0" eb="1"><t>as spoken</t></rPh></si></sst>',
                'xl/styles.xml' => '<styleSheet xmlns="http://schemas.openxmlformats.org/spreadsheetml/2006/main"><numFmts><numFmt '
                    .'numFmtId="170" formatCode="dd&quot; o&apos;clock &quot;mmm hh:mm"/><numFmt numFmtId="171" '
                    .'formatCode="[Red]0.0%"/></numFmts><cellXfs><xf numFmtId="0"/><xf numFmtId="170"/><xf numFmtId="14"/><xf '
                    .'numFmtId="171"/></cellXfs></styleSheet>']));
        self::assertSame(['first', 'second', '', 'fourth', 'fifth'], $table->header);
        self::assertSame([3 => ['', '0.1', 'TRUE', '', '2024-03-01T13:30:00'], 4 => ['7', '2024-03-01', '82.5%', '', '']], $table->rows);
    }

    public function test_spreadsheets_with_repeated_cells_rows_and_annotations(): void
    {
        $cell = fn (string $text): string => "<table:table-cell><text:p>$text</text:p></table:table-cell>";
        $table = TableReader::read(self::spreadsheet('<table:table-row table:number-rows-repeated="2"/>'
            .'<table:table-row>'.$cell('text').$cell('date').$cell('share')
                .'<table:table-cell table:number-columns-repeated="1021"/></table:table-row>'
            .'<table:table-row><table:table-cell><office:annotation><text:p>no part of '
            .'it</text:p></office:annotation><text:p>One<text:s '
            .'text:c="2"/>two<text:line-break/>three</text:p><text:p>four</text:p></table:table-cell><table:table-cell '
            .'office:value-type="date" office:date-value="2026-03-01"/><table:table-cell office:value-type="percentage" '
            .'office:value="0.8"><text:p>80 %</text:p></table:table-cell></table:table-row>'
            .'<table:table-row table:number-rows-repeated="2">'.$cell('again')
                .'</table:table-row><table:table-row table:number-rows-repeated="1048000"><table:table-cell '
                .'table:number-columns-repeated="1024"/></table:table-row>'));
        self::assertSame(['text', 'date', 'share'], $table->header);
        self::assertSame(
            [["One  two\nthree\nfour", '2026-03-01', '80%'], ['again', '', ''], ['again', '', '']],
            array_values($table->rows),
        );
        self::assertSame([4, 5, 6], array_keys($table->rows), 'rows keep their numbers');
    }

    public function test_entities_that_grow_are_never_expanded(): void
    {
        $bomb = '<!DOCTYPE x [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;&a;&a;">]>';
        foreach ([$bomb, "<?xml version=\"1.0\" encoding=\"UTF-16\"?>$bomb"] as $head) {
            $strings = "$head<sst><si><t q=\"&b;\">&b;</t></si></sst>";
            foreach ([$strings, "\xFF\xFE".mb_convert_encoding($strings, 'UTF-16LE'), mb_convert_encoding($strings, 'UTF-16BE')] as $part) {
                try {
                    TableReader::read(self::workbook(
                        '<row><c t="inlineStr"><is><t>text</t></is></c></row><row><c t="s"><v>0</v></c></row>',
                        ['xl/sharedStrings.xml' => $part],
                    ));
                    self::fail('It was read.');
                } catch (TableIsWrong $wrong) {
                    self::assertStringContainsString('document type', $wrong->getMessage());
                }
            }
        }
    }
}
