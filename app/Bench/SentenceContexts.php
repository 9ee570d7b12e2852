<?php

declare(strict_types=1);

namespace App\Bench;

use App\Channels\Channels;
use App\Editions\SiteLooks;
use App\Models\Site;
use App\Models\SpotRecord;
use App\Sift\SiteContexts;
use Gnomic\Brief\Brief;
use Gnomic\Brief\SentenceContext;
use Gnomic\Place\Spot\Places;
use Gnomic\Place\Spot\Spot;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\SiteContext;
use Gnomic\Tend\Cadence;

/** What a brief's sentence tells of the site around it. */
final readonly class SentenceContexts
{
    public function __construct(private Channels $channels, private SiteLooks $looks)
    {
    }

    public function brief(Site $site, Brief $brief, ?string $key = null): SentenceContext
    {
        $gather = $brief->criteria->part('gather');
        $sources = $site->sources()
            ->whereNull('disconnected_at')
            ->whereNotIn('channel', ['table', 'hand'])
            ->orderBy('cadence')
            ->get(['key', 'cadence']);
        $used = $gather->has('sources') ? $sources->whereIn('key', $gather->strings('sources')) : $sources;
        $cadences = $used->map(fn ($source): string => Cadence::spoken($source->cadence))->unique()->values()->all();

        return new SentenceContext(
            $this->site($site, $brief->criteria),
            array_values($cadences),
            $this->looks->of($site)->names(),
            $key === null ? '' : $this->places($site, $key),
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
        return SiteContexts::of($site)->for($wanted, $this->channels->names());
    }
}
