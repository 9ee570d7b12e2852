<?php

declare(strict_types=1);

namespace Gnomic\Gather\Tables;

use DateTimeImmutable;
use Gnomic\Gather\Problem;
use SimpleXMLElement;
use XMLReader;

/** Workbooks of ISO/IEC 29500 (.xlsx); formulas by their stored results. */
final class Xlsx
{
    /** Built-in number formats that show a date or a time (ISO/IEC 29500-1, §18.8.30, and those of East Asian locales). */
    private const DATES = [
        14,
        15,
        16,
        17,
        18,
        19,
        20,
        21,
        22,
        27,
        28,
        29,
        30,
        31,
        32,
        33,
        34,
        35,
        36,
        45,
        46,
        47,
        50,
        51,
        52,
        53,
        54,
        55,
        56,
        57,
        58,
    ];

    private const MOST_SHEETS = 50;

    private const MOST_STRINGS = 1_000_000;

    private const MOST_LINKS = 20_000;

    /** Megabytes of parts that are no sheets: styles, relations, the list of sheets. */
    private const MOST_OF_A_PART = 4;

    /** Characters of a number format that are looked at. */
    private const FORMAT = 300;

    /** @var list<string> */
    private array $strings = [];

    /** @var array<int, 'date'|'percent'> by cell format */
    private array $formats = [];

    private bool $from1904 = false;

    /** @var list<Problem> */
    private array $problems = [];

    private function __construct(private readonly Zip $zip)
    {
    }

    /** @throws TableIsWrong */
    public static function read(Zip $zip): Table
    {
        $reader = new self($zip);
        $reader->readStrings();
        $reader->readFormats();
        $sheets = $links = [];
        foreach (array_slice($reader->sheets(), 0, self::MOST_SHEETS) as $place => [$name, $path]) {
            $sheets[] = Sheet::of($name, $reader->rows($path));
            $links[$place] = $reader->links($path);
        }
        if ($sheets === []) {
            throw TableIsWrong::damaged('it has no sheet');
        }

        return Table::of('Excel workbook', $sheets, array_slice($reader->problems, 0, 20), $links);
    }

    /** @return list<array{string, string}> names and paths, in the order of the workbook, hidden ones last */
    private function sheets(): array
    {
        $workbook = $this->xml('xl/workbook.xml') ?? throw TableIsWrong::damaged('it has no workbook part');
        $targets = [];
        foreach ($this->xml('xl/_rels/workbook.xml.rels')?->children() ?? [] as $relation) {
            $target = (string) $relation['Target'];
            $targets[(string) $relation['Id']] = str_starts_with($target, '/') ? substr($target, 1) : "xl/$target";
        }
        $this->from1904 = in_array((string) ($workbook->workbookPr['date1904'] ?? ''), ['1', 'true'], true);
        $shown = $hidden = [];
        foreach ($workbook->sheets->sheet ?? [] as $sheet) {
            $id = (string) (
                $sheet->attributes('http://schemas.openxmlformats.org/officeDocument/2006/relationships')['id']
                    ?? $sheet->attributes('http://purl.oclc.org/ooxml/officeDocument/relationships')['id']
                    ?? ''
            );
            $path = $targets[$id] ?? null;
            if ($path !== null && in_array($path, $this->zip->names(), true)) {
                $one = [(string) $sheet['name'], $path];
                (string) ($sheet['state'] ?? 'visible') === 'visible' ? $shown[] = $one : $hidden[] = $one;
            }
        }

        return [...$shown, ...$hidden];
    }

    private function readStrings(): void
    {
        $xml = $this->zip->xml('xl/sharedStrings.xml');
        if ($xml === null) {
            return;
        }
        $reader = self::reader($xml);
        $text = '';
        while (@$reader->read()) {
            if ($reader->nodeType === XMLReader::ELEMENT && $reader->localName === 'rPh') {
                self::skip($reader); // how it is pronounced, not what it says
            }
            if ($reader->nodeType === XMLReader::ELEMENT && $reader->localName === 't' && ! $reader->isEmptyElement) {
                $text .= $reader->readString();
            } elseif ($reader->localName === 'si' && ($reader->nodeType === XMLReader::END_ELEMENT || $reader->isEmptyElement)) {
                $this->strings[] = self::unescaped($text);
                $text = '';
                if (count($this->strings) > self::MOST_STRINGS) {
                    throw TableIsWrong::tooManyRows();
                }
            }
        }
    }

