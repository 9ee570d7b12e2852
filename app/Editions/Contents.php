<?php

declare(strict_types=1);

namespace App\Editions;

use App\Channels\AccountProfiles;
use App\Channels\Channels;
use App\Models\EntryRecord;
use App\Models\Site;
use App\Pictures\Pictures;
use App\Sift\SiteSieve;
use Gnomic\Brief\Brief;
use Gnomic\Entry\Entry;

/** Puts together what a site's brief shows: for the bench and for what goes out, by one way. */
final readonly class Contents
{
    public function __construct(
        private Channels $channels,
        private Pictures $pictures,
        private AccountProfiles $profiles,
        private Catalogues $catalogues,
        private LookFiles $looks,
    ) {
    }

    public function of(Site $site, Wanted $wanted): Content
    {
        return $this->each($site, [$wanted])[0];
    }

    /**
     * Several at once: what they have in common is asked once.
     *
     * @param  list<Wanted>  $wanted
     * @return list<Content>
     */
    public function each(Site $site, array $wanted): array
    {
        $refs = array_values(array_unique(array_merge([], ...array_map(fn (Wanted $one): array => $one->refs, $wanted))));
        $records = array_map(fn (EntryRecord $record): Entry => $record->toCore(), EntryRecord::ofRefs($site, $refs));
        $entries = [];
        foreach ($this->profiles->on($site, array_values($records)) as $entry) {
            $entries[$entry->id] = $entry;
        }
        $pictures = $this->pictures->of($site, array_values($entries));
        $saidAt = $this->channels->saidAt($site);
        $contents = [];
        foreach ($wanted as $one) {
            $shown = array_values(array_filter(array_map(fn (string $ref): ?Entry => $entries[$ref] ?? null, $one->refs)));
            $contents[] = new Content(
                $one->brief,
                $one->sieve->context(),
                $shown,
                $one->sieve->tally()->overall(),
                $site->zone(),
                $this->catalogues->of($one->language),
                $this->looks->all()->named($one->brief->look),
                $saidAt,
                array_intersect_key($pictures, array_flip(self::addresses($shown))),
                $one->choices,
                $one->offered,
            );
        }

        return $contents;
    }

    /**
     * What all that is shown of a site by a brief depends on beside the entries themselves.
     *
     * @return array<string, mixed>
     */
    public function common(Site $site, Brief $brief, SiteSieve $sieve, string $language): array
    {
        $showsPictures = array_intersect($brief->shape->card, ['pictures', 'face']) !== [];

        return [
            'brief' => $brief->toArray()['shape'],
            'head' => $brief->shape->head === [] ? null : get_object_vars($sieve->tally()->overall()),
            'zone' => $site->zone()->getName(),
            'words' => $this->catalogues->of($language)->digest(),
            'look' => $this->looks->all()->named($brief->look)->tokens,
            'saidAt' => $this->channels->saidAt($site),
            'profiles' => $site->sources()->whereNotNull('profile')->pluck('profile', 'key')->all(),
            'pictures' => $showsPictures
                ? [$site->pictures()->where('state', 'kept')->count(), $site->pictures()->where('state', 'kept')->max('id')]
                : null,
        ];
    }

    /**
     * @param  list<Entry>  $entries
     * @return list<string>
     */
    private static function addresses(array $entries): array
    {
        return array_merge([], ...array_map(Pictures::urlsOf(...), $entries));
    }
}
