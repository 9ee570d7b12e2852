<?php

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\AddressController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\BoardController;
use App\Http\Controllers\ChoiceController;
use App\Http\Controllers\CredentialController;
use App\Http\Controllers\DressController;
use App\Http\Controllers\EditionController;
use App\Http\Controllers\EntryController;
use App\Http\Controllers\GrantController;
use App\Http\Controllers\GroundController;
use App\Http\Controllers\ImportController;
use App\Http\Controllers\KeptLookController;
use App\Http\Controllers\LikenessController;
use App\Http\Controllers\OwnerController;
use App\Http\Controllers\PageController;
use App\Http\Controllers\PasswordController;
use App\Http\Controllers\PlaceController;
use App\Http\Controllers\PlacingController;
use App\Http\Controllers\RuleController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SiteController;
use App\Http\Controllers\SourceController;
use App\Http\Controllers\SpotController;
use App\Http\Controllers\SubjectController;
use App\Http\Controllers\TestimonialController;
use App\Http\Controllers\TodayController;
use App\Http\Controllers\TokensController;
use App\Http\Controllers\ViewController;
use App\Http\Controllers\WebsiteController;
use App\Http\Controllers\WidgetController;
use App\Http\Controllers\WordsController;
use App\Http\Middleware\Confirmed;
use App\Http\Middleware\HeldSession;
use Illuminate\Support\Facades\Route;

/** @var array{studio: list<string>} $paths */
$paths = require __DIR__.'/../bin/lib/public-paths.php';

