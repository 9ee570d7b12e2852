<?php

declare(strict_types=1);

namespace App\Sources\Imports;

use App\Entries\EntryStore;
use App\Host\DiskIsFull;
use App\Host\HostLocks;
use App\Host\WorkerDied;
use App\Models\Import;
use App\Models\ImportState;
use App\Models\Subject;
use Gnomic\Gather\Matching\Coverage;
use Gnomic\Json\Value;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Imports a table that was looked at: the whole of it or, where it is broken off, nothing. */
final class ApplyTable implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 230;

    public function __construct(public int $import)
    {
        $this->onQueue('imports');
    }

    public function handle(EntryStore $store, HostLocks $locks): void
    {
        $import = Import::query()->findOrFail($this->import);
        $lock = BrokenOff::begin($import, ImportState::Importing, $locks);
        if ($lock === null) {
            return;
        }
        DB::transaction(function () use ($import, $store): void {
            $import->kind === 'subjects' ? $this->subjects($import) : $this->entries($import, $store);
            $import->update(['state' => ImportState::Done, 'done' => $import->total]);
        });
        Memory::keep($import);
        $lock->release();
    }

    public function failed(?Throwable $fault): void
    {
        if (WorkerDied::caused($fault)) {
            return;
        }
        Import::query()->whereKey($this->import)->where('state', ImportState::Importing)->update([
            'state' => ImportState::Ready,
            'reason' => DiskIsFull::caused($fault)
                ? 'Gnomic’s disk is full. Nothing was imported. Free some disk space, then start the import again.'
                : 'The import was interrupted. Nothing was imported. Start it again.',
        ]);
    }

    private function entries(Import $import, EntryStore $store): void
    {
        $byTarget = [];
        foreach (ImportRows::of($import, $import->columns)->all() as $row) {
            if ($row->entry !== null) {
                $byTarget[Target::addressOf($row->entry)][] = $row->entry;
            }
        }
        $done = 0;
        foreach ($byTarget as $entries) {
            $store->take(Target::made($import->site, $entries[0]), $entries, Coverage::Some, "Import of $import->name",
                progress: fn (int $written) => Progress::tell($import, $done + $written));
            $done += count($entries);
        }
    }

    private function subjects(Import $import): void
    {
        foreach (explode("\n", trim((string) file_get_contents($import->rows()))) as $line) {
            $row = json_decode($line, true);
            if (! is_array($row) || $row['what'] === 'wrong') {
                continue;
            }
            $named = Value::members($row['subject']);
            $subject = Subject::named($import->site, Value::text($named['name']), Value::textOrNull($named['kind']));
            foreach (Value::named($named['addresses']) as $channel => $address) {
                $subject->addresses()->firstOrCreate(['channel' => $channel, 'address' => $address]);
            }
        }
    }
}
