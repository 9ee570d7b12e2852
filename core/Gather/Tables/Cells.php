<?php

declare(strict_types=1);

namespace Gnomic\Gather\Tables;

/** Rows of CSV (RFC 4180) that no spreadsheet takes for formulas: a text that would begin one gets an apostrophe before it (CWE-1236). */
final class Cells
{
    /** Signs with which spreadsheets begin a formula, or skip on their way to one. */
    private const FORMULA = '/^[\s]*[=+\-@\x{FF1D}\x{FF0B}\x{FF0D}\x{FF20}|%]/u';

    /** @param  list<string|int|float|null>  $cells */
    public static function row(array $cells): string
    {
        return implode(',', array_map(self::cell(...), $cells))."\r\n";
    }

    private static function cell(string|int|float|null $cell): string
    {
        $text = is_string($cell) && self::beginsFormula($cell) ? "'$cell" : (string) $cell;

        return preg_match('/[",\r\n]|^\s|\s$/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }

    private static function beginsFormula(string $text): bool
    {
        return preg_match(self::FORMULA, $text) === 1 || preg_match('/^[\t\r\n]/', $text) === 1;
    }
}
