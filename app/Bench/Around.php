<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Site;
use Gnomic\Brief\Brief;
use Gnomic\Brief\Surroundings;
use Gnomic\Tend\Cadence;

/** What a brief's sentence tells of the site around it. */
final class Around
{
    public function brief(Site $site, Brief $brief): Surroundings
    {
        $sources = $site->sources()->whereNull('disconnected_at')->orderBy('cadence')->get(['key', 'name', 'cadence']);
        $used = $brief->sources === null ? $sources : $sources->whereIn('key', $brief->sources);
        $cadences = $used->map(fn ($source): string => Cadence::spoken($source->cadence))->unique()->values()->all();

        return new Surroundings(count($sources), $site->sources()->pluck('name', 'key')->all(), $cadences);
    }
}
