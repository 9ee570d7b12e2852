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

    /** @param  list<string>  $refs  of the entries that the sieve chose */
    public function of(Site $site, Brief $brief, SiteSieve $sieve, array $refs, ?string $note = null): Content
    {
        return $this->each($site, [[$brief, $sieve, $refs, $site->spoken()[0], $note]])[0];
    }

    /**
     * Several at once: what they have in common is asked once.
     *
     * @param  list<array{Brief, SiteSieve, list<string>, string, string|null}>  $wanted  brief, sieve, references of what is shown,
     *     language of the words, note
     * @return list<Content>
     */
    public function each(Site $site, array $wanted): array
    {
        $refs = array_values(array_unique(array_merge([], ...array_column($wanted, 2))));
        $records = array_map(fn (EntryRecord $record): Entry => $record->toCore(), EntryRecord::ofRefs($site, $refs));
        $entries = [];
        foreach ($this->profiles->on($site, array_values($records)) as $entry) {
            $entries[$entry->id] = $entry;
        }
        $pictures = $this->pictures->of($site, array_values($entries));
        $saidAt = $this->channels->saidAt($site);
        $contents = [];
        foreach ($wanted as [$brief, $sieve, $of, $language, $note]) {
            $shown = array_values(array_filter(array_map(fn (string $ref): ?Entry => $entries[$ref] ?? null, $of)));
            $contents[] = new Content(
                $brief,
                $sieve->context(),
                $shown,
                $sieve->tally()->overall(),
                $site->zone(),
                $this->catalogues->of($language),
                $this->looks->all()->named($brief->look),
                $saidAt,
                array_intersect_key($pictures, array_flip(self::addresses($shown))),
                $note,
            );
        }

        return $contents;
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
