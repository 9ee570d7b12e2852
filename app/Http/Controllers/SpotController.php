<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ListSpots;
use App\Http\Requests\PutSpot;
use App\Http\Requests\RemoveSpot;
use App\Http\Requests\WithSpot;
use App\Http\Resources\SpotResource;
use App\Models\Site;
use App\Models\SpotRecord;
use App\Models\Widget;
use App\Placing\Pages\FindPages;
use App\Placing\Spots;
use Gnomic\Json\Value;
use Gnomic\Place\Spot\Places;
use Gnomic\Place\Spot\Spot;
use Gnomic\Text\Address;
use Illuminate\Http\JsonResponse;

/** Spots: which widget stands where, and what of its brief is other there. */
final class SpotController
{
    /** Paths among which is looked how many a pattern fits. */
    private const LOOKED_THROUGH = 50_000;

    public function index(ListSpots $request, Site $site): JsonResponse
    {
        $given = $request->given();
        $records = SpotRecord::ofQuery(fn ($query) => $query->where('site_id', $site->id)->whereNull('removed_at'));
        if (isset($given['widget'])) {
            $records = array_filter($records, fn (SpotRecord $record): bool => $record->widget->key === $given['widget']);
        }
        $records = array_values(array_filter($records, fn (SpotRecord $record): bool => $record->widget->removed_at === null));

        return new JsonResponse(['spots' => SpotResource::each($site, $records)]);
    }

    public function store(PutSpot $request, Site $site, Spots $spots, FindPages $find): JsonResponse
    {
        $given = $request->given();
        $spot = Spot::read($given['spot']);
        $record = $spots->put($site, $this->widget($site, Value::text($given['widget'])), $spot);
        $this->know($site, $spot, $find);

        return SpotResource::one($site, $record)->response()->setStatusCode(JsonResponse::HTTP_CREATED);
    }

    public function update(WithSpot $request, Site $site, Spots $spots, FindPages $find, string $key): SpotResource
    {
        $given = $request->given();
        $record = $this->found($site, $key);
        $spot = Spot::read($given['spot']);
        $spots->change($site, $record, $spot);
        $this->know($site, $spot, $find);

        return SpotResource::one($site, $record->refresh());
    }

    /** Takes it away; by removed=0 it is brought back. */
    public function destroy(RemoveSpot $request, Site $site, Spots $spots, string $key): JsonResponse
    {
        $given = $request->given();
        $spots->turn($site, $this->found($site, $key), (bool) ($given['removed'] ?? true));

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    /** What a spot would be, before it is: how it reads, and how many pages it is on. */
    public function tried(WithSpot $request, Site $site): JsonResponse
    {
        $given = $request->given();
        $spot = Spot::read($given['spot']);
        $on = [];
        $query = $site->pages();
        $query->orderBy('path')->limit(self::LOOKED_THROUGH);
        foreach ($query->pluck('path') as $path) {
            $path = Value::text(preg_replace('/\?.*$/', '', Value::text($path)));
            if ($spot->isOn($path)) {
                $on[$path] = true;
            }
        }

        return new JsonResponse([
            'phrase' => Places::phrase($spot),
            'pages' => count($on),
            'some' => array_map(strval(...), array_slice(array_keys($on), 0, 8)),
            'overrides' => $spot->overrides->phrases(Value::named($site->subjects()->pluck('name', 'key')->all())),
        ]);
    }

    /** Pages that a spot names are pages of the site. */
    private function know(Site $site, Spot $spot, FindPages $find): void
    {
        foreach ($spot->pages as $pattern) {
            if ($pattern->isOnePage() && is_string($pattern->compiled())) {
                $find->add($site, Address::resolved($pattern->compiled(), $site->front()));
            }
        }
    }

    private function widget(Site $site, string $key): Widget
    {
        return $site->widgets()->with(['edition', 'site'])->where('key', $key)->firstOrFail();
    }

    private function found(Site $site, string $key): SpotRecord
    {
        $query = SpotRecord::query();

        return $query->where('site_id', $site->id)->where('key', $key)->firstOrFail();
    }
}
