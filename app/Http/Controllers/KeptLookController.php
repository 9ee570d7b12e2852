<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Editions\KeptLooks;
use App\Editions\SiteLooks;
use App\Http\Requests\BriefBody;
use App\Http\Requests\ChangeLook;
use App\Http\Requests\KeepLook;
use App\Models\SavedLook;
use App\Models\Site;
use App\Models\Widget;
use App\Outbox\Outbox;
use Gnomic\Brief\Brief;
use Gnomic\Dress\Look;
use Gnomic\Json\Value;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;

/** Looks that a site keeps for its widgets. */
final class KeptLookController
{
    public function __construct(private readonly KeptLooks $kept)
    {
    }

    public function index(Site $site): JsonResponse
    {
        return new JsonResponse(['looks' => $this->saved($site)]);
    }

    /** Keeps what is on the bench as a look of the site, and dresses the bench's brief in it. */
    public function store(KeepLook $request, Site $site, SiteLooks $looks): JsonResponse
    {
        $given = $request->given();
        $brief = BriefBody::of($request);
        $own = $brief->dress->on($looks->of($site)->named($brief->dress->look));
        $key = $this->kept->keep(
            $site,
            Look::of('new', Value::text($given['name']), 'Kept from the bench', $own->scheme, $own->light, $own->dark, $own->tokens),
        );

        return new JsonResponse(['key' => $key, 'brief' => $this->wearing($brief, $key)->toArray()], JsonResponse::HTTP_CREATED);
    }

    /** Changes a kept look to what is on the bench, or its name; every widget that wears it is rendered again. */
    public function update(ChangeLook $request, Site $site, SiteLooks $looks, Outbox $outbox, string $key): JsonResponse
    {
        $given = $request->given();
        $saved = $site->looks()->where('key', $key)->firstOrFail();
        $look = $saved->toCore();
        $brief = null;
        if (isset($given['brief'])) {
            $brief = BriefBody::of($request);
            $look = $brief->dress->on($looks->of($site)->named($brief->dress->look));
        }
        $name = Value::text($given['name'] ?? $saved->name);
        $look = Look::of($key, $name, 'Kept from the bench', $look->scheme, $look->light, $look->dark, $look->tokens);
        DB::transaction(function () use ($saved, $look, $site, $outbox, $key): void {
            $saved->update(['name' => $look->name, 'look' => $look->toArray()]);
            foreach ($this->kept->wearers($site)[$key] ?? [] as $widget) {
                if ($widget->edition_id !== null) {
                    $outbox->widget($widget, null, "The look \"$look->name\" was changed");
                }
            }
        });

        return new JsonResponse(['key' => $key, 'brief' => $brief === null ? null : $this->wearing($brief, $key)->toArray()]);
    }

    /** Only where no widget wears it: a widget is never undressed by the way. */
    public function destroy(Site $site, string $key): JsonResponse
    {
        $saved = $site->looks()->where('key', $key)->firstOrFail();
        $names = array_map(fn (Widget $widget): string => $widget->name, $this->kept->wearers($site)[$key] ?? []);
        if ($names !== []) {
            throw new ConflictHttpException(
                'Widgets use this look: '.implode(', ', array_slice($names, 0, 5)).'. Give them another first.',
            );
        }
        $saved->delete();

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    /** @return list<array<string, mixed>> */
    private function saved(Site $site): array
    {
        $looks = $site->looks()->get()->sortBy('name');
        $wearers = $this->kept->wearers($site);

        return array_values(array_map(fn (SavedLook $look): array => [
            'key' => $look->key,
            'name' => $look->name,
            'widgets' => array_map(
                fn (Widget $widget): array => ['key' => $widget->key, 'name' => $widget->name],
                $wearers[$look->key] ?? [],
            ),
        ], $looks->all()));
    }

    /** In a look, with nothing of its own but rules and words. */
    private function wearing(Brief $brief, string $key): Brief
    {
        return $brief->with(dress: $brief->dress->with(['name' => $key, 'scheme' => null, 'light' => [], 'dark' => [], 'tokens' => []]));
    }
}
