<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Channels\Feed\FeedChannel;
use App\Channels\Wayleaf\Place;
use App\Channels\Wayleaf\WayleafChannel;
use App\Models\Site;
use Gnomic\Entry\EntryJson;
use Gnomic\Gather\Feed\FeedLink;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Looks before connecting: what is at an address, which places have a name. */
final class LookController
{
    public function address(Request $request, FeedChannel $feeds): JsonResponse
    {
        $given = $request->validate(['address' => ['required', 'string', 'max:2000']]);
        $address = trim((string) $given['address']);
        $found = $feeds->look(preg_match('~^[a-z][a-z0-9+.-]*://~i', $address) === 1 ? $address : "https://$address");
        if (array_is_list($found)) {
            return new JsonResponse(['feed' => null, 'links' => array_map(fn (FeedLink $link): array => get_object_vars($link), $found)]);
        }
        $reading = $found['reading'];

        return new JsonResponse(['feed' => [
            'address' => $found['address'],
            'title' => $reading->title,
            'home' => $reading->home,
            'format' => $reading->format,
            'count' => count($reading->entries),
            'problems' => array_map(strval(...), $reading->problems),
            'first' => array_map(EntryJson::write(...), array_slice($reading->entries, 0, 3)),
        ], 'links' => []]);
    }

    public function places(Request $request, Site $site, WayleafChannel $wayleaf): JsonResponse
    {
        $given = $request->validate(['query' => ['required', 'string', 'max:200']]);
        $connected = $site->sources()->where('channel', 'wayleaf')->whereNull('disconnected_at')->pluck('address')->all();
        $places = $wayleaf->places($site, (string) $given['query']);

        return new JsonResponse(['places' => array_map(fn (Place $place): array => get_object_vars($place) + ['connected' => in_array($place->id, $connected, true)], $places)]);
    }

    public function key(Request $request, Site $site): JsonResponse
    {
        $given = $request->validate(['secret' => ['required', 'string', 'max:500']]);
        $site->credentials()->updateOrCreate(['channel' => 'wayleaf'], ['secret' => trim((string) $given['secret'])]);

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }
}