    private function readFormats(): void
    {
        $styles = $this->xml('xl/styles.xml');
        $custom = [];
        foreach ($styles->numFmts->numFmt ?? [] as $format) {
            $custom[(int) $format['numFmtId']] = substr((string) $format['formatCode'], 0, self::FORMAT);
        }
        $index = 0;
        foreach ($styles->cellXfs->xf ?? [] as $xf) {
            $id = (int) $xf['numFmtId'];
            $code = (string) preg_replace('/"[^"]*"|\\\\.|\[[^\]hms]*\]|_.|\*./i', '', $custom[$id] ?? '');
            if (in_array($id, self::DATES, true) || preg_match('/[ymdhs]/i', str_ireplace('general', '', $code)) === 1) {
                $this->formats[$index] = 'date';
            } elseif ($id === 9 || $id === 10 || str_contains($code, '%')) {
                $this->formats[$index] = 'percent';
            }
            $index++;
        }
    }

    /** @return array<int, array<int, string>> where cells lead to, by row and column (ISO/IEC 29500-1, §18.3.1.47) */
    private function links(string $path): array
    {
        $targets = [];
        foreach ($this->xml((string) preg_replace('~([^/]+)$~', '_rels/$1.rels', $path))?->children() ?? [] as $relation) {
            if ((string) $relation['TargetMode'] === 'External') {
                $targets[(string) $relation['Id']] = (string) $relation['Target'];
            }
        }
        $links = [];
        $xml = $targets === [] ? '' : (string) $this->zip->xml($path);
        $pattern = '/<(?:\w+:)?hyperlink\s[^>]*>/';
        $at = $times = 0;
        while ($times++ < self::MOST_LINKS && preg_match($pattern, $xml, $found, PREG_OFFSET_CAPTURE, $at) === 1) {
            [$element, $at] = [$found[0][0], $found[0][1] + strlen($found[0][0])];
            $cell = preg_match('/\sref="([A-Z]{1,3}(\d+))"/', $element, $ref) === 1
                && preg_match('/\s\w+:id="([^"]+)"/', $element, $id) === 1
                ? self::columnOf($ref[1])
                : null;
            if ($cell !== null && isset($id[1], $ref[2], $targets[$id[1]])) {
                $links[(int) $ref[2]][$cell] = $targets[$id[1]];
            }
        }

        return $links;
    }

    /** @return iterable<int, list<string>> */
    private function rows(string $path): iterable
    {
        $reader = self::reader((string) $this->zip->xml($path));
        $number = 0;
        $cells = [];
        $column = 0;
        while (@$reader->read()) {
            if ($reader->nodeType === XMLReader::ELEMENT && $reader->localName === 'row') {
                $number = (int) ($reader->getAttribute('r') ?? $number + 1);
                $cells = [];
                $column = 0;
            } elseif ($reader->nodeType === XMLReader::ELEMENT && $reader->localName === 'c') {
                $column = self::columnOf($reader->getAttribute('r')) ?? $column;
                $cell = $reader->isEmptyElement ? '' : $this->cell($reader, $number);
                if ($column <= Sheet::EDGE && $cell !== '') {
                    $cells = array_pad($cells, $column, '');
                    $cells[$column] = $cell;
                }
                $column++;
            } elseif ($reader->nodeType === XMLReader::END_ELEMENT && $reader->localName === 'row') {
                yield $number => array_values($cells);
            }
        }
    }

