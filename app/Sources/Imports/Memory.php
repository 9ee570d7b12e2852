<?php

declare(strict_types=1);

namespace App\Sources\Imports;

use App\Models\Import;
use Gnomic\Gather\Tables\TableIsWrong;
use Gnomic\Gather\Tables\TableReader;
use Gnomic\Json\Value;
use Illuminate\Support\Facades\DB;

/** What an owner said of the columns of a table, for the next one with the same first row. */
final class Memory
{
    /** @return array<string, int>|null */
    public static function of(Import $import): ?array
    {
        $header = self::header($import);
        $row = $header === null
            ? null
            : DB::table('column_memories')->where('site_id', $import->site_id)->where('header', $header)->first();
        if ($row === null) {
            return null;
        }
        if ($import->dates === null && $row->dates !== null) {
            $import->update(['dates' => $row->dates]);
        }
        $columns = json_decode(Value::text($row->columns), true);

        return is_array($columns) ? array_map(Value::whole(...), Value::members($columns)) : null;
    }

    public static function keep(Import $import): void
    {
        $header = self::header($import);
        if ($header !== null && $import->columns !== null) {
            DB::table('column_memories')->updateOrInsert(
                ['site_id' => $import->site_id, 'header' => $header],
                ['columns' => json_encode($import->columns, JSON_THROW_ON_ERROR), 'dates' => $import->dates],
            );
        }
    }

    private static function header(Import $import): ?string
    {
        try {
            $table = TableReader::read((string) file_get_contents($import->file()));

            // Names that were made up tell nothing of the next file.
            return $table->isNamed ? hash('xxh128', implode("\n", $table->header)) : null;
        } catch (TableIsWrong) {
            return null; // JSON Lines, or told when it is looked at
        }
    }
}
