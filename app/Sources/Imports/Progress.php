<?php

declare(strict_types=1);

namespace App\Sources\Imports;

use App\Models\Import;
use App\Models\ImportState;

/** How far an import has come. In a file: while all of it is applied in one transaction, nobody else sees the database change. */
final class Progress
{
    public static function tell(Import $import, int $done): void
    {
        file_put_contents($import->file().'.done', (string) $done);
    }

    public static function of(Import $import): int
    {
        return in_array($import->state, [ImportState::Looking, ImportState::Importing], true)
            ? (int) @file_get_contents($import->file().'.done')
            : $import->done;
    }
}
