<?php

return [
    'driver' => env('SESSION_DRIVER', 'file'),
    'lifetime' => 60 * 24 * 7,
    'encrypt' => true,
    'cookie' => 'gnomic_session',
    'same_site' => 'lax',
    'http_only' => true,
    'secure' => env('SESSION_SECURE_COOKIE', str_starts_with((string) env('APP_URL', ''), 'https:')),
];
