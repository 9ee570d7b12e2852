<?php

declare(strict_types=1);

namespace App\Fetching;

use App\Fetching\Reading\ConfinedReading;
use Illuminate\Support\ServiceProvider;

/** The one way out, and the process that reads what came. */
final class FetchingProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind(Fetcher::class, fn (): Fetcher => new Fetcher(
            new Hosts(array_values(array_filter(config()->array('gnomic.private_hosts'), is_string(...)))),
            config()->integer('gnomic.fetch.seconds'),
            config()->integer('gnomic.fetch.bytes'),
            config()->integer('gnomic.fetch.redirects')));
        $this->app->bind(ConfinedReading::class, fn (): ConfinedReading => new ConfinedReading(
            base_path('bin/lib/read-confined.php'),
            config()->float('gnomic.reading.seconds'),
            config()->integer('gnomic.reading.megabytes'),
        ));
    }
}
