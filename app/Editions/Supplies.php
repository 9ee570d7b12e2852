<?php

declare(strict_types=1);

namespace App\Editions;

use App\Entries\Sift\SiteContexts;
use App\Models\Site;
use App\Pictures\Pictures;
use App\Sources\Channels\AccountProfiles;
use App\Sources\Channels\Channels;
use Gnomic\Sift\Criteria;
use Gnomic\Sift\SiteContext;

/** What the editions of a site are made of, as it lies in the database. */
final readonly class Supplies
{
    public function __construct(
        private Channels $channels,
        private Pictures $pictures,
        private AccountProfiles $profiles,
        private Catalogues $catalogues,
        private SiteLooks $looks,
    ) {
    }

    /** @param  SiteContext|null  $context  where the caller has it already */
    public function of(Site $site, ?SiteContext $context = null): StoredSupply
    {
        $contexts = SiteContexts::of($site);

        return new StoredSupply(
            $site,
            fn (Criteria $wanted): SiteContext => $context ?? $contexts->for($wanted),
            $this->channels,
            $this->pictures,
            $this->profiles,
            $this->catalogues,
            $this->looks,
        );
    }
}
