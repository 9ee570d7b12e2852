<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\BriefBody;
use App\Http\Requests\ChangeWidget;
use App\Http\Requests\MakeWidget;
use App\Http\Requests\PinEntry;
use App\Http\Requests\RemoveWidget;
use App\Http\Resources\WidgetResource;
use App\Models\Site;
use App\Models\Widget;
use App\Outbox\Outbox;
use App\Placing\Forms;
use App\Placing\SiteScript;
use App\Placing\WidgetKeys;
use Gnomic\Brief\Brief;
use Gnomic\Json\Value;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

/** The site's widgets: their names, their briefs on the bench, and their publishing, which goes on in the background. */
final class WidgetController
{
    public function index(Site $site): JsonResponse
    {
        return new JsonResponse(['widgets' => WidgetResource::each($site)]);
    }

    public function show(Site $site, string $key): WidgetResource
    {
        return WidgetResource::named($site, $key);
    }

    /** A new widget starts with the usual: the ten newest entries, in a carousel, three across. */
    public function store(MakeWidget $request, Site $site, WidgetKeys $keys): JsonResponse
    {
        $given = $request->given();
        $brief = isset($given['brief']) ? BriefBody::of($request) : Brief::usual();
        $widget = $site->widgets()->create([
            'key' => $keys->new(),
            'name' => $given['name'],
            'brief' => $brief->toArray(),
        ]);

        return $this->show($site, $widget->key)->response()->setStatusCode(JsonResponse::HTTP_CREATED);
    }

    public function update(ChangeWidget $request, Site $site, Outbox $outbox, string $key): WidgetResource
    {
        $given = $request->given();
        $widget = $this->found($site, $key);
        if (isset($given['brief'])) {
            $given['brief'] = BriefBody::of($request)->toArray();
        }
        DB::transaction(function () use ($widget, $given, $outbox): void {
            $widget->fill($given);
            $isRenamed = $widget->isDirty('name');
            $widget->save();
            if ($isRenamed && $widget->edition_id !== null) {
                $outbox->widget($widget, null, 'It was renamed');
            }
        });

        return $this->show($site, $key);
    }

    /**
     * Takes it off the list. Where its code still stands it shows nothing from now on; by stays=1 it stays there, and shows no more
     * what is hidden or gone later. By removed=0 it is brought back.
     */
    public function destroy(
        RemoveWidget $request,
        Site $site,
        Outbox $outbox,
        Forms $forms,
        SiteScript $script,
        string $key,
    ): JsonResponse {
        $given = $request->given();
        $removed = (bool) ($given['removed'] ?? true);
        $query = $site->allWidgets();
        $query->whereNull('variant_of')->where('key', $key);
        $widget = $query->firstOrFail();
        DB::transaction(function () use ($widget, $removed, $given, $outbox, $forms): void {
            $widget->update(['removed_at' => $removed ? now() : null, 'stays' => $removed && (bool) ($given['stays'] ?? false)]);
            if ($widget->edition_id !== null) {
                $outbox->widget($widget, null, $removed ? 'It was removed' : 'It was restored');
            }
            $forms->turnWith($widget, $removed, (bool) ($given['stays'] ?? false));
        });
        $script->write($site);

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    /** What is on the bench goes out. The answer tells whether that is still under way. */
    public function publish(Site $site, Outbox $outbox, string $key): JsonResponse
    {
        $widget = $this->found($site, $key);
        $outbox->widget($widget, $widget->draft(), 'By hand');

        return $this->show($site, $key)->response()->setStatusCode(JsonResponse::HTTP_ACCEPTED);
    }

    /**
     * Pins an entry first, or takes the pin back. Where the bench has nothing that is not out, the pin goes out at once;
     * else it waits there with the other changes.
     */
    public function pin(PinEntry $request, Site $site, Outbox $outbox, string $key): JsonResponse
    {
        $given = $request->given();
        $widget = $this->found($site, $key);
        $draft = $widget->draft();
        $isOut = $widget->edition !== null && $widget->edition->toBrief()->toArray() === $draft->toArray();
        $others = array_values(array_filter($draft->criteria->pins, fn (string $pin): bool => $pin !== $given['id']));
        $pinned = $draft->with(criteria: $draft->criteria->with(
            '/sift/pins',
            (bool) $given['on'] ? [...$others, Value::text($given['id'])] : $others,
        ));
        DB::transaction(function () use ($widget, $pinned, $isOut, $outbox, $given): void {
            $widget->update(['brief' => $pinned->toArray()]);
            if ($isOut) {
                $outbox->widget($widget, $pinned, (bool) $given['on'] ? 'An entry was pinned' : 'A pin was removed');
            }
        });

        return new JsonResponse(['out' => $isOut]);
    }

    private function found(Site $site, string $key): Widget
    {
        return $site->widgets()->with(['edition', 'site'])->where('key', $key)->firstOrFail();
    }
}
