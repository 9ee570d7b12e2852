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
use Gnomic\Dress\Look;
use Gnomic\Edition\Account;
use Gnomic\Entry\Entry;
use Gnomic\Sift\Clauses\FromSources;

/** Puts together what a site's brief shows: for the bench and for what goes out, by one way. */
final readonly class Contents
{
    public function __construct(
        private Channels $channels,
        private Pictures $pictures,
        private AccountProfiles $profiles,
        private Catalogues $catalogues,
        private SiteLooks $looks,
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
        $asked = array_map(fn (Wanted $one): array => [...$one->refs, ...$one->further], $wanted);
        $refs = array_values(array_unique(array_merge([], ...$asked)));
        $records = array_map(fn (EntryRecord $record): Entry => $record->toCore(), EntryRecord::ofRefs($site, $refs));
        $entries = [];
        foreach ($this->profiles->on($site, array_values($records)) as $entry) {
            $entries[$entry->id] = $entry;
        }
        $accounts = $this->profiles->accounts($site);
        $faces = array_values(array_filter(array_map(fn (Account $account): ?string => $account->picture, $accounts)));
        $pictures = $this->pictures->at($site, [...self::addresses(array_values($entries)), ...$faces]);
        $pages = $this->channels->pages($site);
        $contents = $dressed = [];
        foreach ($wanted as $one) {
            $shown = self::named($entries, $one->refs);
            $further = self::named($entries, $one->further);
            $sources = FromSources::named($one->brief->criteria);
            $contents[] = new Content(
                $one->brief,
                $one->sieve->context(),
                $shown,
                $one->sieve->tally()->overall(),
                $site->zone(),
                $this->catalogues->spoken($one->language, $one->brief->dress->words, $site->words ?? []),
                $dressed[json_encode($one->brief->dress->toArray(), JSON_THROW_ON_ERROR)] ??= $this->looks->dressed($site, $one->brief),
                $pages,
                array_intersect_key($pictures, array_flip([...self::addresses([...$shown, ...$further]), ...$faces])),
                $one->choices,
                $one->offered,
                array_values($sources === null ? $accounts : array_intersect_key($accounts, array_flip($sources))),
                $site->name,
                $further === [] ? null : new Further($further, $one->brief->criteria->limits->most),
                collected: $one->sieve->tally()->counting(),
            );
        }

        return $contents;
    }

    /** The look of a brief as the owner has it, with nothing mended. */
    public function undressed(Site $site, Brief $brief): Look
    {
        return $brief->dress->on($this->looks->of($site)->named($brief->dress->look));
    }

    /** In the look of its own brief. */
    public function dressed(Site $site, Content $content): Content
    {
        return $content->in($this->looks->dressed($site, $content->brief));
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
            'words' => $this->catalogues->spoken($language, $brief->dress->words, $site->words ?? [])->digest(),
            'look' => $this->looks->dressed($site, $brief)->inputs(),
            'pages' => array_map(get_object_vars(...), $this->channels->pages($site)),
            'profiles' => $site->sources()->whereNotNull('profile')->pluck('profile', 'key')->all(),
            'pictures' => $showsPictures
                ? [$site->pictures()->where('state', 'kept')->count(), $site->pictures()->where('state', 'kept')->max('id')]
                : null,
        ];
    }

    /**
     * @param  array<string, Entry>  $entries
     * @param  list<string>  $refs
     * @return list<Entry> those that there are, in the order of the references
     */
    private static function named(array $entries, array $refs): array
    {
        return array_values(array_filter(array_map(fn (string $ref): ?Entry => $entries[$ref] ?? null, $refs)));
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
