<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Finding;
use App\Models\Page;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Page */
final class PageResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        return [
            'id' => $this->id,
            'address' => $this->address,
            'path' => $this->path,
            'branch' => $this->branch,
            'title' => $this->title === '' ? null : $this->title,
            'language' => $this->language,
            'modified' => $this->modified,
            'foundBy' => $this->found_by,
            'failure' => $this->failure,
            'seenAt' => $this->seen_at?->toRfc3339String(),
            'checkedAt' => $this->checked_at?->toRfc3339String(),
            'findings' => $this->findings->filter(fn (Finding $finding): bool => $finding->widget->removed_at === null)
                ->map(fn (Finding $finding): array => [
                    'widget' => ['key' => $finding->widget->key, 'name' => $finding->widget->name],
                    'verdict' => $finding->verdict,
                    'told' => $finding->told,
                    'firstThereAt' => $finding->first_there_at?->toRfc3339String(),
                    'lastThereAt' => $finding->last_there_at?->toRfc3339String(),
                    'missingSince' => $finding->missing_since?->toRfc3339String(),
                    'checkedAt' => $finding->checked_at->toRfc3339String(),
                ])->values(),
        ];
    }
}
