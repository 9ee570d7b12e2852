<?php

declare(strict_types=1);

namespace App\Sources\Imports;

use App\Sources\Channels\Channels;
use Gnomic\Gather\Tables\Cells;
use Gnomic\Gather\Tables\Column;
use RuntimeException;
use ZipArchive;

/** Tables to fill in, as CSV and as a workbook: subjects with their addresses, and past entries. */
final readonly class Templates
{
    public function __construct(private Channels $channels)
    {
    }

    /** @return list<list<string>> */
    public function rows(string $kind): array
    {
        return $kind === 'subjects'
            ? [['subject', 'kind', ...array_values($this->channels->withAddresses())]]
            : [array_map(
                fn (Column $column): string => $column->value,
                [
                    Column::Author,
                    Column::SaidAt,
                    Column::Date,
                    Column::Rating,
                    Column::Best,
                    Column::Title,
                    Column::Text,
                    Column::Reply,
                    Column::Url,
                    Column::Subject,
                    Column::Labels,
                ],
            )];
    }

    /** @param  list<list<string>>  $rows */
    public static function csv(array $rows): string
    {
        return "\u{FEFF}".implode('', array_map(Cells::row(...), $rows));
    }

    /** @param  list<list<string>>  $rows */
    public static function workbook(array $rows): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'gnomic');
        if ($path === '') {
            throw new RuntimeException('No temporary file could be created.');
        }
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::OVERWRITE);
        $main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
        $package = 'http://schemas.openxmlformats.org/package/2006';
        $office = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
        $type = 'application/vnd.openxmlformats-officedocument.spreadsheetml';
        $head = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>';
        $body = implode(
            '',
            array_map(
                fn (array $row): string => '<row>'.implode(
                    '',
                    array_map(
                        fn (string $cell): string => '<c t="inlineStr"><is><t>'.htmlspecialchars($cell, ENT_XML1).'</t></is></c>',
                        $row,
                    ),
                ).'</row>',
                $rows,
            ),
        );
        $zip->addFromString(
            '[Content_Types].xml',
            "$head<Types xmlns=\"$package/content-types\"><Default Extension=\"rels\" "
                .'ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Override PartName="/xl/workbook.xml" '
                ."ContentType=\"$type.sheet.main+xml\"/><Override PartName=\"/xl/worksheets/sheet1.xml\" "
                ."ContentType=\"$type.worksheet+xml\"/></Types>",
        );
        $zip->addFromString(
            '_rels/.rels',
            "$head<Relationships xmlns=\"$package/relationships\"><Relationship Id=\"r1\" Type=\"$office/officeDocument\" "
                .'Target="xl/workbook.xml"/></Relationships>',
        );
        $zip->addFromString(
            'xl/workbook.xml',
            "$head<workbook xmlns=\"$main\" xmlns:r=\"$office\"><sheets><sheet name=\"Gnomic\" sheetId=\"1\" "
                .'r:id="r1"/></sheets></workbook>',
        );
        $zip->addFromString(
            'xl/_rels/workbook.xml.rels',
            "$head<Relationships xmlns=\"$package/relationships\"><Relationship Id=\"r1\" Type=\"$office/worksheet\" "
                .'Target="worksheets/sheet1.xml"/></Relationships>',
        );
        $zip->addFromString('xl/worksheets/sheet1.xml', "$head<worksheet xmlns=\"$main\"><sheetData>$body</sheetData></worksheet>");
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }
}
