<?php

declare(strict_types=1);

namespace App\Imports;

use App\Models\Import;

/** Imports whose worker was ended in the middle: nothing of them was applied, and they can be started again. */
final class BrokenOff
{
    private const SILENT_MINUTES = 5;

    /** @return int how many were mended */
    public function mend(): int
    {
        $mended = 0;
        $query = Import::query();
        $query->whereIn('state', ['looking', 'importing'])->where('updated_at', '<', now()->subMinutes(self::SILENT_MINUTES));
        foreach ($query->get() as $import) {
            $import->state === 'importing'
                ? $import->update([
                    'state' => 'ready',
                    'reason' => 'It was broken off half way; nothing of it was applied. Start it again.',
                ])
                : $import->update(['state' => 'failed', 'reason' => 'Looking at it was broken off. Hand it over again.']);
            $mended++;
        }

        return $mended;
    }
}
