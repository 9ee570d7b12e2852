<?php

declare(strict_types=1);

namespace App\Entries;

use App\Models\Entry;
use App\Models\Site;
use App\Sift\Around;
use App\Sift\SiteSieve;

/** Where an entry is on show, and why it is not where it is not: by the briefs that are out. */
final class Whereabouts
{
    /** Widgets that are told of. */
    private const MOST = 50;

    /** @return list<array{key: string, name: string, place: int|null, step: string, reason: string}> */
    public function of(Site $site, Entry $entry): array
    {
        $around = Around::of($site);
        $told = [];
        foreach ($site->widgets()->with('edition')->whereNotNull('edition_id')->orderBy('id')->limit(self::MOST)->get() as $widget) {
            if ($widget->edition !== null) {
                $brief = $widget->edition->toBrief();
                $told[] = ['key' => $widget->key, 'name' => $widget->name] + SiteSieve::verdict($site, $brief, $around->brief($brief), $entry);
            }
        }

        return $told;
    }
}
