<?php

declare(strict_types=1);

namespace App\Providers;

use App\Channels\Wayleaf\WayleafClient;
use App\Editions\EditionFiles;
use App\Editions\Renderer;
use App\Fetching\Fetcher;
use App\Fetching\Hosts;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Cache\LockProvider;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Contracts\View\Factory;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\View;
use Illuminate\Support\ServiceProvider;
use Symfony\Component\HttpFoundation\Response;

/** Hands the configuration to those who need a piece of it. */
final class GnomicServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->bind(Fetcher::class, fn (): Fetcher => new Fetcher(
            new Hosts(config('gnomic.private_hosts')), config('gnomic.fetch.seconds'), config('gnomic.fetch.bytes'), config('gnomic.fetch.redirects')));
        $this->app->bind(WayleafClient::class, fn (Application $app): WayleafClient => new WayleafClient($app->make(Fetcher::class), config('gnomic.channels.wayleaf.address')));
        $this->app->bind(LockProvider::class, fn (Application $app): LockProvider => $app->make('cache.store')->getStore());
        $this->app->bind(EditionFiles::class, fn (): EditionFiles => new EditionFiles(config('gnomic.editions')));
        $this->app->bind(Renderer::class, fn (Application $app): Renderer => new Renderer($app->make(Factory::class), rtrim((string) config('app.url'), '/')));
    }

    public function boot(): void
    {
        Model::preventLazyLoading(false);
        View::addNamespace('widget', resource_path('widget'));
        // Guessing passwords: five failures a minute for a name from a place, thirty for a place. Those who know it are not counted.
        $failed = fn (Response $response): bool => $response->getStatusCode() !== Response::HTTP_OK;
        RateLimiter::for('sign-in', fn (Request $request): array => [
            Limit::perMinute(5)->by(mb_strtolower((string) $request->input('email')).'|'.$request->ip())->after($failed),
            Limit::perMinute(30)->by((string) $request->ip())->after($failed),
        ]);
    }
}
