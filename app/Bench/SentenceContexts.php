<?php

declare(strict_types=1);

namespace App\Bench;

use App\Editions\SiteLooks;
use App\Entries\Sift\SiteContexts;
use App\Models\Site;
use App\Models\Source;
use App\Models\SpotRecord;
use App\Sources\Channels\Channels;
use Gnomic\Brief\Brief;
use Gnomic\Brief\SentenceContext;
use Gnomic\Place\Spot\Places;
use Gnomic\Place\Spot\Spot;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\SiteContext;

/** What a brief's sentence tells of the site around it. */
final readonly class SentenceContexts
{
    public function __construct(private Channels $channels, private SiteLooks $looks)
    {
    }

    public function brief(Site $site, Brief $brief, ?string $key = null): SentenceContext
    {
        return $this->each($site)->of($brief, $key === null ? '' : $this->places($site, $key), true);
    }

    /** For the sentences of many briefs of a site. */
    public function each(Site $site): SiteSentences
    {
        $sources = Source::query()->where('site_id', $site->id)
            ->whereNull('removed_at')
            ->whereNull('disconnected_at')
            ->whereNotIn('channel', ['table', 'hand'])
            ->orderBy('cadence')
            ->get();

        return new SiteSentences(
            SiteContexts::of($site),
            $this->channels->said(),
            $this->looks->of($site)->names(),
            array_values($sources->all()),
        );
    }

    private function places(Site $site, string $key): string
    {
        $widget = $site->widgets()->where('key', $key)->first();
        $now = now()->toDateTimeImmutable();
        $spots = $widget === null ? [] : array_map(fn (SpotRecord $record): Spot => $record->toCore(), $widget->spotRecords());

        return Places::spoken(array_values(array_filter($spots, fn (Spot $spot): bool => $spot->isDue($now, $site->zone()))));
    }

    public function site(Site $site, Criteria $wanted): SiteContext
    {
        return SiteContexts::of($site)->for($wanted, $this->channels->said());
    }
}
