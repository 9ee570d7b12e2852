<?php

declare(strict_types=1);

namespace App\Entries;

use App\Entries\Listing\Export;
use App\Host\KnowsHost;
use Illuminate\Support\ServiceProvider;

/** Entries as they are handed out. */
final class EntriesProvider extends ServiceProvider
{
    use KnowsHost;

    public function register(): void
    {
        $this->app->bind(Export::class, fn (): Export => new Export($this->host()));
    }
}
