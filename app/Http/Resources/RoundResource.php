<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Round;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Round */
final class RoundResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'outcome' => $this->outcome,
            'reason' => $this->reason,
            'received' => $this->received,
            'added' => $this->added,
            'changed' => $this->changed,
            'gone' => $this->gone,
            'same' => $this->same,
            'editions' => $this->editions,
            'problems' => $this->problems ?? [],
            'startedAt' => $this->started_at->toRfc3339String(),
            'finishedAt' => $this->finished_at?->toRfc3339String(),
        ];
    }
}
