<?php

declare(strict_types=1);

use App\Console\ErrorsAside;
use App\Http\Middleware\CurrentSite;
use App\Http\Middleware\Noted;
use App\Http\Middleware\StudioHeaders;
use App\Http\Problems;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;

/** @var string $data */
$data = require __DIR__.'/data.php';

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
        // For everybody: without a session, a cookie or a token.
        then: fn () => require __DIR__.'/../routes/public.php',
    )
    ->withCommands([__DIR__.'/../app/Console'])
    ->withMiddleware(function (Middleware $middleware): void {
        // What other origins may read are files; nothing that PHP answers is for them.
        $middleware->remove(HandleCors::class);
        $middleware->append(StudioHeaders::class);
        $middleware->redirectGuestsTo(fn (Request $request): ?string => $request->is('api/*') ? null : '/');
        $middleware->alias(['site' => CurrentSite::class, 'noted' => Noted::class]);
        // Words are kept as they were written, also a blank at the end of a search.
        $middleware->trimStrings(except: [fn (Request $request): bool => $request->is('api/proof')]);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->shouldRenderJsonWhen(fn (Request $request): bool => $request->is('api/*'));
        Problems::register($exceptions);
    })
    ->create();

$app->singleton(ExceptionHandler::class, ErrorsAside::class);

return $app->useStoragePath("$data/storage")->useEnvironmentPath($data);
