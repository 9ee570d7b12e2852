<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Bench\LookPictures;
use App\Editions\Catalogues;
use App\Editions\SiteLooks;
use App\Http\Requests\BriefBody;
use App\Models\SavedLook;
use App\Models\Site;
use App\Models\Widget;
use App\Outbox\Outbox;
use Gnomic\Brief\Brief;
use Gnomic\Dress\Colour\Colour;
use Gnomic\Dress\DesignTokens;
use Gnomic\Dress\Look;
use Gnomic\Dress\Moves;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use InvalidArgumentException;
use Symfony\Component\HttpKernel\Exception\ConflictHttpException;
use Symfony\Component\HttpKernel\Exception\UnprocessableEntityHttpException;

/** Looks: pictures of them, moves on them, and those that a site keeps for its widgets. */
final class DressController
{
    /** Looks that a site keeps. */
    private const MOST = 60;

    /** The widget on the bench in every look. */
    public function pictures(Request $request, Site $site, LookPictures $pictures): JsonResponse
    {
        $request->validate(['brief' => ['required', 'array']]);

        return new JsonResponse(['looks' => $pictures->of($site, BriefBody::of($request))]);
    }

    /** A brief after a move: calmer, stronger, closer, airier, sharper, rounder, or one accent colour. */
    public function move(Request $request, Site $site, SiteLooks $looks): JsonResponse
    {
        $given = $request->validate([
            'brief' => ['required', 'array'],
            'move' => ['required', 'string', 'in:accent,'.implode(',', array_column(Moves::cases(), 'value'))],
            'accent' => ['required_if:move,accent', 'string', 'regex:/^#[0-9a-fA-F]{6}$/'],
        ]);
        $brief = BriefBody::of($request);
        $look = $brief->dress->on($looks->of($site)->named($brief->dress->look));
        $moved = $given['move'] === 'accent'
            ? Moves::accented($look, Colour::hex((string) $given['accent']))
            : Moves::from((string) $given['move'])->on($look);

        return new JsonResponse(['brief' => $this->dressed($brief, $look, $moved)->toArray()]);
    }

    public function index(Site $site): JsonResponse
    {
        return new JsonResponse(['looks' => $this->saved($site)]);
    }

    /** Keeps what is on the bench as a look of the site, and dresses the bench's brief in it. */
    public function store(Request $request, Site $site, SiteLooks $looks): JsonResponse
    {
        $given = $request->validate(['name' => ['required', 'string', 'min:1', 'max:60'], 'brief' => ['required', 'array']]);
        $brief = BriefBody::of($request);
        $own = $brief->dress->on($looks->of($site)->named($brief->dress->look));
        $key = $this->keep(
            $site,
            Look::of('new', (string) $given['name'], 'Kept from the bench', $own->scheme, $own->light, $own->dark, $own->tokens),
        );

        return new JsonResponse(['key' => $key, 'brief' => $this->wearing($brief, $key)->toArray()], JsonResponse::HTTP_CREATED);
    }

