<?php

declare(strict_types=1);

namespace App\Bench;

use App\Bench\Grounds\Grounds;
use App\Bench\Grounds\LoadPage;
use App\Editions\Behaviours;
use App\Host\KnowsHost;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Support\ServiceProvider;

/** The pages that widgets are proofed on. */
final class BenchProvider extends ServiceProvider
{
    use KnowsHost;

    public function register(): void
    {
        $this->app->bind(Grounds::class, fn (Application $app): Grounds => new Grounds(
            $app->make(LoadPage::class),
            $app->make(Behaviours::class),
            $this->host(),
        ));
    }
}
