<?php

declare(strict_types=1);

namespace App\Http;

use App\Host\KnowsHost;
use Gnomic\Text\Pieces;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Filesystem\Filesystem;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\Facades\View;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;

/** Addresses as the owner has set them, and sessions that are kept. */
final class HttpProvider extends ServiceProvider
{
    use KnowsHost;

    public function boot(): void
    {
        Model::preventLazyLoading(false);
        View::addNamespace('widget', resource_path('widget'));
        $this->ownAddresses();
        Session::extend('file', fn (Application $app): KeptSessions => new KeptSessions(
            $app->make(Filesystem::class),
            config()->string('session.files'),
            config()->integer('session.lifetime'),
        ));
    }

    /** Every address is built from the one that the owner has set, whatever name a request came by. */
    private function ownAddresses(): void
    {
        $url = $this->host();
        URL::useOrigin($url);
        URL::forceScheme(str_starts_with($url, 'https:') ? 'https' : 'http');
        // Parts of the studio are asked of wherever it was opened.
        Vite::createAssetPathsUsing(fn (string $path): string => '/'.ltrim($path, '/'));
        $proxies = Pieces::of(config()->string('gnomic.trusted_proxies'), '/[\s,]+/');
        TrustProxies::at($proxies === ['*'] ? '*' : $proxies);
    }
}
