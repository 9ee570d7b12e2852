<?php

declare(strict_types=1);

// Fills the measured instance: php fill.php COUNT brings its first site to COUNT entries, by copies of those that are there.

use App\Models\Site;
use Gnomic\Sift\Facts;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

require dirname(__DIR__, 2).'/vendor/autoload.php';
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$count = (int) $argv[1];
$site = Site::query()->firstOrFail();
$models = DB::table('entries')->where('site_id', $site->id)
    ->where('source_entry_id', 'not like', 'copy-%')
    ->get()
    ->map(fn (object $row): array => (array) $row)
    ->all();
$have = DB::table('entries')->where('site_id', $site->id)->count();
DB::transaction(function () use ($models, $have, $count): void {
    for ($number = $have; $number < $count; $number++) {
        $row = $models[$number % count($models)];
        unset($row['id'], $row['alike']); // the one is given, the other computed
        $row['source_entry_id'] = "copy-$number";
        $row['ref'] = "$row[source]:copy-$number";
        $row['published'] -= $number * 3600;
        $row['shuffle_key'] = Facts::shuffleKeyOf((string) $row['ref']);
        $row['author'] = $row['author'] === null ? null : "$row[author] ".($number % 10 === 0 ? $number % 5000 : $number);
        DB::table('entries')->insert($row);
    }
});
DB::statement('ANALYZE');
$now = DB::table('entries')->where('site_id', $site->id)->count();
echo $now;
exit($now >= $count ? 0 : 1);
