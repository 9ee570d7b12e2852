<?php

declare(strict_types=1);

namespace App\Bench;

use App\Bench\Grounds\ConfinedPage;
use App\Bench\Grounds\LoadedPage;
use Illuminate\Support\ServiceProvider;

/** The pages that widgets are proofed on. */
final class BenchProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind(ConfinedPage::class, fn (): ConfinedPage => new ConfinedPage(
            base_path('artisan'),
            config()->float('gnomic.reading.seconds') + LoadedPage::SECONDS,
            config()->integer('gnomic.reading.megabytes'),
        ));
    }
}
