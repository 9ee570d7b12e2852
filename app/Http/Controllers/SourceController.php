<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ConnectSource;
use App\Http\Resources\SourceResource;
use App\Models\Site;
use App\Models\Source;
use App\Rounds\RoundJob;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;

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
    public function store(ConnectSource $request, Site $site): JsonResponse
    {
        $source = $site->sources()->where('channel', $request->channel())->where('address', $request->address())->first()
            ?? $site->sources()->create([
                'key' => $this->freeKey($site, $request->name()),
                'name' => $request->name(),
                'channel' => $request->channel(),
                'address' => $request->address(),
                'home' => $request->home(),
                'cadence' => config('gnomic.cadence'),
                'next_at' => now(),
            ]);
        $isNew = $source->wasRecentlyCreated;
        $source->update(['disconnected_at' => null]);
        RoundJob::dispatch($source->id);

        return $this->show($site, $source->key)->response()->setStatusCode($isNew ? JsonResponse::HTTP_CREATED : JsonResponse::HTTP_OK);
    }

    public function update(Request $request, Site $site, string $key): SourceResource
    {
        $given = $request->validate([
            'name' => ['sometimes', 'string', 'min:1', 'max:100'],
            'cadence' => ['sometimes', 'integer', 'min:60', 'max:2592000'],
            'connected' => ['sometimes', 'boolean'],
        ]);
        $source = $site->sources()->where('key', $key)->firstOrFail();
        $source->fill(array_intersect_key($given, ['name' => 1, 'cadence' => 1]));
        if (isset($given['cadence'])) {
            $last = $source->lastRound()->first()->finished_at ?? now();
            $source->setAttribute('next_at', $last->copy()->addSeconds((int) $given['cadence']));
        }
        if (isset($given['connected'])) {
            $source->fill(['disconnected_at' => (bool) $given['connected'] ? null : now(), 'next_at' => now()]);
        }
        $source->save();

        return $this->show($site, $key);
    }

    /** A round now, in the background. */
    public function round(Site $site, string $key): JsonResponse
    {
        $source = $site->sources()->where('key', $key)->whereNull('disconnected_at')->firstOrFail();
        RoundJob::dispatch($source->id);

        return $this->show($site, $key)->response()->setStatusCode(JsonResponse::HTTP_ACCEPTED);
    }

    /** @return Builder<Source> */
    private function counted(Site $site): Builder
    {
        return Source::query()->where('site_id', $site->id)
            ->withCount(['entries as present_count' => fn ($query) => $query->where('gone', false)])
            ->withMax('entries as newest_published', 'published');
    }

    private function freeKey(Site $site, string $name): string
    {
        $base = Str::limit(Str::slug($name), 40, '') ?: 'source';
        $key = $base;
        for ($number = 2; $site->sources()->where('key', $key)->exists(); $number++) {
            $key = "$base-$number";
        }

        return $key;
    }
}
