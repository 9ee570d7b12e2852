<?php

declare(strict_types=1);

// Prints which of its lines a widget keeps to on each of some pages: php tests/against/tell-lines.php [--pictures=FOLDER] PAGE…

use Illuminate\Contracts\Console\Kernel;
use Tests\against\Lines;

$root = dirname(__DIR__, 2);
require "$root/vendor/autoload.php";
$app = require "$root/bootstrap/app.php";
$app->make(Kernel::class)->bootstrap();

$given = array_slice($argv, 1);
$pictures = null;
if (str_starts_with($given[0] ?? '', '--pictures=')) {
    $pictures = substr((string) array_shift($given), 11);
}
$told = $app->make(Lines::class)->of($given === [] ? (glob(__DIR__.'/pages/*.html') ?: []) : $given, $pictures);
foreach (Lines::table($told) as $row => [$right, $all]) {
    printf("%-32s %3d of %3d  %3d %%\n", $row, $right, $all, round(100 * $right / $all));
    foreach ($told as $one) {
        if ($one['row'] === $row && ! $one['isRight']) {
            printf("    %-16s %4d  %s instead of %s\n", $one['page'], $one['width'], json_encode($one['is']), json_encode($one['wanted']));
        }
    }
}
