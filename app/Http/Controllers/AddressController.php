<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Host\HostLocks;
use App\Http\Requests\WebAddress;
use App\Sources\Channels\AtAddress;
use App\Sources\Channels\Channels;
use Gnomic\Entry\EntryJson;
use Gnomic\Gather\Feed\FeedLink;
use Gnomic\Gather\Page\Described;
use Gnomic\Gather\Page\PageReading;
use Gnomic\Gather\Reading;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/** Looks at an address before it is connected: a feed, marked-up reviews, or a service that it belongs to. */
final class AddressController
{
    /** Addresses that are looked at at a time. */
    private const AT_ONCE = 2;

    /** Seconds after which somebody may try again. */
    private const AGAIN = 5;

    public function __invoke(WebAddress $request, AtAddress $at, Channels $channels, HostLocks $locks): JsonResponse
    {
        // Somebody's slow address must not take all of those who answer.
        $place = $locks->oneOf('look', self::AT_ONCE);
        if ($place === null) {
            throw new TooManyRequestsHttpException(self::AGAIN, 'Gnomic is busy checking other addresses. Try again in a moment.');
        }
        $found = $at->look($request->whole());

        return new JsonResponse([
            'other' => $found['other'] === null
                ? null
                : $found['other'] + ['channelName' => $channels->of($found['other']['channel'])->name()],
            'feed' => $found['feed'] === null ? null : $this->feed($found['address'], $found['feed']),
            'page' => $found['page'] === null ? null : $this->page($found['address'], $found['page']),
            'links' => array_map(fn (FeedLink $link): array => get_object_vars($link), $found['links']),
        ]);
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
