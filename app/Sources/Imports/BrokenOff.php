<?php

declare(strict_types=1);

namespace App\Sources\Imports;

use App\Host\HeldLock;
use App\Host\HostLocks;
use App\Models\Import;
use App\Models\ImportState;

/**
 * Imports whose worker was ended in the middle. Nothing of them was applied; they are sent again, and given up where they end their
 * workers time after time.
 */
final readonly class BrokenOff
{
    /** Seconds after which one that nobody works at is sent again: its worker may have died with it. */
    private const LOST = 30;

    private const MOST_TRIES = 3;

    public function __construct(private HostLocks $locks)
    {
    }

    /** @return int how many were sent again or given up */
    public function mend(): int
    {
        $mended = 0;
        $query = Import::query();
        $query->whereIn('state', [ImportState::Looking, ImportState::Importing])
            ->whereNotBetween('updated_at', [now()->subSeconds(self::LOST), now()]);
        foreach ($query->get() as $import) {
            if ($this->locks->isHeld(self::lockOf($import))) {
                continue;
            }
            $import->tries < self::MOST_TRIES ? $this->sendAgain($import) : $this->giveUp($import);
            $mended++;
        }

        return $mended;
    }

    /** For the worker that takes it up; null where another has, or where it is in another state by now. */
    public static function begin(Import $import, ImportState $state, HostLocks $locks): ?HeldLock
    {
        $lock = $locks->attempt(self::lockOf($import));
        if ($lock === null || $import->refresh()->state !== $state) {
            return null;
        }
        $import->update(['tries' => $import->tries + 1]);

        return $lock;
    }

    private function sendAgain(Import $import): void
    {
        $import->touch();
        $import->state === ImportState::Importing ? ApplyTable::dispatch($import->id) : LookAtTable::dispatch($import->id);
    }

    private function giveUp(Import $import): void
    {
        $import->update($import->state === ImportState::Importing
            ? ['state' => ImportState::Ready, 'reason' => 'The import was interrupted three times. Nothing was imported. Start it again.']
            : ['state' => ImportState::Failed, 'reason' => 'Reading the file was interrupted three times. Split it into smaller files.']);
    }

    private static function lockOf(Import $import): string
    {
        return "import-$import->id";
    }
}