Route::prefix('api')->group(function (): void {
    Route::post('session', [SessionController::class, 'store']);
    Route::post('password/link', [PasswordController::class, 'ask']);
    Route::post('password/set', [PasswordController::class, 'set']);

    Route::middleware(['auth', HeldSession::class])->group(function (): void {
        Route::put('password', [PasswordController::class, 'change']);
        Route::post('password/confirm', [PasswordController::class, 'confirm']);
        Route::get('account', [AccountController::class, 'show']);
        Route::delete('account/sessions', [AccountController::class, 'end']);
        Route::delete('account/sessions/{id}', [AccountController::class, 'end']);
        Route::get('session', [SessionController::class, 'show']);
        Route::delete('session', [SessionController::class, 'destroy']);

        Route::middleware('site')->group(function (): void {
            Route::get('site', [SiteController::class, 'show']);
            Route::patch('site', [SiteController::class, 'update']);
            Route::get('today', TodayController::class);

            Route::get('sources', [SourceController::class, 'index']);
            Route::post('sources', [SourceController::class, 'store']);
            Route::get('sources/{key}', [SourceController::class, 'show']);
            Route::patch('sources/{key}', [SourceController::class, 'update']);
            Route::post('sources/{key}/sign', [SourceController::class, 'sign']);
            Route::post('sources/{key}/rounds', [SourceController::class, 'round']);
            Route::post('look', AddressController::class);
            Route::get('places', PlaceController::class);
            Route::delete('sources/{key}', [SourceController::class, 'destroy'])->middleware(
                [Confirmed::class, 'noted:removal,A source was removed,A source was brought back'],
            );
            Route::put('credentials/{channel}', CredentialController::class)->where('channel', 'wayleaf|corkwall')
                ->middleware('noted:grant,The key for a service was changed');
            Route::get('boards', BoardController::class);
            Route::post('website', [WebsiteController::class, 'store']);
            Route::get('website/{token}', [WebsiteController::class, 'show'])->where('token', '[a-z0-9]{20}');
            Route::post('grants/{channel}', [GrantController::class, 'begin'])->where('channel', 'ticketwick|shutterfen');
            Route::get('grants/{id}/choices', [GrantController::class, 'choices'])->where('id', '[0-9]{1,18}');
            Route::get('subjects', [SubjectController::class, 'index']);
            Route::post('subjects', [SubjectController::class, 'store']);
            Route::patch('subjects/{key}', [SubjectController::class, 'update']);
            Route::put('subjects/{key}/addresses', [SubjectController::class, 'address']);
            Route::get(
                'templates/{kind}.{form}',
                [ImportController::class, 'template'],
            )->where(['kind' => 'subjects|entries', 'form' => 'csv|xlsx']);
            Route::post('imports', [ImportController::class, 'store']);
            Route::get('imports/{id}', [ImportController::class, 'show'])->where('id', '[0-9]{1,18}');
            Route::patch('imports/{id}', [ImportController::class, 'update'])->where('id', '[0-9]{1,18}');
            Route::get('imports/{id}/rows', [ImportController::class, 'rows'])->where('id', '[0-9]{1,18}');
            Route::get('imports/{id}/wrong.csv', [ImportController::class, 'wrong'])->where('id', '[0-9]{1,18}');
            Route::post('imports/{id}/applied', [ImportController::class, 'apply'])->where('id', '[0-9]{1,18}');
            Route::post('testimonials', [TestimonialController::class, 'store']);
            Route::get('testimonials/{id}', [TestimonialController::class, 'show']);
            Route::post('testimonials/{id}', [TestimonialController::class, 'update']);
            Route::delete('testimonials/{id}', [TestimonialController::class, 'destroy']);
            Route::get('likeness', [LikenessController::class, 'show']);
            Route::post('likeness/parted', [LikenessController::class, 'part']);
            Route::post('likeness/joined', [LikenessController::class, 'join']);

            Route::get('entries', [EntryController::class, 'index']);
            Route::get('entries/ids', [EntryController::class, 'ids']);
            Route::get('entries/where', [EntryController::class, 'where']);
            Route::get('entries/export.{form}', [EntryController::class, 'export'])->where('form', 'csv|jsonl|json')
                ->middleware('noted:export,Entries were exported');
            Route::post('entries/marks', [EntryController::class, 'mark']);
            Route::get('choices', ChoiceController::class);
            Route::get('views', [ViewController::class, 'index']);
            Route::post('views', [ViewController::class, 'store']);
            Route::delete('views/{id}', [ViewController::class, 'destroy'])->where('id', '[0-9]{1,18}');
            Route::get('rules', [RuleController::class, 'show']);
            Route::put('rules', [RuleController::class, 'update']);

            Route::get('widgets', [WidgetController::class, 'index']);
            Route::post('widgets', [WidgetController::class, 'store']);
            Route::get('widgets/{key}', [WidgetController::class, 'show']);
            Route::patch('widgets/{key}', [WidgetController::class, 'update']);
            Route::delete('widgets/{key}', [WidgetController::class, 'destroy'])
                ->middleware([Confirmed::class, 'noted:removal,A widget was removed,A widget was brought back']);
            Route::post('widgets/{key}/editions', [WidgetController::class, 'publish']);
            Route::get('widgets/{key}/editions', [EditionController::class, 'index']);
            Route::get('widgets/{key}/editions/{number}', [EditionController::class, 'show'])->where('number', '[0-9]{1,9}');
            Route::post('widgets/{key}/editions/{number}', [EditionController::class, 'restore'])->where('number', '[0-9]{1,9}');
            Route::post('widgets/{key}/pins', [WidgetController::class, 'pin']);
            Route::post('layouts', [BenchController::class, 'layouts']);
            Route::get('looks', [KeptLookController::class, 'index']);
            Route::post('looks', [KeptLookController::class, 'store']);
            Route::post('looks/pictures', [DressController::class, 'pictures']);
            Route::post('looks/moved', [DressController::class, 'move']);
            Route::post('looks/imported', [TokensController::class, 'import']);
            Route::patch('looks/{key}', [KeptLookController::class, 'update'])->where('key', '[a-z0-9-]{1,40}');
            Route::delete('looks/{key}', [KeptLookController::class, 'destroy'])->where('key', '[a-z0-9-]{1,40}');
            Route::get('looks/{key}/tokens', [TokensController::class, 'export'])->where('key', '[a-z0-9-]{1,40}');
            Route::get('words', [WordsController::class, 'show']);
            Route::put('words', [WordsController::class, 'update']);
            Route::get('pages', [PageController::class, 'index']);
            Route::post('pages', [PageController::class, 'store']);
            Route::post('pages/read', [PageController::class, 'read']);
            Route::post('pages/checked', [PageController::class, 'checkAll']);
            Route::get('pages/{id}', [PageController::class, 'show'])->where('id', '[0-9]{1,18}');
            Route::delete('pages/{id}', [PageController::class, 'destroy'])->where('id', '[0-9]{1,18}');
            Route::post('pages/{id}/checked', [PageController::class, 'check'])->where('id', '[0-9]{1,18}');
            Route::get('spots', [SpotController::class, 'index']);
            Route::post('spots', [SpotController::class, 'store']);
            Route::post('spots/tried', [SpotController::class, 'tried']);
            Route::patch('spots/{key}', [SpotController::class, 'update']);
            Route::delete('spots/{key}', [SpotController::class, 'destroy']);
            Route::get('widgets/{key}/codes', [PlacingController::class, 'codes']);
            Route::post('widgets/{key}/codes/subjects', [PlacingController::class, 'makeSubjects']);
            Route::get('widgets/{key}/codes/subjects.csv', [PlacingController::class, 'subjectsTable']);
            Route::get('widgets/{key}/counts', [PlacingController::class, 'counts']);
            Route::get('widgets/{key}/counts.csv', [PlacingController::class, 'countsTable'])
                ->middleware('noted:export,Counts were exported');
            Route::post('widgets/{key}/trial', [PlacingController::class, 'beginTrial']);
            Route::delete('widgets/{key}/trial', [PlacingController::class, 'endTrial']);
            Route::post('site/hosts', [SiteController::class, 'hosts']);
            Route::post('owner-link', [OwnerController::class, 'open']);
            Route::post('grounds', [GroundController::class, 'store']);
            Route::get('ground', [GroundController::class, 'show']);
            Route::post('proof', [BenchController::class, 'proof']);
            Route::post('sieve', [BenchController::class, 'behind']);
        });
    });

    Route::any('{any}', fn () => abort(404, 'There is no such address in the interface.'))->where('any', '.*');
});

Route::get(
    'grants/{channel}/return',
    [GrantController::class, 'returned'],
)->where('channel', 'ticketwick|shutterfen')->middleware(['auth', HeldSession::class, 'site']);

// The studio finds its own way within its sections; there are no other addresses.
Route::view('{any?}', 'studio')->where('any', '^(?:'.implode('|', $paths['studio']).')(?:/.*)?$');
