<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ChooseColumns;
use App\Http\Requests\ListRows;
use App\Http\Requests\UploadTable;
use App\Http\Resources\ImportResource;
use App\Models\Import;
use App\Models\ImportState;
use App\Models\Site;
use App\Sources\Imports\ApplyTable;
use App\Sources\Imports\ImportRows;
use App\Sources\Imports\LookAtTable;
use App\Sources\Imports\Templates;
use Gnomic\Gather\Tables\Column;
use Gnomic\Gather\Tables\TableReader;
use Gnomic\Json\Value;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/** Tables that are handed over: looked at first, put right, then imported in the background. */
final class ImportController
{
    private const PAGE = 50;

    public function store(UploadTable $request, Site $site): JsonResponse
    {
        $given = $request->given();
        /** @var UploadedFile $file */
        $file = $given['file'];
        // All of it or nothing: an import whose file found no room would be looked at for ever.
        $import = DB::transaction(function () use ($site, $given, $file): Import {
            $import = $site->imports()->create([
                'kind' => $given['kind'],
                'name' => mb_substr($file->getClientOriginalName(), 0, 200),
                'state' => ImportState::Looking,
            ]);
            File::ensureDirectoryExists(dirname($import->file()));
            File::copy((string) $file->getRealPath(), $import->file());
            LookAtTable::dispatch($import->id);

            return $import;
        });

        return ImportResource::make($import->refresh())->response()->setStatusCode(JsonResponse::HTTP_CREATED);
    }

    public function show(Site $site, int $id): ImportResource
    {
        return ImportResource::make($this->found($site, $id));
    }

    /** The owner puts right which column is which, or how dates are written; then it is looked at again. */
    public function update(ChooseColumns $request, Site $site, int $id): ImportResource
    {
        $given = $request->given();
        $import = $this->found($site, $id);
        if (in_array($import->state, [ImportState::Ready, ImportState::Asking], true)) {
            $columns = isset($given['columns'])
                ? array_intersect_key(
                    Value::members($given['columns']),
                    array_flip(array_map(fn (Column $column): string => $column->value, Column::cases())),
                )
                : $import->columns;
            $import->update([
                'columns' => $columns, 'dates' => $given['dates'] ?? $import->dates,
                'state' => ImportState::Looking, 'reason' => null, 'tries' => 0,
            ]);
            LookAtTable::dispatch($import->id);
        }

        return ImportResource::make($import->refresh());
    }

    public function rows(ListRows $request, Site $site, int $id): JsonResponse
    {
        $given = $request->given();
        [$from, $rows, $at] = [Value::whole($given['from'] ?? 0), [], 0];
        foreach ($this->lines($this->found($site, $id)) as $row) {
            if (isset($given['what']) && $row['what'] !== $given['what']) {
                continue;
            }
            if ($at++ >= $from) {
                $rows[] = $row;
            }
            if (count($rows) > self::PAGE) {
                break;
            }
        }

        return new JsonResponse([
            'rows' => array_slice($rows, 0, self::PAGE),
            'next' => count($rows) > self::PAGE ? $from + self::PAGE : null,
        ]);
    }

    public function apply(Site $site, int $id): JsonResponse
    {
        $import = $this->found($site, $id);
        if ($import->state === ImportState::Ready) {
            $import->update(['state' => ImportState::Importing, 'reason' => null, 'tries' => 0]);
            ApplyTable::dispatch($import->id);
        }

        return ImportResource::make($import->refresh())->response()->setStatusCode(JsonResponse::HTTP_ACCEPTED);
    }

    /** The rows that could not be taken, as they came, with the reason in a column of its own. */
    public function wrong(Site $site, int $id): Response
    {
        $import = $this->found($site, $id);
        $reasons = [];
        foreach ($this->lines($import) as $row) {
            if ($row['what'] === 'wrong') {
                $reasons[(int) $row['number']] = implode(' ', $row['notes']);
            }
        }
        $bytes = (string) file_get_contents($import->file());
        if (ImportRows::areLines($bytes)) {
            $lines = explode("\n", $bytes);
            $rows = [
                ['line', 'why'],
                ...array_map(
                    fn (int $number, string $why): array => [trim($lines[$number - 1] ?? ''), $why],
                    array_keys($reasons),
                    $reasons,
                ),
            ];
        } else {
            $table = TableReader::read($bytes);
            $rows = [
                [...$table->header, 'why'],
                ...array_map(
                    fn (int $number, string $why): array => [...($table->rows[$number] ?? []), $why],
                    array_keys($reasons),
                    $reasons,
                ),
            ];
        }

        return self::file('wrong-rows.csv', 'text/csv', Templates::csv(array_values($rows)));
    }

    public function template(Templates $templates, string $kind, string $form): Response
    {
        $rows = $templates->rows($kind);

        return $form === 'csv' ? self::file("$kind.csv", 'text/csv', Templates::csv($rows))
            : self::file("$kind.xlsx", 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet', Templates::workbook($rows));
    }

    private static function file(string $name, string $type, string $contents): Response
    {
        return new Response($contents, 200, ['Content-Type' => $type, 'Content-Disposition' => "attachment; filename=\"$name\""]);
    }

    private function found(Site $site, int $id): Import
    {
        return $site->imports()->with('site')->findOrFail($id);
    }

    /** @return iterable<array{number: int, what: string, notes: list<string>}> */
    private function lines(Import $import): iterable
    {
        $file = @fopen($import->rows(), 'r');
        while ($file !== false && ($line = fgets($file)) !== false) {
            $row = json_decode($line, true);
            if (is_array($row)) {
                yield [
                    'number' => Value::whole($row['number'] ?? 0),
                    'what' => Value::text($row['what'] ?? ''),
                    'notes' => Value::texts($row['notes'] ?? []),
                ] + $row;
            }
        }
    }
}