    /** Changes a kept look to what is on the bench, or its name; every widget that wears it is rendered again. */
    public function update(Request $request, Site $site, SiteLooks $looks, Outbox $outbox, string $key): JsonResponse
    {
        $given = $request->validate(['name' => ['sometimes', 'string', 'min:1', 'max:60'], 'brief' => ['sometimes', 'array']]);
        $saved = $site->looks()->where('key', $key)->firstOrFail();
        $look = $saved->toCore();
        $brief = null;
        if (isset($given['brief'])) {
            $brief = BriefBody::of($request);
            $look = $brief->dress->on($looks->of($site)->named($brief->dress->look));
        }
        $name = (string) ($given['name'] ?? $saved->name);
        $look = Look::of($key, $name, 'Kept from the bench', $look->scheme, $look->light, $look->dark, $look->tokens);
        DB::transaction(function () use ($saved, $look, $site, $outbox, $key): void {
            $saved->update(['name' => $look->name, 'look' => $look->toArray()]);
            foreach ($this->wearers($site)[$key] ?? [] as $widget) {
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
        $names = array_map(fn (Widget $widget): string => $widget->name, $this->wearers($site)[$key] ?? []);
        if ($names !== []) {
            throw new ConflictHttpException(
                'Widgets wear this look: '.implode(', ', array_slice($names, 0, 5)).'. Give them another first.',
            );
        }
        $saved->delete();

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    /** A look as design tokens, for other programs. */
    public function export(Site $site, SiteLooks $looks, string $key): JsonResponse
    {
        abort_unless($looks->of($site)->has($key), 404, 'There is no such look.');

        return new JsonResponse(
            DesignTokens::written($looks->of($site)->named($key)),
            headers: [
                'Content-Type' => 'application/design-tokens+json',
                'Content-Disposition' => "attachment; filename=\"$key.tokens.json\"",
            ],
            options: JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
        );
    }

    /** Keeps a look that another program wrote. */
    public function import(Request $request, Site $site): JsonResponse
    {
        $request->validate(['tokens' => ['required', 'array'], 'name' => ['sometimes', 'nullable', 'string', 'max:60']]);
        $body = json_decode((string) $request->getContent());
        try {
            [$look, $ignored] = DesignTokens::read('new', is_object($body) && isset($body->tokens) ? $body->tokens : null);
        } catch (InvalidArgumentException $wrong) {
            throw new UnprocessableEntityHttpException($wrong->getMessage(), $wrong);
        }
        $name = trim((string) $request->input('name')) ?: $look->name;
        $key = $this->keep($site, Look::of('new', $name, $look->about, $look->scheme, $look->light, $look->dark, $look->tokens));

        return new JsonResponse(['key' => $key, 'ignored' => array_slice($ignored, 0, 50)], JsonResponse::HTTP_CREATED);
    }

    /** The words that visitors read, and those that a site has instead. */
    public function words(Site $site, Catalogues $catalogues): JsonResponse
    {
        return new JsonResponse([
            'usual' => (object) $catalogues->of($site->spoken()[0])->messages(),
            'own' => $site->words ?? [],
        ]);
    }

    public function saveWords(Request $request, Site $site, Catalogues $catalogues, Outbox $outbox): JsonResponse
    {
        $given = $request->validate([
            'own' => ['present', 'array', 'max:200'],
            'own.*.key' => ['required', 'string', 'max:60'],
            'own.*.language' => ['present', 'nullable', 'string', 'max:3'],
            'own.*.says' => ['required', 'string', 'max:400'],
        ]);
        $own = [];
        foreach ($given['own'] as $one) {
            $wrong = $catalogues->of(
                (string) ($one['language'] ?? $site->spoken()[0]),
            )->wrong((string) $one['key'], (string) $one['says']);
            if ($wrong !== null) {
                throw new UnprocessableEntityHttpException($wrong);
            }
            $own[] = ['key' => (string) $one['key'], 'language' => $one['language'] ?? null, 'says' => (string) $one['says']];
        }
        DB::transaction(function () use ($site, $own, $outbox): void {
            $site->update(['words' => $own]);
            $outbox->site($site, 'The words for visitors were changed');
        });

        return $this->words($site->refresh(), $catalogues);
    }

    private function keep(Site $site, Look $look): string
    {
        if ($site->looks()->count() >= self::MOST) {
            throw new UnprocessableEntityHttpException('A site keeps at most '.self::MOST.' looks. Remove one that no widget wears.');
        }
        $base = 'own-'.(mb_substr(Str::slug($look->name), 0, 30) ?: 'look');
        $key = $base;
        for ($number = 2; $site->looks()->where('key', $key)->exists(); $number++) {
            $key = "$base-$number";
        }
        $site->looks()->create(['key' => $key, 'name' => $look->name, 'look' => $look->toArray()]);

        return $key;
    }

    /** @return array<string, list<Widget>> that wear each look, on the bench or on pages */
    private function wearers(Site $site): array
    {
        $wearers = [];
        foreach ($site->widgets()->with('edition')->get() as $widget) {
            $worn = [$widget->draft()->dress->look, $widget->edition?->toBrief()->dress->look];
            foreach (array_unique(array_filter($worn, is_string(...))) as $look) {
                $wearers[$look][] = $widget;
            }
        }

        return $wearers;
    }

    /** @return list<array<string, mixed>> */
    private function saved(Site $site): array
    {
        $looks = $site->looks()->get()->sortBy('name');
        $wearers = $this->wearers($site);

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

    /** With what a move has changed. */
    private function dressed(Brief $brief, Look $before, Look $after): Brief
    {
        $of = $brief->dress->toArray();
        $changed = function (string $part, array $was, array $is) use ($of): array {
            $own = is_array($of[$part]) ? $of[$part] : [];

            return array_filter($is, fn (mixed $value, string $name): bool => $value !== $was[$name], ARRAY_FILTER_USE_BOTH) + $own;
        };

        return $brief->with(dress: $brief->dress->with([
            'light' => $changed('light', $before->light->colours, $after->light->colours),
            'dark' => $changed('dark', $before->dark->colours, $after->dark->colours),
            'tokens' => $changed('tokens', $before->tokens->toArray(), $after->tokens->toArray()),
        ]));
    }
}
