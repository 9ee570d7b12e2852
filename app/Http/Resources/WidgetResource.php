<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Bench\SentenceContexts;
use App\Counting\Trials;
use App\Models\Widget;
use Gnomic\Brief\Sentence;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Widget */
final class WidgetResource extends JsonResource
{
    public static $wrap = null;

    /**
     * @param  bool  $publishing  whether an edition is being made; asked before the widget was read, so that none is missed between
     * @param  int|null  $views  of the last 30 days; null where that is not told
     */
    public function __construct(Widget $widget, private readonly bool $publishing, private readonly ?int $views = null)
    {
        parent::__construct($widget);
    }

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
            'publishing' => $this->publishing,
            'views' => $this->views,
            'trial' => Trials::running($this->resource) !== null,
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
