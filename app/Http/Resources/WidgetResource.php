<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Bench\SentenceContexts;
use App\Models\Site;
use App\Models\Widget;
use App\Outbox\Outbox;
use App\Placing\Counting\Trials;
use App\Placing\Counting\WidgetCounts;
use Gnomic\Brief\Sentence;
use Gnomic\Brief\SentenceContext;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/** @mixin Widget */
final class WidgetResource extends JsonResource
{
    public static $wrap = null;

    /**
     * @param  bool  $publishing  whether what was published is not out yet; asked before the widget was read: none is missed between
     * @param  bool  $tried  whether two versions of it are tried
     * @param  int|null  $views  of the last 30 days; null where that is not told
     */
    private function __construct(
        Widget $widget,
        private readonly SentenceContext $context,
        private readonly bool $publishing,
        private readonly bool $tried,
        private readonly ?int $views,
    ) {
        parent::__construct($widget);
    }

    /** @return list<self> all widgets of a site, in the order in which they were made */
    public static function each(Site $site): array
    {
        $waiting = app(Outbox::class)->published($site->id);
        $sentences = app(SentenceContexts::class)->each($site);
        $views = WidgetCounts::views($site->id);
        $tried = Trials::runningAt($site->id);
        $query = $site->widgets();
        $query->with('edition')->orderBy('id');

        return array_values($query->get()->map(fn (Widget $widget): self => new self(
            $widget,
            $sentences->of($widget->draft()),
            in_array($widget->id, $waiting, true),
            isset($tried[$widget->id]),
            $views[$widget->id] ?? 0,
        ))->all());
    }

    public static function named(Site $site, string $key): self
    {
        $waiting = app(Outbox::class)->published($site->id);
        $widget = $site->widgets()->with(['edition', 'site'])->where('key', $key)->firstOrFail();

        return new self(
            $widget,
            app(SentenceContexts::class)->each($site)->of($widget->draft()),
            in_array($widget->id, $waiting, true),
            isset(Trials::runningAt($site->id)[$widget->id]),
            null,
        );
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
            'sentence' => Sentence::short($brief, $this->context),
            'publishing' => $this->publishing,
            'views' => $this->views,
            'trial' => $this->tried,
            'edition' => $edition === null ? null : [
                'number' => $edition->number,
                'hash' => $edition->hash,
                'shown' => $edition->shown,
                'cause' => $edition->cause,
                'createdAt' => $edition->created_at->toRfc3339String(),
                'brief' => $edition->toBrief()->toArray(),
            ],
            'host' => rtrim(config()->string('app.url'), '/'),
        ];
    }
}
