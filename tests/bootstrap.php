<?php

declare(strict_types=1);

// A folder of its own, so that no test meets the data of an instance.

$data = dirname(__DIR__).'/var/test/'.getmypid();
foreach (['storage/framework/views', 'storage/framework/cache/data', 'storage/framework/sessions', 'storage/logs', 'w'] as $folder) {
    is_dir("$data/$folder") || mkdir("$data/$folder", 0755, true);
}
putenv("GNOMIC_DATA=$data");
register_shutdown_function(static function () use ($data): void {
    exec('rm -rf '.escapeshellarg($data));
});

require dirname(__DIR__).'/vendor/autoload.php';
