<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Imports\Progress;
use App\Models\Import;
use Gnomic\Gather\Tables\Column;
use Gnomic\Gather\Tables\TableIsWrong;
use Gnomic\Gather\Tables\TableReader;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Import */
final class ImportResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'kind' => $this->kind,
            'name' => $this->name,
            'state' => $this->state,
            'reason' => $this->reason,
            'dates' => $this->dates,
            'total' => $this->total,
            'done' => Progress::of($this->resource),
            'counts' => $this->counts,
            'columns' => (object) ($this->columns ?? []),
            'known' => array_map(fn (Column $column): string => $column->value, Column::cases()),
            'header' => $this->header(),
        ];
    }

    /** @return list<array{name: string, sample: list<string>}> none for JSON Lines and for subjects */
    private function header(): array
    {
        if ($this->kind !== 'entries' || ! in_array($this->state, ['asking', 'ready'], true)) {
            return [];
        }
        try {
            $table = TableReader::read((string) @file_get_contents($this->resource->file()));
        } catch (TableIsWrong) {
            return [];
        }

        return array_map(fn (string $name, int $index): array => [
            'name' => $name,
            'sample' => array_map(
                fn (string $cell): string => mb_strimwidth($cell, 0, 60, '…'),
                array_slice($table->column($index), 0, 3),
            ),
        ],
            $table->header, array_keys($table->header));
    }
}
