<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\EntryRecord;
use Gnomic\Entry\EntryJson;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin EntryRecord */
final class EntryResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'entry' => EntryJson::write($this->resource->toCore()),
            'rating' => $this->resource->toCore()->rating?->spoken(),
            'hidden' => (bool) $this->resource->getAttribute('hidden'),
            'held' => $this->held,
            'heldFor' => $this->held ? $this->held_for ?? [] : [],
            'barred' => $this->barred,
            'subject' => $this->subject,
            'labels' => $this->own_labels ?? [],
            'duplicate' => $this->duplicate,
            'told' => $this->duplicate ? 1 : (int) $this->resource->getAttribute('told_count'),
            'gone' => $this->gone_at?->toRfc3339String(),
            'revisions' => (int) $this->resource->getAttribute('revisions_count'),
        ];
    }
}
