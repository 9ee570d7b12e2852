<?php

declare(strict_types=1);

namespace Gnomic\Gather\Tables;

use DomainException;
use Gnomic\Failure;

/** A file that is no table of the kind that can be taken. The message says what was found and what to do. */
final class TableIsWrong extends DomainException implements Failure
{
    public static function empty(): self
    {
        return new self('The table is empty. Its first row has to name the columns, and those below hold the entries.');
    }

    public static function noHeader(string $cell): self
    {
        return new self(
            'No row names the columns, and what they hold does not tell: the first has "'
                .mb_strimwidth($cell, 0, 60, '…')
                .'". Put a row above it with names such as author, date, rating, text.',
        );
    }

    public static function tooManyColumns(int $count): self
    {
        return new self(
            "The table has $count columns; at most "
                .Table::MOST_COLUMNS
                .' are read. Leave the columns that say something of the entries.',
        );
    }

    public static function tooManyRows(): self
    {
        return new self('The table has more than '.number_format(Table::MOST_ROWS).' rows. Split it into smaller tables.');
    }

    public static function tooLarge(int $megabytes): self
    {
        return new self("The file unpacks to more than $megabytes MB. Upload only the sheet with the entries, as CSV.");
    }

    public static function withPassword(): self
    {
        return new self('The workbook is locked with a password. Save it without one, or as CSV, and upload that.');
    }

    /** Parts of a workbook are XML without a document type: one that has it is made to harm (CWE-776). */
    public static function withDocumentType(): self
    {
        return new self(
            'The workbook has a document type in it, which no program writes, and was refused. Save it again and upload that.',
        );
    }

    public static function oldWorkbook(): self
    {
        return new self('This is a workbook of the old kind (.xls). Save it as .xlsx or CSV, and upload that.');
    }

    public static function damaged(string $detail): self
    {
        return new self("The workbook is damaged: $detail. Open it, save it again and upload that.");
    }

    public static function otherFile(string $what): self
    {
        return new self("This is $what, not a table. Upload CSV, TSV, XLSX, ODS or JSON Lines.");
    }

    public static function nothingKnown(): self
    {
        return new self('No column holds words, a rating or a title. Choose what each column is, or use the names from the template.');
    }

    public function about(): array
    {
        return [];
    }
}
