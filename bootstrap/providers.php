<?php

declare(strict_types=1);

return [
    App\Bench\BenchProvider::class,
    App\Editions\EditionsProvider::class,
    App\Entries\EntriesProvider::class,
    App\Fetching\FetchingProvider::class,
    App\Host\HostProvider::class,
    App\Http\HttpProvider::class,
    App\People\PeopleProvider::class,
    App\Pictures\PicturesProvider::class,
    App\Placing\PlacingProvider::class,
    App\Sources\SourcesProvider::class,
];
