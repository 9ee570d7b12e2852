<?php

declare(strict_types=1);

namespace App\Editions;

use App\Channels\Channels;
use App\Channels\Profiles;
use App\Models\Site;
use App\Pictures\Pictures;
use App\Sift\SiteSieve;
use Gnomic\Brief\Brief;

/** Puts together what a site's brief shows: for the bench and for what goes out, by one way. */
final readonly class Contents
{
    public function __construct(private Channels $channels, private Pictures $pictures, private Profiles $profiles)
    {
    }

    /** @param  list<string>  $refs  of the entries that the sieve chose */
    public function of(Site $site, Brief $brief, SiteSieve $sieve, array $refs, ?string $note = null): Content
    {
        $shown = $this->profiles->on($site, SiteSieve::entries($site, $refs));

        return new Content($brief, $sieve->around(), $shown, $sieve->tally()->overall(), $site->zone(), $this->channels->saidAt($site), $this->pictures->of($site, $shown), $note);
    }
}
