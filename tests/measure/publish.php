<?php

declare(strict_types=1);

// Publishes one widget without variants and one with as many as there can be, several times each, and tells what they took:
// php publish.php TIMES

use App\Editions\Publish;
use App\Models\Site;
use App\Models\Widget;
use Gnomic\Brief\BriefReader;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

require dirname(__DIR__, 2).'/vendor/autoload.php';
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$site = Site::query()->firstOrFail();
$site->update(['languages' => ['en', 'de']]);
$sift = ['stars' => ['from' => 4], 'withWords' => true, 'limit' => 12];
$briefs = [
    'one' => ['sift' => $sift],
    'many' => ['sift' => $sift + [
        'order' => 'shuffled',
        'shuffle' => 'visit',
        'labels' => ['byPage' => [['page' => '/visit*', 'any' => ['tonight']]]],
    ]],
];
$told = [];
foreach ($briefs as $name => $brief) {
    // One without variants is for a site of one language.
    $site->update(['languages' => $name === 'one' ? ['en'] : ['en', 'de']]);
    $brief = BriefReader::read(['version' => 2] + $brief);
    $widget = $site->widgets()->create(['key' => "measure$name", 'name' => 'x', 'brief' => $brief->toArray()]);
    $took = $queries = [];
    for ($time = 0; $time < (int) $argv[1]; $time++) {
        // What stands around everything is another.
        $brief = $brief->with(shape: $brief->shape->with(['title' => "Called $time"]));
        DB::flushQueryLog();
        DB::enableQueryLog();
        $from = hrtime(true);
        $app->make(Publish::class)->brief($widget->fresh() ?? $widget, $brief, 'Measured');
        $took[] = (hrtime(true) - $from) / 1e6;
        $queries[] = count(DB::getQueryLog());
    }
    sort($took);
    $files = glob(config('gnomic.editions')."/{$widget->key}/current/*.html") ?: [];
    $told[$name] = [
        'milliseconds' => $took[intdiv(count($took), 2)],
        'queries' => end($queries),
        'fragments' => count(array_filter($files, fn (string $file): bool => preg_match('~/(?:widget|at\.[^/]+)\.html$~', $file) === 1)),
    ];
    $widget->delete();
}
echo json_encode($told);
