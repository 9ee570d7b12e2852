<?php

declare(strict_types=1);

use Gnomic\Text\Pieces;

/** @var string $data */
$data = require __DIR__.'/../bootstrap/data.php';

return [
    'data' => $data,

    /** Where the published files lie; the web server hands them out as /w. */
    'editions' => "$data/w",

    /** Hosts with ports that may be asked although their addresses are private: the stand-ins of the demo. */
    'private_hosts' => Pieces::of((string) env('GNOMIC_PRIVATE_HOSTS', ''), '/,/'),

    'fetch' => [
        'seconds' => (int) env('GNOMIC_FETCH_SECONDS', 20),
        'bytes' => (int) env('GNOMIC_FETCH_BYTES', 10 * 1024 * 1024),
        'redirects' => 5,
    ],

    /** Of the process that reads what was fetched. */
    'reading' => ['seconds' => (float) env('GNOMIC_READING_SECONDS', 20), 'megabytes' => 384],

    /** Addresses of web servers in front, whose word counts for who is asking and how; commas between them. None by default. */
    'trusted_proxies' => (string) env('GNOMIC_TRUSTED_PROXIES', ''),

    /** With which the picture of the rating is written for e-mails. */
    'font' => (string) env('GNOMIC_FONT', '/usr/share/fonts/truetype/noto/NotoSerif-Regular.ttf'),

    /** Where the web server writes down what visitors do, a file an hour. */
    'beacons' => "$data/run/beacons",

    'locks' => "$data/run/locks",

    'channels' => [
        'wayleaf' => ['address' => env('GNOMIC_WAYLEAF', 'https://wayleaf.example')],
        'ticketwick' => [
            'address' => env('GNOMIC_TICKETWICK', 'https://ticketwick.example'),
            'client' => env('GNOMIC_TICKETWICK_CLIENT', 'gnomic'),
            'secret' => env('GNOMIC_TICKETWICK_SECRET', ''),
        ],
        'shutterfen' => [
            'address' => env('GNOMIC_SHUTTERFEN', 'https://shutterfen.example'),
            'client' => env('GNOMIC_SHUTTERFEN_CLIENT', 'gnomic'),
            'secret' => env('GNOMIC_SHUTTERFEN_SECRET', ''),
        ],
        'corkwall' => ['address' => env('GNOMIC_CORKWALL', 'https://corkwall.example')],
        'barrowfair' => ['address' => env('GNOMIC_BARROWFAIR', 'https://barrowfair.example')],
    ],

    /** The demo's stand-ins and website. */
    'demo' => ['standins' => (string) env('GNOMIC_STANDINS', ''), 'site' => (string) env('GNOMIC_SITE', '')],

    /** Seconds between rounds of a source that has just been connected. */
    'cadence' => (int) env('GNOMIC_CADENCE', 86_400),
];
