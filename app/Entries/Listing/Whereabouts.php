<?php

declare(strict_types=1);

namespace App\Entries\Listing;

use App\Entries\Sift\SiteContexts;
use App\Entries\Sift\SiteSieve;
use App\Models\EntryRecord;
use App\Models\Site;

/** Where an entry is on show, and why it is not where it is not: by the briefs that are out. */
final class Whereabouts
{
    /** Widgets that are told of. */
    private const MOST = 50;

    /** @return list<array{key: string, name: string, place: int|null, step: string, reason: string}> */
    public function of(Site $site, EntryRecord $entry): array
    {
        $contexts = SiteContexts::of($site);
        $told = [];
        $widgets = $wanted = [];
        foreach ($site->widgets()->with('edition')->whereNotNull('edition_id')->orderBy('id')->limit(self::MOST)->get() as $widget) {
            if ($widget->edition !== null) {
                $widgets[] = $widget;
                $wanted[] = $widget->edition->toBrief()->criteria;
            }
        }
        $contexts->ahead($wanted);
        foreach ($widgets as $index => $widget) {
            $verdict = SiteSieve::verdict($site, $wanted[$index], $contexts->for($wanted[$index]), $entry);
            $told[] = ['key' => $widget->key, 'name' => $widget->name] + $verdict;
        }

        return $told;
    }
}
