<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\RoundResource;
use App\Models\Finding;
use App\Models\Round;
use App\Models\RoundOutcome;
use App\Models\Site;
use App\Placing\Counting\BeaconFiles;
use Illuminate\Http\JsonResponse;

/** What the last rounds did, and what wants attention. */
final class TodayController
{
    private const SHOWN = 40;

    private const MISSING = 20;

    public function __invoke(Site $site): JsonResponse
    {
        // Rounds that found nothing new say so in one line at the source; here they would hide the others.
        $rounds = Round::query()->with('source')->whereRelation('source', 'site_id', $site->id);
        $rounds->where('outcome', '!=', RoundOutcome::Unchanged)->orderByDesc('id')->limit(self::SHOWN);

        return new JsonResponse([
            'rounds' => array_map(fn (Round $round): array => [
                'source' => ['key' => $round->source->key, 'name' => $round->source->name],
                'round' => RoundResource::make($round),
            ], $rounds->get()->all()),
            'missing' => self::missing($site),
            'fullLog' => (new BeaconFiles(config()->string('gnomic.beacons')))->isFull(),
            'held' => $site->entries()->where('held', true)->where('gone', false)->count(),
            'entries' => $site->entries()->where('gone', false)->count(),
            'sources' => $site->sources()->whereNull('disconnected_at')->count(),
            'widgets' => $site->widgets()->count(),
            'out' => $site->widgets()->whereNotNull('edition_id')->count(),
        ]);
    }

    /** @return list<array<string, mixed>> widgets that are not where they should be, those first that went missing last */
    private static function missing(Site $site): array
    {
        $query = Finding::query();
        $query->where('site_id', $site->id)->whereNotNull('missing_since')->orderByDesc('missing_since')->limit(self::MISSING);
        $missing = [];
        foreach ($query->with(['page', 'widget'])->get() as $finding) {
            if ($finding->widget->removed_at === null) {
                $missing[] = [
                    'widget' => ['key' => $finding->widget->key, 'name' => $finding->widget->name],
                    'page' => ['id' => $finding->page->id, 'path' => $finding->page->path],
                    'since' => $finding->missing_since?->toRfc3339String(),
                    'wasThere' => $finding->last_there_at !== null,
                    'told' => $finding->told[0] ?? null,
                ];
            }
        }

        return $missing;
    }
}
