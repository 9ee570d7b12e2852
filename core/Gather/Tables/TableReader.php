<?php

declare(strict_types=1);

namespace Gnomic\Gather\Tables;

use Gnomic\Gather\Language\Languages;
use Gnomic\Gather\Problem;
use Gnomic\Text\Charset;

/** Reads a table from bytes by what they are, not by the name of the file. */
final class TableReader
{
    /** Languages that are written in Windows-1250 where they are not in Unicode. */
    private const OF_CENTRAL_EUROPE = ['cs', 'sk', 'pl', 'hu', 'ro', 'hr', 'sl', 'bs'];

    /** Characters by which a language is told. */
    private const SAMPLE = 5_000;

    /** @throws TableIsWrong */
    public static function read(string $bytes): Table
    {
        if (str_starts_with($bytes, "\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1")) {
            // The container of old office files: a locked workbook lies in one too, under a name of its own.
            throw str_contains($bytes, "E\0n\0c\0r\0y\0p\0t\0e\0d\0P\0a\0c\0k\0a\0g\0e")
                ? TableIsWrong::withPassword()
                : TableIsWrong::oldWorkbook();
        }
        if (str_starts_with($bytes, "PK\x03\x04")) {
            $zip = Zip::of($bytes);

            return match (true) {
                in_array('xl/workbook.xml', $zip->names(), true) => Xlsx::read($zip),
                str_contains((string) $zip->read('mimetype'), 'opendocument.spreadsheet') => Ods::read($zip),
                default => throw TableIsWrong::otherFile('a zip archive without a sheet'),
            };
        }
        $kind = match (true) {
            str_starts_with($bytes, '%PDF') => 'a PDF',
            str_starts_with($bytes, "\x89PNG"), str_starts_with($bytes, "\xFF\xD8\xFF"), str_starts_with($bytes, 'GIF8') => 'a picture',
            str_starts_with($bytes, "\x1F\x8B") => 'a gzip archive',
            default => null,
        };
        if ($kind !== null) {
            throw TableIsWrong::otherFile($kind);
        }

        return self::text($bytes);
    }

    /** Whether text looks like a table: for those who do not know what they were given. */
    public static function isLikely(string $bytes): bool
    {
        if (str_starts_with($bytes, "PK\x03\x04")) {
            return str_contains($bytes, 'xl/workbook.xml') || str_contains($bytes, 'opendocument.spreadsheet');
        }
        if (str_starts_with($bytes, "\xD0\xCF\x11\xE0")) {
            return true;
        }
        $text = ltrim(self::decoded(substr($bytes, 0, 60_000))->text);

        return $text !== ''
            && ! in_array($text[0], ['<', '{', '['], true)
            && str_contains($text, "\n")
            && Delimited::separatorOf($text) !== null;
    }

    private static function text(string $bytes): Table
    {
        $charset = self::decoded($bytes);
        $text = ltrim($charset->text, "\u{FEFF}");
        if (trim($text) === '') {
            throw TableIsWrong::empty();
        }
        if (preg_match('/^\s*<(?:!doctype|html|\?xml)/i', $text) === 1) {
            throw TableIsWrong::otherFile('a page or XML');
        }
        $separator = Delimited::separatorOf($text) ?? "\t";
        $format = [',' => 'CSV', ';' => 'CSV with semicolons', "\t" => 'TSV'][$separator] ?? "Text separated by $separator";

        return Table::of(
            $format,
            [Sheet::of('', Delimited::rows($text, $separator))],
            $charset->problem === null || ! str_contains($charset->problem, 'Declared') ? [] : [new Problem('', $charset->problem)],
        );
    }

    /**
     * Tables declare no encoding: UTF-16 without a mark shows by its zeros, others by their bytes; those of Western and of Central
     * Europe by the language that they make.
     */
    private static function decoded(string $bytes): Charset
    {
        $head = substr($bytes, 0, 400);
        $zeros = substr_count($head, "\0");
        $isWide = ! str_starts_with($bytes, "\xFF\xFE")
            && ! str_starts_with($bytes, "\xFE\xFF")
            && strlen($head) > 8
            && $zeros * 3 > strlen($head);
        $name = $isWide ? ($head[0] === "\0" ? 'UTF-16BE' : 'UTF-16LE') : null;

        $charset = Charset::decoded($bytes, $name);
        $central = $charset->name === 'Windows-1252' ? Charset::decoded($bytes, 'windows-1250') : $charset;
        $language = $central === $charset ? null : Languages::of(mb_substr($central->text, 0, self::SAMPLE));

        return in_array($language, self::OF_CENTRAL_EUROPE, true) ? $central : $charset;
    }
}
