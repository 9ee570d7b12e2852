<?php

declare(strict_types=1);

namespace App\Sources\Imports;

use App\Models\Import;
use Gnomic\Gather\Tables\Table;

/** The columns of a table with a few of their cells, kept beside it when it is looked at, so that nobody has to open it to show them. */
final class Header
{
    private const SAMPLE = 3;

    private const LONGEST = 60;

    public static function keep(Import $import, ?Table $table): void
    {
        $columns = $table === null ? [] : array_map(fn (string $name, int $index): array => [
            'name' => $name,
            'sample' => array_map(
                fn (string $cell): string => mb_strimwidth($cell, 0, self::LONGEST, '…'),
                array_slice($table->column($index), 0, self::SAMPLE),
            ),
        ], $table->header, array_keys($table->header));
        file_put_contents(self::file($import), json_encode($columns, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));
    }

    /** @return list<array{name: string, sample: list<string>}> none for JSON Lines and for subjects */
    public static function of(Import $import): array
    {
        $kept = json_decode((string) @file_get_contents(self::file($import)), true);
        /** @var list<array{name: string, sample: list<string>}> $columns */
        $columns = is_array($kept) ? $kept : [];

        return $columns;
    }

    private static function file(Import $import): string
    {
        return $import->file().'.columns';
    }
}
