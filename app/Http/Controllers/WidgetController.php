<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editions\Publish;
use App\Editions\Refresh;
use App\Http\Resources\WidgetResource;
use App\Models\Site;
use App\Models\Widget;
use Gnomic\Brief\BriefReader;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Random\Randomizer;

/** The site's widgets: their names, their briefs on the bench, and their publishing. */
final class WidgetController
{
    /** Of keys: none that is taken for another. */
    private const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';

    public function index(Site $site): JsonResponse
    {
        return new JsonResponse(['widgets' => WidgetResource::collection($site->widgets()->with(['edition', 'site'])->orderBy('id')->get())]);
    }

    public function show(Site $site, string $key): WidgetResource
    {
        return WidgetResource::make($this->found($site, $key));
    }

    /** A new widget starts with the usual: the ten newest reviews, in a carousel, three across. */
    public function store(Request $request, Site $site, Randomizer $chance): JsonResponse
    {
        $given = $request->validate(['name' => ['required', 'string', 'max:100'], 'brief' => ['sometimes', 'array']]);
        $brief = BriefReader::read($given['brief'] ?? ['version' => 1]);
        $widget = $site->widgets()->create([
            // Ten of these are enough that no two widgets ever share a key, and that none can be guessed.
            'key' => implode('', array_map(fn (): string => self::LETTERS[$chance->getInt(0, strlen(self::LETTERS) - 1)], range(1, 10))),
            'name' => $given['name'],
            'brief' => $brief->toArray(),
        ]);

        return WidgetResource::make($widget->refresh())->response()->setStatusCode(JsonResponse::HTTP_CREATED);
    }

    public function update(Request $request, Site $site, string $key): WidgetResource
    {
        $given = $request->validate(['name' => ['sometimes', 'string', 'min:1', 'max:100'], 'brief' => ['sometimes', 'array']]);
        $widget = $this->found($site, $key);
        if (isset($given['brief'])) {
            $given['brief'] = BriefReader::read($given['brief'])->toArray();
        }
        $widget->update($given);

        return WidgetResource::make($widget);
    }

    /** Removing takes it out of the list; its last edition stays where it is, so that no page goes blank. */
    public function destroy(Site $site, string $key): JsonResponse
    {
        $this->found($site, $key)->delete();

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    public function publish(Site $site, string $key, Publish $publish, Refresh $refresh): JsonResponse
    {
        $widget = $this->found($site, $key);
        $isNew = $publish->draft($widget, 'By hand') !== null;
        if ($isNew) {
            $refresh->apartFrom($widget);
        }

        return WidgetResource::make($widget->refresh())->response()->setStatusCode($isNew ? JsonResponse::HTTP_CREATED : JsonResponse::HTTP_OK);
    }

    /**
     * Pins an entry first, or takes the pin back. Where the bench has nothing that is not out, the pin goes out at once;
     * else it waits there with the other changes.
     */
    public function pin(Request $request, Site $site, string $key, Publish $publish, Refresh $refresh): JsonResponse
    {
        $given = $request->validate(['id' => ['required', 'string', 'max:600'], 'on' => ['required', 'boolean']]);
        $widget = $this->found($site, $key);
        $json = $widget->draft()->toArray();
        $isOut = $widget->edition !== null && $widget->edition->toBrief()->toArray() === $json;
        $others = array_values(array_filter($widget->draft()->pins, fn (string $pin): bool => $pin !== $given['id']));
        $json['sift'] = ['pins' => (bool) $given['on'] ? [...$others, (string) $given['id']] : $others] + (is_array($json['sift']) ? $json['sift'] : []);
        $widget->update(['brief' => BriefReader::read($json)->toArray()]);
        if ($isOut && $publish->draft($widget, (bool) $given['on'] ? 'An entry was pinned' : 'A pin was taken back') !== null) {
            $refresh->apartFrom($widget);
        }

        return new JsonResponse(['out' => $isOut]);
    }

    private function found(Site $site, string $key): Widget
    {
        return $site->widgets()->with(['edition', 'site'])->where('key', $key)->firstOrFail();
    }
}
