<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Bench\SentenceContexts;
use App\Models\Widget;
use App\Outbox\Outbox;
use Gnomic\Brief\Sentence;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Widget */
final class WidgetResource extends JsonResource
{
    public static $wrap = null;

    /** @return array<string, mixed> */
    public function toArray(Request $request): array
    {
        $brief = $this->draft();
        $edition = $this->edition;

        return [
            'key' => $this->key,
            'name' => $this->name,
            'brief' => $brief->toArray(),
            'sentence' => Sentence::short($brief, app(SentenceContexts::class)->brief($this->site, $brief)),
            'publishing' => app(Outbox::class)->has($this->resource),
            'edition' => $edition === null ? null : [
                'number' => $edition->number,
                'hash' => $edition->hash,
                'shown' => $edition->shown,
                'cause' => $edition->cause,
                'createdAt' => $edition->created_at->toRfc3339String(),
                'brief' => $edition->toBrief()->toArray(),
            ],
            'host' => rtrim((string) config('app.url'), '/'),
        ];
    }
}
