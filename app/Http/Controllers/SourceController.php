<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ChangeSourceSettings;
use App\Http\Requests\ConnectSource;
use App\Http\Requests\GiveSign;
use App\Http\Resources\SourceResource;
use App\Models\Site;
use App\Models\Source;
use App\Sources\ChangeSource;
use App\Sources\Channels\Channels;
use App\Sources\Connect;
use App\Sources\Removal;
use App\Sources\Rounds\RoundJob;
use App\Sources\Signs;
use Gnomic\Entry\Kind;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The site's connections. */
final class SourceController
{
    public function index(Site $site): JsonResponse
    {
        return new JsonResponse(['sources' => SourceResource::collection($this->counted($site)->orderBy('id')->get())]);
    }

    public function show(Site $site, string $key): SourceResource
    {
        return SourceResource::make($this->counted($site)->where('key', $key)->firstOrFail());
    }

    /** Connecting the same thing again gives the source that is there, connected. */
    public function store(ConnectSource $request, Site $site, Connect $connect): JsonResponse
    {
        $source = $connect->source($site, $request->wanted());

        return $this->show($site, $source->key)->response()->setStatusCode(
            $source->wasRecentlyCreated
                ? JsonResponse::HTTP_CREATED
                : JsonResponse::HTTP_OK,
        );
    }

    public function update(ChangeSourceSettings $request, Site $site, string $key, ChangeSource $change): SourceResource
    {
        $given = $request->given();
        $change->source($site->sources()->where('key', $key)->firstOrFail(), $given);

        return $this->show($site, $key);
    }

    /** The owner's own sign for the service that it is at. */
    public function sign(GiveSign $request, Site $site, Signs $signs, string $key): SourceResource
    {
        $source = $site->sources()->where('key', $key)->firstOrFail();
        $signs->give($source, (string) GiveSign::bytes($request->given(), 'picture'));

        return $this->show($site, $key);
    }

    /** Takes it off the list with all it brought; for a day it can be brought back whole, by removed=0. */
    public function destroy(Request $request, Site $site, Removal $removal, string $key): JsonResponse
    {
        $source = $site->sources()->where('key', $key)->firstOrFail();

        return new JsonResponse(
            ['entries' => $request->boolean('removed', true) ? $removal->remove($source) : $removal->bringBack($source)],
        );
    }

    /** A round now, in the background. */
    public function round(Site $site, Channels $channels, string $key): JsonResponse
    {
        $source = $site->sources()->where('key', $key)->whereNull('disconnected_at')->firstOrFail();
        if ($channels->of($source->channel)->isAsked()) {
            RoundJob::dispatch($source->id, true);
        }

        return $this->show($site, $key)->response()->setStatusCode(JsonResponse::HTTP_ACCEPTED);
    }

    /** @return Builder<Source> */
    private function counted(Site $site): Builder
    {
        $query = Source::query()->with(['subject', 'grant', 'lastRound'])
            ->withCount(['entries as present_count' => fn (Builder $query) => $query->where('gone', false)])
            ->withMax('entries as newest_published', 'published')
            // By the index of what is asked of entries: the first of them tells.
            ->withExists(['entries as is_rated' => fn (Builder $query) => $query->where('entries.site_id', $site->id)
                ->whereColumn('entries.source', 'sources.key')->whereIn('kind', [Kind::Review, Kind::Testimonial])]);
        $query->where('site_id', $site->id)->whereNull('removed_at');

        return $query;
    }
}
