<?php

declare(strict_types=1);

namespace App\Editions;

use App\Models\Site;
use App\Models\Widget;
use Gnomic\Dress\Look;
use Illuminate\Support\Str;
use Symfony\Component\HttpKernel\Exception\UnprocessableEntityHttpException;

/** Looks that a site keeps, and which of its widgets wear them. */
final class KeptLooks
{
    /** Of one site. */
    private const MOST = 60;

    /** @return string its key, made from its name */
    public function keep(Site $site, Look $look): string
    {
        if ($site->looks()->count() >= self::MOST) {
            throw new UnprocessableEntityHttpException('A site keeps at most '.self::MOST.' looks. Remove one that no widget uses.');
        }
        $named = mb_substr(Str::slug($look->name), 0, 30);
        $base = 'own-'.($named === '' ? 'look' : $named);
        $key = $base;
        for ($number = 2; $site->looks()->where('key', $key)->exists(); $number++) {
            $key = "$base-$number";
        }
        $site->looks()->create(['key' => $key, 'name' => $look->name, 'look' => $look->toArray()]);

        return $key;
    }

    /** @return array<string, list<Widget>> that wear each look, on the bench or on pages */
    public function wearers(Site $site): array
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
}
