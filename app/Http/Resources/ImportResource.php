<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Import;
use App\Models\ImportState;
use App\Sources\Imports\Header;
use App\Sources\Imports\Progress;
use Gnomic\Gather\Tables\Column;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Import */
final class ImportResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        /** @var Import $import */
        $import = $this->resource;

        return [
            'id' => $this->id,
            'kind' => $this->kind,
            'name' => $this->name,
            'state' => $this->state,
            'reason' => $this->reason,
            'asks' => $this->state === ImportState::Asking ? $this->asks : null,
            'dates' => $this->dates,
            'total' => $this->total,
            'done' => Progress::of($import),
            'counts' => $this->counts,
            'columns' => (object) ($this->columns ?? []),
            'known' => array_map(fn (Column $column): string => $column->value, Column::cases()),
            'header' => in_array($this->state, [ImportState::Asking, ImportState::Ready], true) ? Header::of($import) : [],
        ];
    }
}
