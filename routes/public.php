<?php

declare(strict_types=1);

use App\Http\Controllers\EmbedController;
use App\Http\Controllers\OwnerController;
use Illuminate\Support\Facades\Route;

Route::get('oembed', EmbedController::class);
Route::get('owner/views', [OwnerController::class, 'views']);