    private function cell(XMLReader $reader, int $row): string
    {
        $type = (string) $reader->getAttribute('t');
        $style = (int) $reader->getAttribute('s');
        $value = $inline = null;
        $isFormula = false;
        while (@$reader->read() && ! ($reader->nodeType === XMLReader::END_ELEMENT && $reader->localName === 'c')) {
            if ($reader->nodeType !== XMLReader::ELEMENT) {
                continue;
            }
            if ($reader->localName === 'rPh') {
                self::skip($reader);
            } elseif ($reader->localName === 'f') {
                $isFormula = true;
            } elseif ($reader->localName === 'v') {
                $value = $reader->isEmptyElement ? '' : $reader->readString();
            } elseif ($reader->localName === 't' && ! $reader->isEmptyElement) {
                $inline .= $reader->readString();
            }
        }
        if ($isFormula && $value === null) {
            $this->problems[] = new Problem(
                "row $row",
                'A formula has no stored result; its cell was taken as empty. Save the workbook once in a program that computes it.',
            );
        }

        return match (true) {
            $type === 'inlineStr' => self::unescaped((string) $inline),
            $value === null, $type === 'e' => '',
            $type === 's' => $this->strings[(int) $value] ?? '',
            $type === 'str' => self::unescaped($value),
            $type === 'b' => $value === '1' ? 'TRUE' : 'FALSE',
            $type === 'd' => $value,
            ! is_numeric($value) => $value,
            ($this->formats[$style] ?? '') === 'date' => $this->day((float) $value),
            ($this->formats[$style] ?? '') === 'percent' => self::plain(100 * (float) $value).'%',
            default => self::plain((float) $value),
        };
    }

    /** Days since the end of 1899, with the leap day of 1900 that never was; or since the start of 1904. */
    private function day(float $serial): string
    {
        $days = (int) floor($serial);
        $seconds = (int) round(($serial - $days) * 86_400);
        $start = new DateTimeImmutable($this->from1904 ? '1904-01-01T00:00:00Z' : '1899-12-30T00:00:00Z');
        if ($days < 0 || $days > 2_958_465) {
            return self::plain($serial);
        }
        $date = $start->modify("+$days days")->modify("+$seconds seconds");

        return $date->format($seconds === 0 ? 'Y-m-d' : 'Y-m-d\TH:i:s');
    }

    private static function plain(float $number): string
    {
        return rtrim(rtrim(number_format($number, 6, '.', ''), '0'), '.');
    }

    /** "BC12" is column 54, counted from nought. */
    private static function columnOf(?string $reference): ?int
    {
        if (preg_match('/^([A-Z]{1,3})\d+$/', (string) $reference, $found) !== 1) {
            return null;
        }
        $column = 0;
        foreach (str_split($found[1]) as $letter) {
            $column = $column * 26 + ord($letter) - 64;
        }

        return $column - 1;
    }

    /** Characters that XML cannot hold are written as _x000D_ (§22.4.2.4). */
    private static function unescaped(string $text): string
    {
        return (string) preg_replace_callback(
            '/_x([0-9A-Fa-f]{4})_/',
            fn (array $code): string => (string) mb_chr((int) hexdec($code[1])),
            $text,
        );
    }

    private static function skip(XMLReader $reader): void
    {
        $depth = $reader->depth;
        for (
            $isOpen = ! $reader->isEmptyElement; $isOpen
            && @$reader->read()
            && ! ($reader->nodeType === XMLReader::END_ELEMENT && $reader->depth === $depth);
        ) {
            continue;
        }
    }

    private static function reader(string $xml): XMLReader
    {
        $reader = XMLReader::XML($xml, null, LIBXML_NONET | LIBXML_PARSEHUGE | LIBXML_NOERROR | LIBXML_NOWARNING);

        return $reader instanceof XMLReader ? $reader : throw TableIsWrong::damaged('a part of it is no XML');
    }

    private function xml(string $path): ?SimpleXMLElement
    {
        $xml = $this->zip->xml($path, self::MOST_OF_A_PART);
        $parsed = $xml === null ? false : @simplexml_load_string($xml, SimpleXMLElement::class, LIBXML_NONET);

        return $parsed === false ? null : $parsed;
    }
}
