<?php

/** @var string $data */
$data = require __DIR__.'/../bootstrap/data.php';

return [
    'default' => 'sqlite',
    'connections' => [
        'sqlite' => [
            'driver' => 'sqlite',
            'database' => env('DB_DATABASE', "$data/gnomic.sqlite"),
            'prefix' => '',
            'foreign_key_constraints' => true,
            // Whoever sits in front of a screen is told that it is busy; work in the background waits.
            'busy_timeout' => PHP_SAPI === 'cli' ? 30_000 : 4_000,
            'journal_mode' => 'WAL',
            'synchronous' => 'NORMAL',
            // A sieve walks a whole index: read where it lies, not by pages that are copied.
            'pragmas' => ['mmap_size' => 1_073_741_824, 'cache_size' => -32_000, 'temp_store' => 'MEMORY'],
        ],
    ],
];
