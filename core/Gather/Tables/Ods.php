<?php

declare(strict_types=1);

namespace Gnomic\Gather\Tables;

use XMLReader;

/** Spreadsheets of OpenDocument 1.2 and later (.ods). */
final class Ods
{
    private const MOST_SHEETS = 50;

    /** Rows that one row stands for. */
    private const MOST_REPEATED = 2_000_000;

    /** @throws TableIsWrong */
    public static function read(Zip $zip): Table
    {
        if (str_contains((string) $zip->read('META-INF/manifest.xml'), 'encryption-data')) {
            throw TableIsWrong::withPassword();
        }
        $xml = $zip->xml('content.xml') ?? throw TableIsWrong::damaged('it has no content');
        $reader = XMLReader::XML($xml, null, LIBXML_NONET | LIBXML_PARSEHUGE | LIBXML_NOERROR | LIBXML_NOWARNING);
        if (! $reader instanceof XMLReader) {
            throw TableIsWrong::damaged('its content is no XML');
        }

        $sheets = [];
        while (count($sheets) < self::MOST_SHEETS && @$reader->read()) {
            if ($reader->nodeType === XMLReader::ELEMENT && $reader->name === 'table:table' && ! $reader->isEmptyElement) {
                $sheets[] = Sheet::of((string) $reader->getAttribute('table:name'), self::rows($reader));
            }
        }

        return Table::of('OpenDocument spreadsheet', $sheets);
    }

    /** @return iterable<int, list<string>> of the sheet that the reader stands in */
    private static function rows(XMLReader $reader): iterable
    {
        $number = 1;
        $cells = [];
        $times = 1;
        while (@$reader->read()) {
            $starts = $reader->nodeType === XMLReader::ELEMENT;
            if ($reader->nodeType === XMLReader::END_ELEMENT && $reader->name === 'table:table') {
                return;
            }
            if ($starts && $reader->name === 'table:table-row') {
                $cells = [];
                $times = max(1, min(self::MOST_REPEATED, (int) ($reader->getAttribute('table:number-rows-repeated') ?? 1)));
                if ($reader->isEmptyElement) {
                    $number += $times;
                }
            } elseif ($starts && in_array($reader->name, ['table:table-cell', 'table:covered-table-cell'], true)) {
                $repeated = (int) ($reader->getAttribute('table:number-columns-repeated') ?? 1);
                $cell = self::cell($reader);
                // Sheets are filled to their edges with one repeated cell that holds nothing; what is far off is of no column.
                for ($time = 0; $time < $repeated && count($cells) <= Sheet::EDGE; $time++) {
                    $cells[] = $cell;
                }
            } elseif ($reader->nodeType === XMLReader::END_ELEMENT && $reader->name === 'table:table-row') {
                $blank = implode('', $cells) === '';
                for ($time = 0; $time < ($blank ? 0 : min($times, Table::MOST_ROWS + 2)); $time++) {
                    yield $number + $time => $cells;
                }
                $number += $times;
            }
        }
    }

    private static function cell(XMLReader $reader): string
    {
        $name = $reader->name;
        $attribute = fn (string $attribute): ?string => $reader->getAttribute("office:$attribute");
        $value = match ($attribute('value-type')) {
            'float', 'currency' => $attribute('value'),
            'percentage' => rtrim(rtrim(number_format(100 * (float) $attribute('value'), 4, '.', ''), '0'), '.').'%',
            'date' => $attribute('date-value'),
            'boolean' => strtoupper((string) $attribute('boolean-value')),
            default => null,
        };
        $text = '';
        $paragraphs = 0;
        for (
            $isOpen = ! $reader->isEmptyElement; $isOpen
            && @$reader->read()
            && ! ($reader->nodeType === XMLReader::END_ELEMENT && $reader->name === $name);
        ) {
            if ($reader->nodeType === XMLReader::ELEMENT && $reader->name === 'office:annotation' && ! $reader->isEmptyElement) {
                $depth = $reader->depth;
                while (@$reader->read() && ! ($reader->nodeType === XMLReader::END_ELEMENT && $reader->depth === $depth)) {
                    continue;
                }
            }
            if ($reader->nodeType === XMLReader::ELEMENT) {
                $text .= match ($reader->name) {
                    'text:p' => $paragraphs++ === 0 ? '' : "\n",
                    'text:line-break' => "\n",
                    'text:tab' => "\t",
                    'text:s' => str_repeat(' ', min(20, (int) ($reader->getAttribute('text:c') ?? 1))),
                    default => '',
                };
            } elseif (in_array(
                $reader->nodeType,
                [XMLReader::TEXT, XMLReader::CDATA, XMLReader::SIGNIFICANT_WHITESPACE, XMLReader::WHITESPACE],
                true,
            )) {
                $text .= $reader->value;
            }
        }

        return $value ?? $text;
    }
}
