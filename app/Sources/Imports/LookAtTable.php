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
use App\Sources\Channels\Channels;
use Gnomic\Entry\Entry;
use Gnomic\Entry\EntryJson;
use Gnomic\Gather\Language\Languages;
use Gnomic\Gather\Matching\Digest;
use Gnomic\Gather\Matching\Known;
use Gnomic\Gather\Tables\SubjectRows;
use Gnomic\Gather\Tables\TableIsWrong;
use Gnomic\Gather\Tables\TableReader;
use Gnomic\Json\Value;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;
use stdClass;
use Throwable;

/** The dry run: what each row of a table would do, row by row, before anything is done. */
final class LookAtTable implements ShouldQueue
{
    use Queueable;

    private const ASKED = [
        'dates' => 'The dates in this file can be read day first or month first. Choose one.',
        'columns' => 'No row of this file names its columns. Gnomic guessed them from their contents: check them.',
    ];

    public int $tries = 1;

    public int $timeout = 230;

    public function __construct(public int $import)
    {
        $this->onQueue('imports');
    }

    public function handle(EntryStore $store, Channels $channels, HostLocks $locks): void
    {
        $import = Import::query()->findOrFail($this->import);
        $lock = BrokenOff::begin($import, ImportState::Looking, $locks);
        if ($lock === null) {
            return;
        }
        try {
            $import->kind === 'subjects' ? $this->subjects($import, $channels) : $this->entries($import, $store);
        } catch (TableIsWrong $wrong) {
            $import->update(['state' => ImportState::Failed, 'reason' => $wrong->getMessage()]);
        }
        $lock->release();
    }

    public function failed(?Throwable $fault): void
    {
        if (WorkerDied::caused($fault)) {
            return;
        }
        Import::query()->whereKey($this->import)->where('state', ImportState::Looking)->update([
            'state' => ImportState::Failed,
            'reason' => DiskIsFull::caused($fault)
                ? 'Gnomic’s disk is full. Nothing was imported. Free some disk space, then upload the file again.'
                : 'Gnomic could not read the file. Nothing was imported. The details are in its log.',
        ]);
    }

    private function entries(Import $import, EntryStore $store): void
    {
        $said = $import->columns ?? Memory::of($import);
        $isFirstLook = $import->columns === null;
        $rows = ImportRows::of($import, $said);
        $import->update(['columns' => $rows->columns?->places, 'total' => $rows->count()]);
        Header::keep($import, $rows->table);
        if (! $rows->saysSomething()) {
            $import->update(['state' => ImportState::Asking, 'asks' => 'columns', 'reason' => TableIsWrong::nothingKnown()->getMessage()]);

            return;
        }
        $known = $seen = [];
        $counts = ['new' => 0, 'changed' => 0, 'same' => 0, 'wrong' => 0];
        $out = fopen($import->rows().'.new', 'w');
        foreach ($rows->all() as $index => $row) {
            $entry = $row->entry;
            $what = 'wrong';
            $notes = [...$row->wrong, ...$row->notes];
            if ($entry !== null) {
                $address = Target::addressOf($entry);
                $known[$address] ??= $this->known($import, $address, $store);
                $isAgain = isset($seen[$address][$entry->id]);
                $seen[$address][$entry->id] = true;
                $what = $isAgain ? 'same' : self::what($known[$address][$entry->id] ?? null, $entry);
                if ($isAgain) {
                    $notes[] = 'The same row appears above.';
                }
            }
            $counts[$what]++;
            if ($out !== false) {
                fwrite(
                    $out,
                    json_encode(
                        [
                            'number' => $row->number,
                            'what' => $what,
                            'notes' => $notes,
                            'entry' => $entry === null ? null : EntryJson::write(Languages::filled($entry)),
                        ],
                        JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_INVALID_UTF8_SUBSTITUTE,
                    )."\n",
                );
            }
            if (Value::whole($index) % 100 === 0) {
                Progress::tell($import, Value::whole($index));
            }
        }
        rename($import->rows().'.new', $import->rows());
        $asked = self::asked($rows, $isFirstLook);
        $import->update([
            'counts' => $counts,
            'done' => array_sum($counts),
            'state' => $asked === null ? ImportState::Ready : ImportState::Asking,
            'asks' => $asked,
            'reason' => $asked === null ? null : self::ASKED[$asked],
        ]);
    }

    /**
     * What only the owner can say; null where nothing is open.
     *
     * @return key-of<self::ASKED>|null
     */
    private static function asked(ImportRows $rows, bool $isFirstLook): ?string
    {
        return match (true) {
            $rows->order === null => 'dates',
            $isFirstLook && $rows->table?->isNamed === false => 'columns',
            default => null,
        };
    }

    /** @return array<array-key, Known> */
    private function known(Import $import, string $address, EntryStore $store): array
    {
        $source = Target::existing($import->site, $address);

        return $source === null ? [] : $store->known($source);
    }

    private static function what(?Known $known, Entry $entry): string
    {
        return match (true) {
            $known === null => 'new',
            $known->gone, ! Digest::agrees($known->digest, $entry) => 'changed',
            default => 'same',
        };
    }

    private function subjects(Import $import, Channels $channels): void
    {
        $table = TableReader::read((string) file_get_contents($import->file()));
        $counts = ['new' => 0, 'changed' => 0, 'same' => 0, 'wrong' => 0];
        $lines = '';
        foreach (SubjectRows::of($table, $channels->withAddresses()) as $row) {
            $subject = $row['wrong'] === [] ? $import->site->subjects()->where('name', $row['name'])->first() : null;
            $what = match (true) {
                $row['wrong'] !== [] => 'wrong',
                $subject === null => 'new',
                $this->hasAll($subject, $row['addresses']) => 'same',
                default => 'changed',
            };
            $counts[$what]++;
            $lines .= json_encode(
                [
                    'number' => $row['number'],
                    'what' => $what,
                    'notes' => $row['wrong'],
                    'subject' => ['name' => $row['name'], 'kind' => $row['kind'], 'addresses' => (object) $row['addresses']],
                ],
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            )."\n";
        }
        file_put_contents($import->rows(), $lines);
        $import->update(['state' => ImportState::Ready, 'total' => array_sum($counts), 'done' => array_sum($counts), 'counts' => $counts]);
    }

    /** @param  array<string, string>  $addresses */
    private function hasAll(Subject $subject, array $addresses): bool
    {
        $has = DB::table('subject_addresses')->where('subject_id', $subject->id)
            ->get(['channel', 'address'])
            ->map(fn (stdClass $row): string => Value::text($row->channel).' '.Value::text($row->address))
            ->all();
        $wanted = array_map(fn (string $address, string $channel): string => "$channel $address", $addresses, array_keys($addresses));

        return array_diff($wanted, $has) === [];
    }
}
