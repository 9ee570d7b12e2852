<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\EntryRecord;
use Gnomic\Entry\EntryJson;
use Gnomic\Json\Value;
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
            'entry' => EntryJson::write($this->toCore()),
            'rating' => $this->toCore()->rating?->spoken(),
            'hidden' => (bool) $this->getAttribute('hidden'),
            'held' => $this->held,
            'heldFor' => $this->held ? $this->held_for ?? [] : [],
            'barred' => $this->barred,
            'subject' => $this->subject,
            'labels' => $this->own_labels ?? [],
            'duplicate' => $this->duplicate,
            'told' => $this->duplicate ? 1 : Value::whole($this->getAttribute('told_count')),
            'gone' => $this->gone_at?->toRfc3339String(),
            'revisions' => Value::whole($this->getAttribute('revisions_count')),
        ];
    }
}
