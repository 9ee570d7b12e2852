<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Host\HostLocks;
use App\Models\Site;
use App\Pictures\Thumbnail;
use App\Sources\Channels\AtAddress;
use App\Sources\Channels\Channels;
use App\Sources\Channels\Corkwall\CorkwallChannel;
use App\Sources\Channels\Wayleaf\Place;
use App\Sources\Channels\Wayleaf\WayleafChannel;
use App\Sources\Discovery\ReadWebsite;
use Gnomic\Entry\EntryJson;
use Gnomic\Gather\Feed\FeedLink;
use Gnomic\Gather\Page\Described;
use Gnomic\Gather\Page\PageReading;
use Gnomic\Gather\Reading;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/** Looks before connecting: what is at an address, which places have a name, which boards a token opens, what a site tells. */
final class LookController
{
    private const MOST_PICTURES = 8;

    /** Addresses that are looked at at a time. */
    private const AT_ONCE = 2;

    /** Seconds after which somebody may try again. */
    private const AGAIN = 5;

    public function address(Request $request, AtAddress $at, Channels $channels, HostLocks $locks): JsonResponse
    {
        $given = $request->validate(['address' => ['required', 'string', 'max:2000']]);
        // Somebody's slow address must not take all of those who answer.
        $place = $locks->oneOf('look', self::AT_ONCE);
        if ($place === null) {
            throw new TooManyRequestsHttpException(self::AGAIN, 'Gnomic is busy checking other addresses. Try again in a moment.');
        }
        $found = $at->look(self::whole((string) $given['address']));

        return new JsonResponse([
            'other' => $found['other'] === null
                ? null
                : $found['other'] + ['channelName' => $channels->of($found['other']['channel'])->name()],
            'feed' => $found['feed'] === null ? null : $this->feed($found['address'], $found['feed']),
            'page' => $found['page'] === null ? null : $this->page($found['address'], $found['page']),
            'links' => array_map(fn (FeedLink $link): array => get_object_vars($link), $found['links']),
        ]);
    }

    public function places(Request $request, Site $site, WayleafChannel $wayleaf, Channels $channels, Thumbnail $thumbnail): JsonResponse
    {
        $given = $request->validate(['query' => ['required', 'string', 'max:2000']]);
        $query = (string) $given['query'];
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

    public function key(Request $request, Site $site, string $channel): JsonResponse
    {
        $given = $request->validate(['secret' => ['required', 'string', 'max:500']]);
        $site->credentials()->updateOrCreate(['channel' => $channel], ['secret' => trim((string) $given['secret'])]);

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }

    public function boards(Site $site, CorkwallChannel $corkwall): JsonResponse
    {
        return new JsonResponse(['choices' => self::connectable($site, 'corkwall', $corkwall->boards($site))]);
    }

    /** The owner's own website is read in the background, for what it tells of where people speak of it. Nothing is connected. */
    public function website(Request $request, Site $site, Repository $kept, HostLocks $locks): JsonResponse
    {
        $given = $request->validate(['address' => ['required', 'string', 'max:2000']]);
        $token = ReadWebsite::begin($site, self::whole((string) $given['address']), $kept);

        return $this->found($site, $kept, $locks, $token)->setStatusCode(JsonResponse::HTTP_ACCEPTED);
    }

    public function found(Site $site, Repository $kept, HostLocks $locks, string $token): JsonResponse
    {
        $found = ReadWebsite::found($site, $token, $kept, $locks)
            ?? throw new NotFoundHttpException('This has expired. Start again.');

        return new JsonResponse(['token' => $token] + $found);
    }

    /**
     * @param  list<array{id: string, name: string, detail: string}>  $choices
     * @return list<array{id: string, name: string, detail: string, connected: bool}>
     */
    public static function connectable(Site $site, string $channel, array $choices): array
    {
        $connected = $site->sources()->where('channel', $channel)->whereNull('disconnected_at')->pluck('address')->all();

        return array_map(fn (array $choice): array => $choice + ['connected' => in_array($choice['id'], $connected, true)], $choices);
    }

    private static function whole(string $address): string
    {
        $address = trim($address);

        return preg_match('~^[a-z][a-z0-9+.-]*://~i', $address) === 1 ? $address : "https://$address";
    }

    /** @return array<string, mixed> */
    private function feed(string $address, Reading $reading): array
    {
        return [
            'address' => $address,
            'title' => $reading->title,
            'home' => $reading->home,
            'format' => $reading->format,
            'count' => count($reading->entries),
            'problems' => array_map(strval(...), $reading->problems),
            'first' => array_map(EntryJson::write(...), array_slice($reading->entries, 0, 3)),
        ];
    }

    /** @return array<string, mixed> */
    private function page(string $address, PageReading $page): array
    {
        $described = array_values(array_filter(
            $page->described,
            fn (Described $one): bool => $one->reviews > 0 || $one->figures !== null,
        ));

        return ['address' => $address, 'title' => $page->reading->title, 'count' => count($page->reading->entries),
            'problems' => array_map(strval(...), $page->reading->problems),
            'first' => array_map(EntryJson::write(...), array_slice($page->reading->entries, 0, 3)),
            'about' => array_map(fn (Described $one): array => ['name' => $one->name, 'type' => $one->type, 'reviews' => $one->reviews,
                'figures' => $one->figures === null
                    ? null
                    : ['mean' => $one->figures->mean->spoken(), 'count' => $one->figures->count]], $described)];
    }
}
