<?php

declare(strict_types=1);

use App\Http\Controllers\BenchController;
use App\Http\Controllers\EntryController;
use App\Http\Controllers\LookController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SourceController;
use App\Http\Controllers\TodayController;
use App\Http\Controllers\WidgetController;
use Illuminate\Support\Facades\Route;

Route::prefix('api')->group(function (): void {
    Route::post('session', [SessionController::class, 'store'])->middleware('throttle:sign-in');

    Route::middleware('auth')->group(function (): void {
        Route::get('session', [SessionController::class, 'show']);
        Route::delete('session', [SessionController::class, 'destroy']);

        Route::middleware('site')->group(function (): void {
            Route::get('today', TodayController::class);

            Route::get('sources', [SourceController::class, 'index']);
            Route::post('sources', [SourceController::class, 'store']);
            Route::get('sources/{key}', [SourceController::class, 'show']);
            Route::patch('sources/{key}', [SourceController::class, 'update']);
            Route::post('sources/{key}/rounds', [SourceController::class, 'round']);
            Route::post('look', [LookController::class, 'address']);
            Route::get('places', [LookController::class, 'places']);
            Route::put('credentials/wayleaf', [LookController::class, 'key']);

            Route::get('entries', [EntryController::class, 'index']);
            Route::post('entries/hidden', [EntryController::class, 'hide']);

            Route::get('widgets', [WidgetController::class, 'index']);
            Route::post('widgets', [WidgetController::class, 'store']);
            Route::get('widgets/{key}', [WidgetController::class, 'show']);
            Route::patch('widgets/{key}', [WidgetController::class, 'update']);
            Route::delete('widgets/{key}', [WidgetController::class, 'destroy']);
            Route::post('widgets/{key}/editions', [WidgetController::class, 'publish']);
            Route::post('proof', [BenchController::class, 'proof']);
            Route::post('sieve', [BenchController::class, 'behind']);
        });
    });

    Route::any('{any}', fn () => abort(404, 'There is no such address in the interface.'))->where('any', '.*');
});

// Everything else is the studio, which finds its own way.
Route::view('{any?}', 'studio')->where('any', '^(?!w/|gnomic|build/).*$');
