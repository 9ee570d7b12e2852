<?php

declare(strict_types=1);

namespace App\Imports;

use App\Editions\Refresh;
use App\Models\Import;
use App\Models\Source;
use App\Models\Subject;
use App\Rounds\Change;
use App\Rounds\Stored;
use Gnomic\Gather\Matching\Coverage;
use Gnomic\Gather\Matching\Matcher;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use Throwable;

/** Imports a table that was looked at: the whole of it or, where it is broken off, nothing. */
final class ApplyTable implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    public int $tries = 1;

    public int $timeout = 230;

    public int $uniqueFor = 300;

    public function __construct(public int $import)
    {
    }

    public function uniqueId(): string
    {
        return (string) $this->import;
    }

    public function handle(Stored $stored, Refresh $refresh): void
    {
        $import = Import::query()->findOrFail($this->import);
        if ($import->state !== 'importing') {
            return;
        }
        $changes = DB::transaction(function () use ($import, $stored): array {
            $changes = $import->kind === 'subjects' ? $this->subjects($import) : $this->entries($import, $stored);
            $import->update(['state' => 'done', 'done' => $import->total]);

            return $changes;
        });
        Memory::keep($import);
        $refresh->after($import->site, $changes, "Import of $import->name");
    }

    public function failed(?Throwable $fault): void
    {
        Import::query()->whereKey($this->import)->where('state', 'importing')->update(['state' => 'ready', 'reason' => 'It was broken off half way; nothing of it was applied. Start it again.']);
    }

    /** @return list<Change> */
    private function entries(Import $import, Stored $stored): array
    {
        $byTarget = [];
        foreach (Rows::of($import, $import->columns)->all() as $row) {
            if ($row->entry !== null) {
                $byTarget[Target::addressOf($row->entry)][] = $row->entry;
            }
        }
        $changes = [];
        $done = 0;
        foreach ($byTarget as $entries) {
            $source = Target::made($import->site, $entries[0]);
            foreach (array_chunk($entries, 250) as $chunk) {
                array_push($changes, ...$stored->apply($source, Matcher::match($stored->known($source), $chunk, Coverage::Some)));
                Progress::tell($import, $done += count($chunk));
            }
            $this->name($source, $entries);
        }

        return $changes;
    }

    /**
     * The subjects that a table names become the site's.
     *
     * @param  list<\Gnomic\Entry\Entry>  $entries
     */
    private function name(Source $source, array $entries): void
    {
        $bySubject = [];
        foreach ($entries as $entry) {
            if ($entry->subject !== null) {
                $bySubject[$entry->subject][] = $entry->id;
            }
        }
        foreach ($bySubject as $name => $natives) {
            $subject = Subject::named($source->site, (string) $name);
            foreach (array_chunk($natives, 500) as $chunk) {
                DB::table('entries')->where('source_id', $source->id)->whereIn('native', $chunk)->update(['subject_id' => $subject->id]);
            }
        }
    }

    /** @return list<Change> */
    private function subjects(Import $import): array
    {
        foreach (explode("\n", trim((string) file_get_contents($import->rows()))) as $line) {
            $row = json_decode($line, true);
            if (! is_array($row) || $row['what'] === 'wrong') {
                continue;
            }
            $subject = Subject::named($import->site, (string) $row['subject']['name'], $row['subject']['kind']);
            foreach ($row['subject']['addresses'] as $channel => $address) {
                $subject->addresses()->firstOrCreate(['channel' => $channel, 'address' => $address]);
            }
        }

        return [];
    }
}
