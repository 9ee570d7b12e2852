<?php

declare(strict_types=1);

namespace App\Bench;

use App\Channels\Channels;
use App\Models\Site;
use App\Sift\Around as SiteAround;
use Gnomic\Brief\Brief;
use Gnomic\Brief\Surroundings;
use Gnomic\Tend\Cadence;

/** What a brief's sentence tells of the site around it. */
final readonly class Around
{
    public function __construct(private Channels $channels)
    {
    }

    public function brief(Site $site, Brief $brief): Surroundings
    {
        $sources = $site->sources()->whereNull('disconnected_at')->orderBy('cadence')->get(['key', 'name', 'cadence']);
        $used = $brief->sources === null ? $sources : $sources->whereIn('key', $brief->sources);
        $cadences = $used->map(fn ($source): string => Cadence::spoken($source->cadence))->unique()->values()->all();

        return new Surroundings(count($sources), $site->sources()->pluck('name', 'key')->all(), $cadences, $site->subjects()->pluck('name', 'key')->all(), $this->channels->names(), SiteAround::of($site)->brief($brief));
    }
}
