<?php

declare(strict_types=1);

namespace App\Placing;

use App\Fetching\Fetcher;
use App\Fetching\Reading\ConfinedReading;
use App\Host\HostLocks;
use App\Host\KnowsHost;
use App\Outbox\Outbox;
use App\Placing\Counting\BeaconFiles;
use App\Placing\Counting\CountBeacons;
use App\Placing\Pages\CheckPage;
use App\Placing\Pages\ExpectedOnPage;
use App\Placing\Pages\FindPages;
use App\Placing\Pages\SiteRobots;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Support\ServiceProvider;

/** Codes, forms, the script of a site, its pages, and what visitors do. */
final class PlacingProvider extends ServiceProvider
{
    use KnowsHost;

    public function register(): void
    {
        $this->app->bind(CountBeacons::class, fn (Application $app): CountBeacons => new CountBeacons(
            new BeaconFiles(config()->string('gnomic.beacons')),
            $app->make(HostLocks::class),
        ));
        $this->app->bind(Codes::class, fn (): Codes => new Codes(
            $this->host(),
            resource_path('codes'),
        ));
        $this->app->bind(FindPages::class, fn (Application $app): FindPages => new FindPages(
            $app->make(Fetcher::class),
            $app->make(ConfinedReading::class),
            $app->make(SiteRobots::class),
            $this->host(),
        ));
        $this->app->bind(ExpectedOnPage::class, fn (): ExpectedOnPage => new ExpectedOnPage($this->host()));
        $this->app->bind(CheckPage::class, fn (Application $app): CheckPage => new CheckPage(
            $app->make(Fetcher::class),
            $app->make(ExpectedOnPage::class),
            $this->host(),
        ));
        $this->app->bind(SiteScript::class, fn (Application $app): SiteScript => new SiteScript(
            public_path('site.js'),
            public_path('gnomic.js'),
            config()->string('gnomic.editions'),
            $this->host(),
            $app->make(HostLocks::class),
        ));
        $this->app->bind(Forms::class, fn (Application $app): Forms => new Forms(
            $app->make(Outbox::class),
            $app->make(WidgetKeys::class),
            config()->string('gnomic.editions'),
        ));
    }
}
