<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\LookUpPlace;
use App\Models\Site;
use App\Pictures\Thumbnail;
use App\Sources\Channels\Channels;
use App\Sources\Channels\Wayleaf\Place;
use App\Sources\Channels\Wayleaf\WayleafChannel;
use Gnomic\Json\Value;
use Illuminate\Http\JsonResponse;

/** Places of a directory that have a name, or the one that an address names. */
final class PlaceController
{
    private const MOST_PICTURES = 8;

    public function __invoke(
        LookUpPlace $request,
        Site $site,
        WayleafChannel $wayleaf,
        Channels $channels,
        Thumbnail $thumbnail,
    ): JsonResponse {
        $given = $request->given();
        $query = Value::text($given['query']);
        $connected = $site->sources()->where('channel', 'wayleaf')->whereNull('disconnected_at')->pluck('address')->all();
        // An address that people copy from their browser names its place; one of another channel is told as such.
        $other = $channels->recognised($query);
        if ($other !== null && $other['channel'] !== 'wayleaf') {
            return new JsonResponse(['places' => [], 'other' => $other + ['channelName' => $channels->of($other['channel'])->name()]]);
        }
        $identifier = $other['address'] ?? (preg_match('/^wl-[\w-]+$/', trim($query)) === 1 ? trim($query) : null);
        $places = $identifier === null ? $wayleaf->places($site, $query) : [$wayleaf->place($site, $identifier)];

        return new JsonResponse([
            'other' => null,
            'places' => array_map(
                fn (Place $place, int $index): array => [
                    'picture' => $place->picture === null || $index >= self::MOST_PICTURES
                        ? null
                        : $thumbnail->of($place->picture),
                ] + get_object_vars($place) + ['connected' => in_array($place->id, $connected, true)],
                $places,
                array_keys($places),
            ),
        ]);
    }
}
