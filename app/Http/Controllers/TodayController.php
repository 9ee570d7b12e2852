<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\RoundResource;
use App\Models\Round;
use App\Models\Site;
use Illuminate\Http\JsonResponse;

/** What the last rounds did, and what wants attention. */
final class TodayController
{
    private const SHOWN = 40;

    public function __invoke(Site $site): JsonResponse
    {
        // Rounds that found nothing new say so in one line at the source; here they would hide the others.
        $rounds = Round::query()->with('source')->whereRelation('source', 'site_id', $site->id);
        $rounds->where('outcome', '!=', 'unchanged')->orderByDesc('id')->limit(self::SHOWN);

        return new JsonResponse([
            'rounds' => array_map(fn (Round $round): array => [
                'source' => ['key' => $round->source->key, 'name' => $round->source->name],
                'round' => RoundResource::make($round),
            ], $rounds->get()->all()),
            'held' => $site->entries()->where('held', true)->where('gone', false)->count(),
            'entries' => $site->entries()->where('gone', false)->count(),
            'sources' => $site->sources()->whereNull('disconnected_at')->count(),
            'widgets' => $site->widgets()->count(),
            'out' => $site->widgets()->whereNotNull('edition_id')->count(),
        ]);
    }
}
